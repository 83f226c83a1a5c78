import type { DetectorSetting, LoudOnset } from '../detect/StrikeDetector.ts';
import { Thinner } from '../detect/Thinner.ts';
import { applyCorrections } from '../corrections.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK, type EchoCanceller } from './EchoCanceller.ts';
import { EchoFreeDetector, type EchoWay } from './EchoFreeDetector.ts';
import { echoDelay } from './echoDelay.ts';
import { Reprocessing } from './Reprocessing.ts';
import { Past } from './Past.ts';
import type { Delayed, Reprocessed, KnownWay } from './SecondPass.ts';

/** Sound is on its way through a device no longer than this. */
const MOST_DELAY: Seconds = 0.6;
/** The delay is looked for in so much sound, once in so much that was played: often while it is not known, seldom afterwards. */
const LOOKED_AT: Seconds = 2;
const LOOKED_FOR_EVERY: { readonly unknown: Seconds; readonly known: Seconds; readonly slipped: Seconds } = {
  unknown: 0.25,
  known: 4,
  slipped: 0.1,
};
/** Two findings so near each other are the same one. */
const SAME: Seconds = 0.002;
/** Where samples got lost on either way, what is played comes no more than so much sooner or later than before; that is looked for in so much. */
const MOST_SLIP: Seconds = 0.15;
const SLIP_LOOKED_AT: Seconds = 0.5;
/** It is right where what is known explains the last so much. */
const SLIP_RIGHT_FOR: Seconds = 0.2;
/** What is known of the way while it is right is kept once in so much that was played. */
const RIGHT_KEPT_EVERY: Seconds = 0.3;
/** What came before is heard again after so much that was played, for later the way is hardly known better; or while it is kept yet. */
const LEARNT_AFTER: Seconds = 9;
const MOST_KEPT: Seconds = 30;

/**
 * Hears strikes while its own device plays: what is heard and what is played come side by side, as many samples of each. It finds out how
 * much later the one is in the other, learns the way, takes the echo out, and doubts what the rest of it may explain. Where either of
 * them loses samples, it finds out how much later the one is from then on. What came before any of this was known is heard again once it
 * is. Pieces of any length give the same.
 */
export class EchoAwareDetector {
  private readonly detector: EchoFreeDetector;
  private readonly rate: number;
  private readonly thinners: readonly [Thinner, Thinner];
  /** The newest samples at `rate`, up to the end of the last block. */
  private readonly heard: Past;
  private readonly blocks = [new Float64Array(ECHO_BLOCK), new Float64Array(ECHO_BLOCK)] as const;
  private filled = 0;
  /** In samples; null while none was found. */
  private lastFound: number | null = null;
  private playedSinceLook = 0;
  private playedSinceKnown = 0;
  /** The first block in which something was played. */
  private firstPlayed: number | null = null;
  /** The last block by which what is known of the way was right. */
  private lastRight = 0;
  /** What was known of it by then, or not long before. */
  private right: EchoCanceller | null = null;
  private playedSinceRight = 0;
  private delays: Delayed[] = [];
  private hasHeardFirst = false;
  private readonly again: Reprocessing;
  private readonly onAgain: (again: Reprocessed) => void;

  /**
   * `sampleRate` in hertz, 8,000 to 192,000, the same for both; `onAgain` gets what some seconds come to, in place of what was reported about
   * them at once: the first ones, and those after which samples had got lost.
   */
  constructor(
    sampleRate: number,
    setting: DetectorSetting = {},
    onAgain: (again: Reprocessed) => void = () => undefined,
  ) {
    this.thinners = [new Thinner(sampleRate), new Thinner(sampleRate)];
    this.rate = this.thinners[0].rate;
    const lookBack = (LOOKED_AT + MOST_DELAY) * this.rate;
    const detector = (): EchoFreeDetector => new EchoFreeDetector(this.rate, setting, lookBack);
    this.detector = detector();
    this.again = new Reprocessing(this.rate, this.blocksOf(MOST_KEPT), detector);
    this.heard = new Past(LOOKED_AT * this.rate);
    this.onAgain = onAgain;
  }

  /** How much later what is played is heard, once that is known. */
  get echoAfter(): Seconds | null {
    const { way } = this.detector;
    return way && way.delay / this.rate;
  }

  push(heard: ArrayLike<number>, own: ArrayLike<number>): LoudOnset[] {
    const [a, b] = [Float64Array.from(heard), Float64Array.from(own)];
    const count = this.thinners[0].run(a, heard.length);
    this.thinners[1].run(b, own.length);
    const found: LoudOnset[] = [];
    for (let i = 0; i < count; i++) {
      this.blocks[0][this.filled] = a[i]!;
      this.blocks[1][this.filled] = b[i]!;
      this.filled += 1;
      if (this.filled < ECHO_BLOCK) continue;
      this.filled = 0;
      found.push(...this.block(...this.blocks));
    }
    return found;
  }

  /** What is known when nothing comes any more; the first seconds are heard again with what is known of the way by then. */
  end(): LoudOnset[] {
    this.hearFirstAgain();
    for (const again of this.again.end(this.known)) this.onAgain(again);
    return this.detector.end(this.blocks[0].subarray(0, this.filled));
  }

  private block(heard: Float64Array, own: Float64Array): LoudOnset[] {
    const isPlayed = own.some((sample) => sample !== 0);
    const found = this.detector.push(heard, own);
    this.heard.push(heard);
    const again = this.again.take(
      { heard: Float32Array.from(heard), own: Float32Array.from(own) },
      this.known,
    );
    if (again) this.onAgain(again);
    if (isPlayed) this.played();
    const kept = this.firstPlayed === null ? 0 : this.again.count - this.firstPlayed;
    if (this.playedSinceKnown >= LEARNT_AFTER * this.rate || kept > this.blocksOf(MOST_KEPT - 1))
      this.hearFirstAgain();
    return found;
  }

  private get known(): KnownWay | null {
    const { way } = this.detector;
    return way && { canceller: way.canceller, delays: this.delays };
  }

  private played(): void {
    const { way, fit } = this.detector;
    this.firstPlayed ??= this.again.count - 1;
    if (way && fit.isRight) this.keepRight(way);
    if (way) this.playedSinceKnown += ECHO_BLOCK;
    this.playedSinceLook += ECHO_BLOCK;
    // What never held is as good as unknown.
    const isWrong = fit.isOff && !fit.mayHaveSlipped;
    const every = LOOKED_FOR_EVERY[!way || isWrong ? 'unknown' : fit.mayHaveSlipped ? 'slipped' : 'known'];
    if (this.playedSinceLook < every * this.rate) return;
    this.playedSinceLook = 0;
    if (way && fit.mayHaveSlipped) this.lookForSlip(way);
    else this.lookForDelay();
  }

  private keepRight({ canceller }: EchoWay): void {
    this.lastRight = this.again.count - 1;
    this.playedSinceRight += ECHO_BLOCK;
    if (this.right && this.playedSinceRight < RIGHT_KEPT_EVERY * this.rate) return;
    this.playedSinceRight = 0;
    this.right = canceller.copy();
  }

  private hearFirstAgain(): void {
    if (!this.detector.way || this.hasHeardFirst) return;
    this.hasHeardFirst = true;
    this.again.wish(this.firstPlayed ?? 0);
  }

  /** Twice the same is believed. A device that was put elsewhere begins anew. */
  private lookForDelay(): void {
    const { way } = this.detector;
    const heard = this.heard.last(LOOKED_AT * this.rate);
    const found = echoDelay(this.detector.own.last(heard.length), heard, Math.round(MOST_DELAY * this.rate));
    if (found === null) return;
    const isKnown = way !== null && this.isSame(found, way.delay);
    if (!isKnown && this.lastFound !== null && this.isSame(found, this.lastFound))
      if (!this.follow(found)) this.learnFromPast(found);
    this.lastFound = found;
  }

  private isSame(one: number, other: number): boolean {
    return Math.abs(one - other) <= SAME * this.rate;
  }

  /** By how many samples later what is played comes by now, once that can be reported. */
  private lookForSlip(way: EchoWay): void {
    const count = Math.round(SLIP_LOOKED_AT * this.rate);
    const slip = Math.round(MOST_SLIP * this.rate);
    const least = Math.max(0, way.delay - slip);
    const own = this.detector.own.last(count + least).subarray(0, count);
    const found = echoDelay(own, this.heard.last(count), 2 * slip);
    if (found === null) return;
    if (!this.isSame(least + found, way.delay)) this.follow(least + found);
    else if (this.detector.fit.offFor > SLIP_LOOKED_AT) this.detector.fit.comesInTime();
  }

  /** Goes on with the way as it was when it was right, by this delay, if that explains what is heard; and hears again what it did not explain. */
  private follow(delay: number): boolean {
    const { right } = this;
    const heardAgo = (ago: number): Float64Array => {
      const heard = new Float64Array(ECHO_BLOCK);
      this.heard.copy(heard, ago);
      return heard;
    };
    const blocks = this.blocksOf(SLIP_RIGHT_FOR);
    if (!right || !this.detector.fitOf({ delay, canceller: right.learnt() }, blocks, heardAgo).isRight)
      return false;
    this.detector.take({ delay, canceller: right.copy() }, true);
    this.delays = [...this.delays, { block: this.lastRight + 1, delay }];
    if (this.hasHeardFirst) this.again.wish(this.lastRight + 1);
    return true;
  }

  /** The way is learnt from what was played and heard before its delay was known, all at once. */
  private learnFromPast(delay: number): void {
    this.detector.take(this.detector.unlearnt(delay), false);
    this.delays = [{ block: 0, delay }];
    this.right = null;
    this.playedSinceKnown = 0;
    const heard = new Float64Array(ECHO_BLOCK);
    for (let block = this.blocksOf(LOOKED_AT) - 1; block >= 0; block--) {
      this.heard.copy(heard, block * ECHO_BLOCK);
      this.detector.learn(heard, block * ECHO_BLOCK);
    }
  }

  private blocksOf(seconds: Seconds): number {
    return Math.floor((seconds * this.rate) / ECHO_BLOCK);
  }
}

/**
 * The strikes in a whole sound that was heard while `own` was played, as many samples of it and as finely.
 *
 * @example
 * detectBesideOwn({ sampleRate: 8000, samples: new Float32Array(8000), own: new Float32Array(8000) }).length // 0
 */
export function detectBesideOwn(
  sound: {
    readonly sampleRate: number;
    readonly samples: ArrayLike<number>;
    readonly own: ArrayLike<number>;
  },
  setting: DetectorSetting = {},
): LoudOnset[] {
  const again: Reprocessed[] = [];
  const detector = new EchoAwareDetector(sound.sampleRate, setting, (heard) => again.push(heard));
  const atOnce = [...detector.push(sound.samples, sound.own), ...detector.end()];
  return again.reduce(applyCorrections, atOnce);
}
