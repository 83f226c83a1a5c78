import { bandPass } from '../../sound/index.ts';
import type { Seconds } from '../../units/index.ts';
import { Thinner } from './Thinner.ts';

/** Middles of the bands, in hertz: an octave each, from the thud to the slap. */
const MIDDLES = [95, 190, 380, 760, 1500, 3000, 5600];
export const BANDS = MIDDLES.length;
/** About an octave between the half-power points. */
const BAND_Q = 1.3;
/** The highest band reaches so far above its middle; rates at which that cannot be heard have the lower five alone, as a telephone has. */
const REACHES = 1.35;
const TELEPHONE_BANDS = 5;
const FRAME: Seconds = 0.002;
/** So many samples are worked on at once. */
const PIECE = 4096;

/** One band: what a band-pass lets through, squared and added up. */
class BandFilter {
  private readonly gain: number;
  private readonly a1: number;
  private readonly a2: number;
  private readonly last = new Float64Array(4);

  constructor(hertz: number, rate: number) {
    const { b, a } = bandPass(hertz, rate, BAND_Q);
    this.gain = b[0];
    [this.a1, this.a2] = a;
  }

  /** Adds the energy that this stretch of a piece has in the band. */
  energy(piece: Float64Array, from: number, to: number, before: number): number {
    const { gain, a1, a2, last } = this;
    let [x1, x2, y1, y2] = [last[0]!, last[1]!, last[2]!, last[3]!];
    let sum = before;
    for (let i = from; i < to; i++) {
      const x = piece[i]!;
      // A band-pass of the second order takes the difference of two samples (b₁ = 0, b₂ = −b₀).
      const y = gain * (x - x2) - a1 * y1 - a2 * y2;
      x2 = x1;
      x1 = x;
      y2 = y1;
      y1 = y;
      sum += y * y;
    }
    last[0] = x1;
    last[1] = x2;
    last[2] = y1;
    last[3] = y2;
    return sum;
  }
}

/**
 * Takes samples of any rate and gives the energy of each band, frame by frame. What is too high for the rate has an energy of 0.
 */
export class BandEnergies {
  /** Length of a frame, exactly. */
  readonly frameSeconds: Seconds;
  /** Samples of a frame, and how many of them a second there are, when they have been thinned. */
  readonly size: number;
  readonly rate: number;
  private readonly thinner: Thinner;
  private readonly filters: readonly BandFilter[];
  private readonly piece = new Float64Array(PIECE);
  private filled = 0;
  private sums: Float64Array = new Float64Array(BANDS);

  /** `sampleRate` in hertz, 8,000 to 192,000. */
  constructor(sampleRate: number) {
    this.thinner = new Thinner(sampleRate);
    const { rate } = this.thinner;
    this.rate = rate;
    const isWhole = MIDDLES.at(-1)! * REACHES < rate / 2;
    const heard = isWhole ? MIDDLES : MIDDLES.slice(0, TELEPHONE_BANDS);
    this.filters = heard.map((hertz) => new BandFilter(hertz, rate));
    this.size = Math.max(1, Math.round(FRAME * rate));
    this.frameSeconds = this.size / rate;
  }

  /**
   * Each whole frame is told with the mean square of each band; the array is the listener's. Before that the thinned samples are told, the
   * first `count` of a piece.
   */
  push(
    samples: ArrayLike<number>,
    onFrame: (energies: Float64Array) => void,
    onThinned?: (piece: Float64Array, count: number) => void,
  ): void {
    for (let from = 0; from < samples.length; from += PIECE) {
      const count = Math.min(PIECE, samples.length - from);
      // Typed samples are copied by the engine itself, several times as fast.
      if (samples instanceof Float32Array) this.piece.set(samples.subarray(from, from + count));
      else for (let i = 0; i < count; i++) this.piece[i] = samples[from + i]!;
      const left = this.thinner.run(this.piece, count);
      onThinned?.(this.piece, left);
      this.energiesOf(left, onFrame);
    }
  }

  private energiesOf(count: number, onFrame: (energies: Float64Array) => void): void {
    const { size } = this;
    const frames: Float64Array[] = [this.sums];
    for (let at = size - this.filled; at <= count; at += size) frames.push(new Float64Array(BANDS));
    const ends = frames.map((_, n) => Math.min(count, (n + 1) * size - this.filled));
    for (const [k, filter] of this.filters.entries())
      for (const [n, sums] of frames.entries())
        sums[k] = filter.energy(this.piece, n === 0 ? 0 : ends[n - 1]!, ends[n]!, sums[k]!);
    this.filled = (this.filled + count) % size;
    this.sums = frames.pop()!;
    for (const energies of frames) {
      for (let k = 0; k < BANDS; k++) energies[k]! /= size;
      onFrame(energies);
    }
  }
}
