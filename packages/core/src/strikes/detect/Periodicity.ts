import { PieceFilter, lowPass } from '../../sound/index.ts';
import type { Seconds } from '../../units/index.ts';

/** A stretch of sound is put beside itself so much later: the periods of voices from 80 to 400 Hz. */
const PERIODS: { readonly from: Seconds; readonly to: Seconds } = { from: 0.0025, to: 0.0125 };
/** So long are the stretches, and where they begin from the rise on, in lengths of one. */
const STRETCH: Seconds = 0.03;
const STARTS = [-3, -2, -1, -0.3, 0.2, 0.6] as const;
/** What carries a voice through a hall lies below this, in hertz; about four samples of it are taken. */
const BELOW = 1000;
const TAKEN = 4 * BELOW;
const BUTTERWORTH_2 = Math.SQRT1_2;
/** Must hold what lies about a rise behind a whole piece of new samples; a power of two. */
const KEPT = 4096;
const SILENCE = 1e-12;

/** How many numbers a rise gets. */
export const STRETCHES = STARTS.length;

/**
 * How periodic sound is before, in and behind a rise: a voice comes again after a period of its pitch, an impact and the noise of a hall
 * do not. Keeps the newest low sound for that.
 */
export class Periodicity {
  private readonly filter: PieceFilter;
  private low = new Float64Array(0);
  private readonly samples = new Float64Array(KEPT);
  /** Of the samples that came, one in so many is kept. */
  private readonly every: number;
  private came = 0;
  private count = 0;
  /** In samples that came. */
  private readonly stretch: number;
  /** In samples that are kept: a stretch, and the shortest and the longest period. */
  private readonly length: number;
  private readonly shortest: number;
  private readonly longest: number;

  /** `rate` in hertz, 8,000 to 32,000. */
  constructor(rate: number) {
    this.filter = new PieceFilter(lowPass(BELOW, rate, BUTTERWORTH_2));
    this.stretch = Math.round(STRETCH * rate);
    this.every = Math.max(1, Math.round(rate / TAKEN));
    const kept = rate / this.every;
    this.length = 2 * Math.round((STRETCH * kept) / 2);
    this.shortest = Math.round(PERIODS.from * kept);
    this.longest = Math.round(PERIODS.to * kept);
  }

  /** Takes the first `count` samples of a piece. */
  push(piece: Float64Array, count: number): void {
    if (this.low.length < count) this.low = new Float64Array(count);
    this.filter.run(piece, this.low, count);
    for (let i = (this.every - (this.came % this.every)) % this.every; i < count; i += this.every) {
      this.samples[this.count & (KEPT - 1)] = this.low[i]!;
      this.count += 1;
    }
    this.came += count;
  }

  /**
   * For each stretch about the sample `at`, the highest correlation, 0 to 1, with what comes a period later; the last one ends 60.5 ms
   * behind it. Nothing is before the first sample and behind the last one.
   */
  about(at: number): Float64Array {
    return Float64Array.from(STARTS, (start) =>
      this.highest(Math.round(Math.round(at + start * this.stretch) / this.every)),
    );
  }

  private highest(from: number): number {
    const { length, shortest, longest } = this;
    const sound = this.taken(from, length);
    const later = this.taken(from + shortest, length + longest - shortest + 1);
    // Every second sample says enough; so there are two sums of the squares of what is later, each moving on by two.
    let own = SILENCE;
    const power = [SILENCE, SILENCE];
    for (let i = 0; i < length; i += 2) {
      own += sound[i]! * sound[i]!;
      power[0]! += later[i]! * later[i]!;
      power[1]! += later[i + 1]! * later[i + 1]!;
    }
    let highest = 0;
    for (let period = 0; period <= longest - shortest; period++) {
      let both = 0;
      for (let i = 0; i < length; i += 2) both += sound[i]! * later[i + period]!;
      const of = power[period & 1]!;
      highest = Math.max(highest, both / Math.sqrt(own * of));
      const [goes, comes] = [later[period]!, later[period + length] ?? 0];
      power[period & 1] = Math.max(SILENCE, of - goes * goes + comes * comes);
    }
    return Math.min(1, highest);
  }

  /** So many of the kept samples from one on. */
  private taken(from: number, count: number): Float64Array {
    const taken = new Float64Array(count);
    for (let i = 0, at = from; i < count; i++, at++)
      if (at >= 0 && at < this.count) taken[i] = this.samples[at & (KEPT - 1)]!;
    return taken;
  }
}
