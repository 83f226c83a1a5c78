/**
 * The power spectrum of a real frame: `frame.length` is a power of two; gives |X|² for bins 0 … length/2 − 1.
 * Radix-2, in place (Cooley and Tukey 1965). @throws RangeError when the length is no power of two.
 *
 * @example
 * powerSpectrum(new Float64Array(8)).every((power) => power === 0) // true
 */
export function powerSpectrum(frame: Float64Array): Float64Array {
  const n = frame.length;
  if (n < 2 || (n & (n - 1)) !== 0) throw new RangeError(`no power of two: ${n}`);
  const re = Float64Array.from(frame);
  const im = new Float64Array(n);
  for (let i = 1, j = 0; i < n; i++) {
    let bit = n >> 1;
    for (; j & bit; bit >>= 1) j ^= bit;
    j ^= bit;
    if (i < j) [re[i], re[j]] = [re[j]!, re[i]!];
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
  const power = new Float64Array(n / 2);
  for (let k = 0; k < n / 2; k++) power[k] = re[k]! ** 2 + im[k]! ** 2;
  return power;
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
