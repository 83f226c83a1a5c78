/**
 * The Fourier transform of `re + i im` in place; both have the same power of two as their length. Radix-2 (Cooley and Tukey 1965).
 * @throws RangeError when the length is no power of two.
 *
 * @example
 * fourier(new Float64Array(8), new Float64Array(8)) // undefined
 */
export function fourier(re: Float64Array, im: Float64Array): void {
  const n = re.length;
  if (n < 2 || (n & (n - 1)) !== 0) throw new RangeError(`no power of two: ${n}`);
  for (let i = 1, j = 0; i < n; i++) {
    let bit = n >> 1;
    for (; j & bit; bit >>= 1) j ^= bit;
    j ^= bit;
    if (i < j) {
      [re[i], re[j]] = [re[j]!, re[i]!];
      [im[i], im[j]] = [im[j]!, im[i]!];
    }
  }
  for (let size = 2; size <= n; size <<= 1) {
    const half = size >> 1;
    const { cos, sin } = twiddles(size);
    for (let start = 0; start < n; start += size) {
      for (let k = 0; k < half; k++) {
        const [a, b] = [start + k, start + k + half];
        const x = re[b]! * cos[k]! - im[b]! * sin[k]!;
        const y = re[b]! * sin[k]! + im[b]! * cos[k]!;
        re[b] = re[a]! - x;
        im[b] = im[a]! - y;
        re[a]! += x;
        im[a]! += y;
      }
    }
  }
}

/**
 * The way back, in place.
 *
 * @example
 * inverseFourier(new Float64Array(8), new Float64Array(8)) // undefined
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
  const re = Float64Array.from(frame);
  const im = new Float64Array(frame.length);
  fourier(re, im);
  return Float64Array.from({ length: frame.length / 2 }, (_, k) => re[k]! ** 2 + im[k]! ** 2);
}

interface Twiddles {
  readonly cos: Float64Array;
  readonly sin: Float64Array;
}

const known = new Map<number, Twiddles>();

function twiddles(size: number): Twiddles {
  let made = known.get(size);
  if (!made) {
    const angles = Float64Array.from({ length: size / 2 }, (_, k) => (-2 * Math.PI * k) / size);
    made = { cos: angles.map(Math.cos), sin: angles.map(Math.sin) };
    known.set(size, made);
  }
  return made;
}
