import { fourier, inverseFourier } from '../../sound/index.ts';

/** So many new samples are worked on at once: 16 ms at 16,000 samples a second. */
export const ECHO_BLOCK = 256;
const SIZE = 2 * ECHO_BLOCK;
/** Bins of the spectrum of a real frame. */
const BINS = ECHO_BLOCK + 1;
/** So much of the way is thought the same from one block to the next: somebody who walks through it changes it within seconds. */
const STAYS = 0.9995;
/** What is known of the way at first, as a variance: nothing. */
const UNKNOWN = 1;
/** The spectrum of what is not own sound goes half-way with the newest blocks: a strike is there at once. */
const REMEMBERS = 0.7;
const LEAST_POWER = 1e-9;

/** A complex spectrum for each part of the way. */
const spectra = (count: number): Float64Array[] =>
  Array.from({ length: count }, () => new Float64Array(BINS));

/**
 * Takes out of what a microphone hears what its own device plays: learns the way from loudspeaker to microphone, room and all, as a long
 * filter, from the two streams themselves, and goes on learning while somebody strikes. A Kalman filter in the frequency domain over a
 * partitioned block (G. Enzner and P. Vary 2006; F. Kuech, E. Mabande and G. Enzner 2014), which learns less the louder everything else is.
 */
export class EchoCanceller {
  /** The length of the way in blocks. */
  readonly parts: number;
  private readonly learns: boolean;
  private readonly ownRe: Float64Array[];
  private readonly ownIm: Float64Array[];
  private readonly wayRe: Float64Array[];
  private readonly wayIm: Float64Array[];
  private readonly unsure: Float64Array[];
  private readonly elsePower = new Float64Array(BINS);
  private readonly before = new Float64Array(ECHO_BLOCK);
  private readonly re = new Float64Array(SIZE);
  private readonly im = new Float64Array(SIZE);
  private readonly sumRe = new Float64Array(BINS);
  private readonly sumIm = new Float64Array(BINS);
  private readonly expected = new Float64Array(BINS);
  /** Blocks since the last one in which anything was played. */
  private quietFor: number;

  /** `parts` blocks of `ECHO_BLOCK` samples are the length of the way; `learns` it, or knows it. */
  constructor(parts: number, learns = true) {
    this.parts = parts;
    this.learns = learns;
    [this.ownRe, this.ownIm] = [spectra(parts), spectra(parts)];
    [this.wayRe, this.wayIm] = [spectra(parts), spectra(parts)];
    this.unsure = spectra(parts).map((part) => part.fill(UNKNOWN));
    this.quietFor = parts + 1;
  }

  /** One that knows as much of the way and learns no more of it, which costs half; it heard nothing yet. */
  learnt(): EchoCanceller {
    return this.copy(false);
  }

  /** One that knows as much of the way; it heard nothing yet. */
  copy(learns = this.learns): EchoCanceller {
    const other = new EchoCanceller(this.parts, learns);
    for (let p = 0; p < this.parts; p++) {
      other.wayRe[p]!.set(this.wayRe[p]!);
      other.wayIm[p]!.set(this.wayIm[p]!);
      other.unsure[p]!.set(this.unsure[p]!);
    }
    return other;
  }

  /**
   * Takes `ECHO_BLOCK` samples that were played and as many that were heard, and gives in `echo` what of the latter was played; it learns
   * of them only where that is wished. False, and no echo, where nothing was played for the length of the way.
   */
  take(
    own: ArrayLike<number>,
    heard: ArrayLike<number>,
    echo: Float64Array,
    { learns = true }: { readonly learns?: boolean } = {},
  ): boolean {
    echo.fill(0);
    if (!this.follow(own)) return false;
    this.expect(echo);
    if (!this.learns || !learns) return true;
    this.spectrumOfRest(heard, echo);
    this.learn();
    return true;
  }

  /** Takes `ECHO_BLOCK` samples that were played where nobody asks what of them is heard; false where nothing was for the length of the way. */
  follow(own: ArrayLike<number>): boolean {
    if (!this.isPlaying(own)) return false;
    this.hearOwn(own);
    return true;
  }

  private isPlaying(own: ArrayLike<number>): boolean {
    let isQuiet = true;
    for (let i = 0; i < ECHO_BLOCK && isQuiet; i++) isQuiet = own[i] === 0;
    this.quietFor = isQuiet ? this.quietFor + 1 : 0;
    if (this.quietFor <= this.parts) return true;
    if (this.quietFor === this.parts + 1) for (const part of [...this.ownRe, ...this.ownIm]) part.fill(0);
    this.before.fill(0);
    return false;
  }

  /** The newest block of what is played, with the one before it, becomes the first part of the past. */
  private hearOwn(own: ArrayLike<number>): void {
    const { re, im, before } = this;
    re.set(before);
    for (let i = 0; i < ECHO_BLOCK; i++) before[i] = re[ECHO_BLOCK + i] = own[i]!;
    im.fill(0);
    fourier(re, im);
    for (const [past, now] of [
      [this.ownRe, re],
      [this.ownIm, im],
    ] as const) {
      const newest = past.pop()!;
      newest.set(now.subarray(0, BINS));
      past.unshift(newest);
    }
  }

  /** What should be heard of it, by the way as it is known; and how unsure that is, bin by bin. */
  private expect(echo: Float64Array): void {
    const { sumRe, sumIm, expected } = this;
    sumRe.fill(0);
    sumIm.fill(0);
    expected.fill(0);
    for (let p = 0; p < this.parts; p++) {
      const [a, b, c, d] = [this.ownRe[p]!, this.ownIm[p]!, this.wayRe[p]!, this.wayIm[p]!];
      const unsure = this.unsure[p]!;
      for (let k = 0; k < BINS; k++) {
        const [x, y] = [a[k]!, b[k]!];
        sumRe[k]! += x * c[k]! - y * d[k]!;
        sumIm[k]! += x * d[k]! + y * c[k]!;
        expected[k]! += unsure[k]! * (x * x + y * y);
      }
    }
    this.spread(sumRe, sumIm, null, null);
    inverseFourier(this.re, this.im);
    for (let i = 0; i < ECHO_BLOCK; i++) echo[i] = this.re[ECHO_BLOCK + i]!;
  }

  /** The spectrum of what is left, in `re` and `im`, and its power over the last blocks. */
  private spectrumOfRest(heard: ArrayLike<number>, echo: Float64Array): void {
    const { re, im, elsePower } = this;
    re.fill(0, 0, ECHO_BLOCK);
    im.fill(0);
    for (let i = 0; i < ECHO_BLOCK; i++) re[ECHO_BLOCK + i] = heard[i]! - echo[i]!;
    fourier(re, im);
    for (let k = 0; k < BINS; k++) {
      const power = re[k]! * re[k]! + im[k]! * im[k]!;
      elsePower[k] = REMEMBERS * elsePower[k]! + (1 - REMEMBERS) * power;
      this.sumRe[k] = re[k]!;
      this.sumIm[k] = im[k]!;
    }
  }

  /** What is left says how the way differs from what was thought, the less so the more of it may be something else. */
  private learn(): void {
    // Two real parts go through one transform.
    for (let p = 0; p < this.parts; p += 2) {
      const [first, second] = [this.step(p), p + 1 < this.parts ? this.step(p + 1) : null];
      this.spread(first.re, first.im, second?.re ?? null, second?.im ?? null);
      inverseFourier(this.re, this.im);
      // The way of a part is no longer than a block.
      this.re.fill(0, ECHO_BLOCK);
      this.im.fill(0, ECHO_BLOCK);
      fourier(this.re, this.im);
      this.walk(p);
    }
  }

  private readonly steps = [0, 1].map(() => ({ re: new Float64Array(BINS), im: new Float64Array(BINS) }));

  private step(p: number): { readonly re: Float64Array; readonly im: Float64Array } {
    const step = this.steps[p % 2]!;
    const { sumRe, sumIm, expected, elsePower } = this;
    const [a, b, c, d] = [this.ownRe[p]!, this.ownIm[p]!, this.wayRe[p]!, this.wayIm[p]!];
    const unsure = this.unsure[p]!;
    const stays = STAYS * STAYS;
    for (let k = 0; k < BINS; k++) {
      const [x, y, r, i] = [a[k]!, b[k]!, sumRe[k]!, sumIm[k]!];
      const gain = unsure[k]! / (expected[k]! + 2 * elsePower[k]! + LEAST_POWER);
      step.re[k] = gain * (x * r + y * i);
      step.im[k] = gain * (x * i - y * r);
      const known = 1 - 0.5 * gain * (x * x + y * y);
      unsure[k] = stays * known * unsure[k]! + (1 - stays) * (c[k]! * c[k]! + d[k]! * d[k]!);
    }
    return step;
  }

  /** Adds the steps of the parts p and p + 1, whose spectra lie in `re` and `im` as that of one complex signal. */
  private walk(p: number): void {
    const { re, im } = this;
    for (const [q, isFirst] of [
      [p, true],
      [p + 1, false],
    ] as const) {
      if (q >= this.parts) continue;
      const [c, d] = [this.wayRe[q]!, this.wayIm[q]!];
      for (let k = 0; k < BINS; k++) {
        const m = k === 0 ? 0 : SIZE - k;
        const [r, i] = isFirst
          ? [(re[k]! + re[m]!) / 2, (im[k]! - im[m]!) / 2]
          : [(im[k]! + im[m]!) / 2, (re[m]! - re[k]!) / 2];
        c[k] = STAYS * (c[k]! + r);
        d[k] = STAYS * (d[k]! + i);
      }
    }
  }

  /** Puts the spectra of one or two real signals into `re` and `im`, the second one as the imaginary part. */
  private spread(
    aRe: Float64Array,
    aIm: Float64Array,
    bRe: Float64Array | null,
    bIm: Float64Array | null,
  ): void {
    const { re, im } = this;
    for (let k = 0; k < BINS; k++) {
      // At both ends the spectrum of a real signal is real.
      const isEnd = k === 0 || k === ECHO_BLOCK;
      const [x, y] = [aRe[k]!, isEnd ? 0 : aIm[k]!];
      const [u, v] = bRe && bIm ? [bRe[k]!, isEnd ? 0 : bIm[k]!] : [0, 0];
      re[k] = x - v;
      im[k] = y + u;
      if (isEnd) continue;
      re[SIZE - k] = x + v;
      im[SIZE - k] = u - y;
    }
  }
}
