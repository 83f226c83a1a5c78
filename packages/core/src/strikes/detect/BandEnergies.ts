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

/** A band-pass of the second order takes the difference of two samples (b₁ = 0, b₂ = −b₀). */
interface Band {
  readonly gain: number;
  readonly a: readonly [number, number];
}

const SILENT: Band = { gain: 0, a: [0, 0] };

function bandAbout(hertz: number, rate: number): Band {
  const { b, a } = bandPass(hertz, rate, BAND_Q);
  return { gain: b[0], a };
}

/** Two bands side by side, as fast as one: what a band-pass lets through, squared and added up. */
class BandPair {
  private readonly first: Band;
  private readonly second: Band | null;
  /** The last two samples, and the last two of what each band let through. */
  private readonly last = new Float64Array(6);

  constructor(first: Band, second: Band | null) {
    this.first = first;
    this.second = second;
  }

  /** Adds the energies of the stretches of a piece that end at `ends` to what stands for these bands, from `at` on, in `sums`. */
  add(piece: Float64Array, ends: readonly number[], sums: readonly Float64Array[], at: number): void {
    const { first, second, last } = this;
    const [gain, other] = [first.gain, second ?? SILENT];
    const [a1, a2] = first.a;
    const [otherGain, b1, b2] = [other.gain, ...other.a];
    let [x1, x2, y1, y2, z1, z2] = [last[0]!, last[1]!, last[2]!, last[3]!, last[4]!, last[5]!];
    let i = 0;
    for (let n = 0; n < ends.length; n++) {
      const end = ends[n]!;
      let [sum, otherSum] = [0, 0];
      for (; i < end; i++) {
        const x = piece[i]!;
        const differs = x - x2;
        // What is known longest comes first: the next sample waits for nothing but the last term.
        const y = gain * differs - a2 * y2 - a1 * y1;
        const z = otherGain * differs - b2 * z2 - b1 * z1;
        x2 = x1;
        x1 = x;
        y2 = y1;
        y1 = y;
        z2 = z1;
        z1 = z;
        sum += y * y;
        otherSum += z * z;
      }
      sums[n]![at]! += sum;
      if (second) sums[n]![at + 1]! += otherSum;
    }
    last.set([x1, x2, y1, y2, z1, z2]);
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
  private readonly pairs: readonly BandPair[];
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
    const bands = heard.map((hertz) => bandAbout(hertz, rate));
    this.pairs = bands.flatMap((band, k) => (k % 2 === 0 ? [new BandPair(band, bands[k + 1] ?? null)] : []));
    this.size = Math.max(1, Math.round(FRAME * rate));
    this.frameSeconds = this.size / rate;
  }

  /**
   * Each whole frame is reported with the mean square of each band; the array is the listener's. Before that the thinned samples are reported, the
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
    for (const [k, pair] of this.pairs.entries()) pair.add(this.piece, ends, frames, 2 * k);
    this.filled = (this.filled + count) % size;
    this.sums = frames.pop()!;
    for (const energies of frames) {
      for (let k = 0; k < BANDS; k++) energies[k]! /= size;
      onFrame(energies);
    }
  }
}
