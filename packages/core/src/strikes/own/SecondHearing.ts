import type { DetectorSetting, Onset } from '../detect/StrikeDetector.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK } from './EchoCanceller.ts';
import { EchoFreeDetector, type EchoWay } from './EchoFreeDetector.ts';

/** Before anything is played, so much is kept, for the floor of the hall. */
const KEPT_BEFORE: Seconds = 3;
/** No more than so much is heard again. */
const MOST_KEPT: Seconds = 30;
/** The floor of the hall and the bands are in tune after so long. */
const TUNED_AFTER: Seconds = 1;
/** What is so near the end of what is kept stays as it was told. */
const NEAR_END: Seconds = 0.25;

/** All strikes between two instants, in place of what was told of that time. */
export interface HeardAgain {
  readonly from: Seconds;
  readonly until: Seconds;
  readonly onsets: readonly Onset[];
}

/**
 * Keeps what is heard, and what is played, while the way between them is not learnt yet, and hears it again once it is: one block for
 * each that comes, so that it costs no more than half as much again.
 */
export class SecondHearing {
  private readonly rate: number;
  private readonly detector: EchoFreeDetector;
  private kept: { readonly heard: Float32Array; readonly own: Float32Array }[] = [];
  /** Blocks that came, those that are kept begin with, and the first in which something was played; in blocks from the beginning. */
  private count = 0;
  private oldest = 0;
  private played: number | null = null;
  private until = 0;
  private found: Onset[] = [];

  /** `rate` in hertz; so many samples of what was played are looked back at. */
  constructor(rate: number, setting: DetectorSetting, lookBack: number) {
    this.rate = rate;
    this.detector = new EchoFreeDetector(rate, setting, lookBack);
  }

  get hasBegun(): boolean {
    return this.detector.way !== null;
  }

  /** What is kept longer pushes out what was kept first. */
  get isFull(): boolean {
    return (this.kept.length + 1) * ECHO_BLOCK > MOST_KEPT * this.rate;
  }

  /** Keeps one more block; `isPlayed` where something of it was. */
  keep(heard: Float64Array, own: Float64Array, isPlayed: boolean): void {
    if (isPlayed) this.played ??= this.count;
    this.kept.push({ heard: Float32Array.from(heard), own: Float32Array.from(own) });
    this.count += 1;
    const most = (this.played === null ? KEPT_BEFORE : MOST_KEPT) * this.rate;
    while (this.kept.length * ECHO_BLOCK > most) {
      this.kept.shift();
      this.oldest += 1;
    }
  }

  /** The way is learnt: no more is kept. */
  begin({ delay, canceller }: EchoWay): void {
    this.detector.way = { delay, canceller: canceller.learnt() };
    this.until = this.count;
  }

  /** Hears one more block again; tells what was found once that was all. */
  goOn(): HeardAgain | null {
    const next = this.kept.shift();
    if (next) this.found.push(...this.detector.push(Float64Array.from(next.heard), next.own));
    if (this.kept.length > 0) return null;
    const tuned = this.oldest === 0 ? 0 : this.secondsOf(this.oldest) + TUNED_AFTER;
    const from = Math.max(tuned, this.secondsOf(this.played ?? 0));
    const until = this.secondsOf(this.until) - NEAR_END;
    const onsets = this.found
      .map((onset) => ({ ...onset, at: onset.at + this.secondsOf(this.oldest) }))
      .filter(({ at }) => at >= from && at < until);
    return { from, until, onsets };
  }

  private secondsOf(blocks: number): Seconds {
    return (blocks * ECHO_BLOCK) / this.rate;
  }
}
