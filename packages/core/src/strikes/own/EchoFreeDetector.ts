import { StrikeDetector, type DetectorSetting, type Onset } from '../detect/StrikeDetector.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK, EchoCanceller } from './EchoCanceller.ts';
import { Past } from './Past.ts';

/** The way from loudspeaker to microphone is learnt over so long: what the hall gives back later is smooth, and no strike. */
const WAY: Seconds = 0.192;
/** It begins so long before the loudest: a wall of the device's own comes first. */
const AHEAD_OF_IT: Seconds = 0.004;

/** How what is played comes back, as far as that is known. */
export interface EchoWay {
  /** By how many samples later the loudest of it is heard. */
  readonly delay: number;
  readonly canceller: EchoCanceller;
}

/** Hears strikes in what is left of a block of `ECHO_BLOCK` samples without what the way gives back of the own sound. */
export class EchoFreeDetector {
  /** What was played, up to the newest block. */
  readonly own: Past;
  way: EchoWay | null = null;
  private readonly rate: number;
  private readonly detector: StrikeDetector;
  private readonly late = new Float64Array(ECHO_BLOCK);
  private readonly echo = new Float64Array(ECHO_BLOCK);
  private readonly rest = new Float64Array(ECHO_BLOCK);

  /** `rate` in hertz; so many samples of what was played are kept, the longest delay and the longest look back. */
  constructor(rate: number, setting: DetectorSetting, kept: number) {
    this.rate = rate;
    this.own = new Past(kept);
    this.detector = new StrikeDetector(rate, setting);
  }

  /** A way of which nothing is known but by how much later it gives back what is played. */
  unlearnt(delay: number): EchoWay {
    return { delay, canceller: new EchoCanceller(Math.ceil((WAY * this.rate) / ECHO_BLOCK)) };
  }

  push(heard: Float64Array, own: ArrayLike<number>): Onset[] {
    this.own.push(own);
    if (this.way === null) return this.detector.push(heard, this.echo);
    this.learn(heard, 0);
    for (let i = 0; i < ECHO_BLOCK; i++) this.rest[i] = heard[i]! - this.echo[i]!;
    return this.detector.push(this.rest, this.echo);
  }

  /** Learns the way from a block that was heard, and from what was played, so many samples ago; and what of the block was played. */
  learn(heard: Float64Array, ago: number): void {
    const { delay, canceller } = this.way!;
    this.own.copy(this.late, ago + Math.max(0, delay - Math.round(AHEAD_OF_IT * this.rate)));
    canceller.take(this.late, heard, this.echo);
  }

  /** What is known when nothing comes any more but these. */
  end(left: Float64Array): Onset[] {
    return [...this.detector.push(left, new Float64Array(left.length)), ...this.detector.end()];
  }
}
