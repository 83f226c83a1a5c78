/**
 * The Fourier transform of `re + i im` in place; both have the same power of two as their length. Radix-2 (Cooley and Tukey 1965).
 * @throws RangeError when the length is no power of two.
 *
 * @example
 * ((re, im) => (fourier(re, im), [...re]))(Float64Array.of(1, 1, 1, 1), new Float64Array(4)) // [4, 0, 0, 0]
 */
export function fourier(re: Float64Array, im: Float64Array): void {
  const n = re.length;
  if (n < 2 || (n & (n - 1)) !== 0) throw new RangeError(`no power of two: ${n}`);
  const { swaps, stages } = planOf(n);
  for (let k = 0; k < swaps.length; k += 2) {
    const i = swaps[k]!;
    const j = swaps[k + 1]!;
    const x = re[i]!;
    const y = im[i]!;
    re[i] = re[j]!;
    im[i] = im[j]!;
    re[j] = x;
    im[j] = y;
  }
  if (n >= 4) firstTwoStages(re, im);
  for (const { cos, sin } of stages) {
    const half = cos.length;
    for (let start = 0; start < n; start += 2 * half) {
      for (let k = 0; k < half; k++) {
        const a = start + k;
        const b = a + half;
        const c = cos[k]!;
        const s = sin[k]!;
        const x = re[b]! * c - im[b]! * s;
        const y = re[b]! * s + im[b]! * c;
        const u = re[a]!;
        const v = im[a]!;
        re[b] = u - x;
        im[b] = v - y;
        re[a] = u + x;
        im[a] = v + y;
      }
    }
  }
}

/** Four at a time: their factors are 1 and −i. */
function firstTwoStages(re: Float64Array, im: Float64Array): void {
  for (let i = 0; i < re.length; i += 4) {
    const ar = re[i]! + re[i + 1]!;
    const ai = im[i]! + im[i + 1]!;
    const br = re[i]! - re[i + 1]!;
    const bi = im[i]! - im[i + 1]!;
    const cr = re[i + 2]! + re[i + 3]!;
    const ci = im[i + 2]! + im[i + 3]!;
    const dr = re[i + 2]! - re[i + 3]!;
    const di = im[i + 2]! - im[i + 3]!;
    re[i] = ar + cr;
    im[i] = ai + ci;
    re[i + 1] = br + di;
    im[i + 1] = bi - dr;
    re[i + 2] = ar - cr;
    im[i + 2] = ai - ci;
    re[i + 3] = br - di;
    im[i + 3] = bi + dr;
  }
}

/**
 * The way back, in place.
 *
 * @example
 * ((re, im) => (inverseFourier(re, im), [...re]))(Float64Array.of(4, 0, 0, 0), new Float64Array(4)) // [1, 1, 1, 1]
 */
export function inverseFourier(re: Float64Array, im: Float64Array): void {
  fourier(im, re);
  for (let i = 0; i < re.length; i++) {
    re[i]! /= re.length;
    im[i]! /= re.length;
  }
}

/**
 * The power spectrum of a real frame: `frame.length` is a power of two; gives |X|² for bins 0 … length/2 − 1.
 * @throws RangeError when the length is no power of two.
 *
 * @example
 * powerSpectrum(new Float64Array(8)).every((power) => power === 0) // true
 */
export function powerSpectrum(frame: Float64Array): Float64Array {
  const re = new Float64Array(frame);
  const im = new Float64Array(frame.length);
  fourier(re, im);
  const power = new Float64Array(frame.length / 2);
  for (let k = 0; k < power.length; k++) power[k] = re[k]! * re[k]! + im[k]! * im[k]!;
  return power;
}

/** What a length needs of its own: which samples change places, and for each stage, from the third on, the factors of its halves. */
interface Plan {
  readonly swaps: Uint32Array;
  readonly stages: readonly { readonly cos: Float64Array; readonly sin: Float64Array }[];
}

const known = new Map<number, Plan>();

function planOf(n: number): Plan {
  const made = known.get(n);
  if (made) return made;
  const swaps: number[] = [];
  for (let i = 1, j = 0; i < n; i++) {
    let bit = n >> 1;
    for (; j & bit; bit >>= 1) j ^= bit;
    j ^= bit;
    if (i < j) swaps.push(i, j);
  }
  const stages = [];
  for (let half = n < 4 ? 1 : 4; half < n; half <<= 1) {
    const angles = Float64Array.from({ length: half }, (_, k) => (-Math.PI * k) / half);
    stages.push({ cos: angles.map(Math.cos), sin: angles.map(Math.sin) });
  }
  const plan = { swaps: Uint32Array.from(swaps), stages };
  known.set(n, plan);
  return plan;
}
