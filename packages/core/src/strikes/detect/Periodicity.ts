import type { Seconds } from '../../units/index.ts';

/** A stretch of sound is put beside itself so much later: the periods of voices from 80 to 400 Hz. */
const PERIODS: { readonly from: Seconds; readonly to: Seconds } = { from: 0.0025, to: 0.0125 };
/** So long are the stretches, and where they begin from the rise on, in lengths of one. */
const STRETCH: Seconds = 0.03;
const STARTS = [-3, -2, -1, -0.3, 0.2, 0.6] as const;
/** Periods are tried no closer than so many a second, and half as many samples multiplied: enough for the overtones that carry a voice. */
const TRIED = 8000;
/** Must hold what lies about a rise behind a whole piece of new samples; a power of two. */
const KEPT = 16_384;
const SILENCE = 1e-12;

/** How many numbers a rise gets. */
export const STRETCHES = STARTS.length;

/**
 * How periodic sound is before, in and behind a rise: a voice comes again after a period of its pitch, an impact and the noise of a hall
 * do not. Keeps the newest samples for that.
 */
export class Periodicity {
  private readonly samples = new Float64Array(KEPT);
  private count = 0;
  /** In samples: a stretch, and the shortest period. */
  private readonly stretch: number;
  private readonly shortest: number;
  /** One sample of so many is taken; of those, every second one of `length` is multiplied at `tried` periods. */
  private readonly every: number;
  private readonly length: number;
  private readonly tried: number;

  /** `rate` in hertz, 8,000 to 32,000. */
  constructor(rate: number) {
    this.stretch = Math.round(STRETCH * rate);
    this.shortest = Math.round(PERIODS.from * rate);
    this.every = Math.max(1, Math.round(rate / TRIED));
    this.length = Math.ceil(this.stretch / (2 * this.every));
    this.tried = Math.floor((Math.round(PERIODS.to * rate) - this.shortest) / this.every) + 1;
  }

  /** Takes the first `count` samples of a piece. */
  push(piece: Float64Array, count: number): void {
    for (let i = 0; i < count; i++) this.samples[(this.count + i) & (KEPT - 1)] = piece[i]!;
    this.count += count;
  }

  /**
   * For each stretch about the sample `at`, the highest correlation, 0 to 1, with what comes a period later; the last one ends 60.5 ms
   * behind it. Nothing is before the first sample and behind the last one.
   */
  about(at: number): Float64Array {
    return Float64Array.from(STARTS, (start) => this.highest(Math.round(at + start * this.stretch)));
  }

  private highest(from: number): number {
    const { length, shortest, tried } = this;
    const sound = this.taken(from, 2 * length);
    const later = this.taken(from + shortest, 2 * length + tried);
    let own = 0;
    for (let i = 0; i < 2 * length; i += 2) own += sound[i]! * sound[i]!;
    // Sums of the squares so far, of every second sample.
    const power = new Float64Array(later.length + 2);
    for (let i = 0; i < later.length; i++) power[i + 2] = power[i]! + later[i]! * later[i]!;
    let highest = 0;
    for (let period = 0; period < tried; period++) {
      let both = 0;
      for (let i = 0; i < 2 * length; i += 2) both += sound[i]! * later[i + period]!;
      const of = own * (power[period + 2 * length]! - power[period]!) + SILENCE;
      if (both > 0 && both * both > highest * of) highest = (both * both) / of;
    }
    return Math.sqrt(highest);
  }

  /** So many samples from one on, each `every` behind the one before. */
  private taken(from: number, count: number): Float64Array {
    const { every, samples } = this;
    const taken = new Float64Array(count);
    for (let i = 0, at = from; i < count; i++, at += every)
      if (at >= 0 && at < this.count) taken[i] = samples[at & (KEPT - 1)]!;
    return taken;
  }
}
