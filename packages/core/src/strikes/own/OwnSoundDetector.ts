import type { DetectorSetting, Onset } from '../detect/StrikeDetector.ts';
import { Thinner } from '../detect/Thinner.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK } from './EchoCanceller.ts';
import { EchoFreeDetector } from './EchoFreeDetector.ts';
import { echoDelay } from './echoDelay.ts';
import { Past } from './Past.ts';
import { SecondHearing, type HeardAgain } from './SecondHearing.ts';

/** Sound is on its way through a device no longer than this. */
const MOST_DELAY: Seconds = 0.6;
/** The delay is looked for in so much sound, once in so much that was played: often while it is not known, seldom afterwards. */
const LOOKED_AT: Seconds = 2;
const LOOKED_FOR_EVERY: { readonly unknown: Seconds; readonly known: Seconds } = { unknown: 0.25, known: 4 };
/** Two findings so near each other are the same one. */
const SAME: Seconds = 0.002;
/** What came before is heard again after so much that was played, for later the way is hardly known better; or while it is kept yet. */
const LEARNT_AFTER: Seconds = 9;

/**
 * Hears strikes while its own device plays: what is heard and what is played come side by side, as many samples of each. It finds out how
 * much later the one is in the other, learns the way, takes the echo out, and doubts what the rest of it may explain. What came before
 * the way was learnt is heard again once it is. Pieces of any length give the same.
 */
export class OwnSoundDetector {
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
  /** Null once it is over. */
  private again: SecondHearing | null;
  private readonly onAgain: (again: HeardAgain) => void;

  /**
   * `sampleRate` in hertz, 8,000 to 192,000, the same for both; `onAgain` is told once what the first seconds come to, in place of what
   * was told of them at once.
   */
  constructor(
    sampleRate: number,
    setting: DetectorSetting = {},
    onAgain: (again: HeardAgain) => void = () => undefined,
  ) {
    this.thinners = [new Thinner(sampleRate), new Thinner(sampleRate)];
    this.rate = this.thinners[0].rate;
    const lookBack = (LOOKED_AT + MOST_DELAY) * this.rate;
    this.detector = new EchoFreeDetector(this.rate, setting, lookBack);
    this.again = new SecondHearing(this.rate, setting, lookBack);
    this.heard = new Past(LOOKED_AT * this.rate);
    this.onAgain = onAgain;
  }

  /** How much later what is played is heard, once that is known. */
  get echoAfter(): Seconds | null {
    const { way } = this.detector;
    return way && way.delay / this.rate;
  }

  push(heard: ArrayLike<number>, own: ArrayLike<number>): Onset[] {
    const [a, b] = [Float64Array.from(heard), Float64Array.from(own)];
    const count = this.thinners[0].run(a, heard.length);
    this.thinners[1].run(b, own.length);
    const found: Onset[] = [];
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
  end(): Onset[] {
    const { way } = this.detector;
    if (way && this.again?.hasBegun === false) this.again.begin(way);
    while (way && this.again) this.hearAgain(this.again);
    return this.detector.end(this.blocks[0].subarray(0, this.filled));
  }

  private block(heard: Float64Array, own: Float64Array): Onset[] {
    const isPlayed = own.some((sample) => sample !== 0);
    const found = this.detector.push(heard, own);
    this.heard.push(heard);
    if (isPlayed) this.lookForDelay();
    if (this.again?.hasBegun) this.hearAgain(this.again);
    else this.again?.keep(heard, own, isPlayed);
    const { way } = this.detector;
    if (!way || !this.again || this.again.hasBegun) return found;
    if (isPlayed) this.playedSinceKnown += ECHO_BLOCK;
    if (this.playedSinceKnown >= LEARNT_AFTER * this.rate || this.again.isFull) this.again.begin(way);
    return found;
  }

  private hearAgain(again: SecondHearing): void {
    const heard = again.goOn();
    if (!heard) return;
    this.again = null;
    this.onAgain(heard);
  }

  /** Twice the same is believed. A device that was put elsewhere begins anew. */
  private lookForDelay(): void {
    const { way } = this.detector;
    this.playedSinceLook += ECHO_BLOCK;
    if (this.playedSinceLook < (way ? LOOKED_FOR_EVERY.known : LOOKED_FOR_EVERY.unknown) * this.rate) return;
    this.playedSinceLook = 0;
    const heard = this.heard.last(LOOKED_AT * this.rate);
    const found = echoDelay(this.detector.own.last(heard.length), heard, Math.round(MOST_DELAY * this.rate));
    if (found === null) return;
    const isSame = (other: number | null): boolean =>
      other !== null && Math.abs(found - other) <= SAME * this.rate;
    if (isSame(this.lastFound) && !isSame(way && way.delay)) this.learnFromPast(found);
    this.lastFound = found;
  }

  /** The way is learnt from what was played and heard before its delay was known, all at once. */
  private learnFromPast(delay: number): void {
    this.detector.way = this.detector.unlearnt(delay);
    this.playedSinceKnown = 0;
    const heard = new Float64Array(ECHO_BLOCK);
    for (let block = Math.floor((LOOKED_AT * this.rate) / ECHO_BLOCK) - 1; block >= 0; block--) {
      this.heard.copy(heard, block * ECHO_BLOCK);
      this.detector.learn(heard, block * ECHO_BLOCK);
    }
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
): Onset[] {
  let again: HeardAgain | null = null as HeardAgain | null;
  const detector = new OwnSoundDetector(sound.sampleRate, setting, (heard) => (again = heard));
  const atOnce = [...detector.push(sound.samples, sound.own), ...detector.end()];
  if (!again) return atOnce;
  const { from, until, onsets } = again;
  const others = atOnce.filter(({ at }) => at < from || at >= until);
  return [...others, ...onsets].sort((a, b) => a.at - b.at);
}
