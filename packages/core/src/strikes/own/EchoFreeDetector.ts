import { StrikeDetector, type DetectorSetting, type LoudOnset } from '../detect/StrikeDetector.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK, EchoCanceller } from './EchoCanceller.ts';
import { EchoFit } from './EchoFit.ts';
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
  private known: EchoWay | null = null;
  private fits: EchoFit;
  private readonly rate: number;
  private readonly detector: StrikeDetector;
  private readonly late = new Float64Array(ECHO_BLOCK);
  private readonly echo = new Float64Array(ECHO_BLOCK);
  private readonly rest = new Float64Array(ECHO_BLOCK);

  /** `rate` in hertz; so many samples of what was played are kept, the longest delay and the longest look back. */
  constructor(rate: number, setting: DetectorSetting, kept: number) {
    this.rate = rate;
    this.own = new Past(kept);
    this.fits = new EchoFit(rate, false);
    this.detector = new StrikeDetector(rate, setting);
  }

  get way(): EchoWay | null {
    return this.known;
  }

  /** How well the way explains what is heard. */
  get fit(): EchoFit {
    return this.fits;
  }

  /** Goes on with another way, which learns what was played until now; it was proved that it is right, or not yet. */
  take(way: EchoWay, proved: boolean): void {
    this.known = way;
    this.fits = new EchoFit(this.rate, proved);
    for (let block = way.canceller.parts; block >= 0; block--) {
      this.copyOwn(way, block * ECHO_BLOCK);
      way.canceller.follow(this.late);
    }
  }

  /** A way of which nothing is known but by how much later it gives back what is played. */
  unlearnt(delay: number): EchoWay {
    return { delay, canceller: new EchoCanceller(Math.ceil((WAY * this.rate) / ECHO_BLOCK)) };
  }

  push(heard: Float64Array, own: ArrayLike<number>): LoudOnset[] {
    this.own.push(own);
    if (this.known === null) return this.detector.push(heard, this.echo);
    this.learn(heard, 0);
    this.fits.take(heard, this.echo);
    for (let i = 0; i < ECHO_BLOCK; i++) this.rest[i] = heard[i]! - this.echo[i]!;
    return this.detector.push(this.rest, this.echo);
  }

  /** Learns the way from a block that was heard, and from what was played, so many samples ago; nothing where that may come at another time. */
  learn(heard: Float64Array, ago: number): void {
    this.copyOwn(this.known!, ago);
    this.known!.canceller.take(this.late, heard, this.echo, { learns: !this.fits.isSuspect });
  }

  /** How well a way would explain the last so many blocks, which `heardAgo` gives from the oldest on. */
  fitOf(way: EchoWay, blocks: number, heardAgo: (ago: number) => Float64Array): EchoFit {
    const fit = new EchoFit(this.rate, false);
    const echo = new Float64Array(ECHO_BLOCK);
    for (let block = blocks + way.canceller.parts; block >= 0; block--) {
      this.copyOwn(way, block * ECHO_BLOCK);
      if (block >= blocks) way.canceller.follow(this.late);
      else {
        const heard = heardAgo(block * ECHO_BLOCK);
        way.canceller.take(this.late, heard, echo);
        fit.take(heard, echo);
      }
    }
    return fit;
  }

  /** What is known when nothing comes any more but these. */
  end(left: Float64Array): LoudOnset[] {
    return [...this.detector.push(left, new Float64Array(left.length)), ...this.detector.end()];
  }

  private copyOwn({ delay }: EchoWay, ago: number): void {
    this.own.copy(this.late, ago + Math.max(0, delay - Math.round(AHEAD_OF_IT * this.rate)));
  }
}
