import { fourier, inverseFourier } from '../../sound/index.ts';

/** How much spectra are evened out: 1 tells the delay sharpest where there is no noise, 0 is a plain correlation. */
const EVENED = 0.8;
/** What is heard with less than this share of the power of what is played is what rounding leaves of nothing. */
const ROUNDED = 1e-18;
/** The correlation at the delay stands out of all others by at least this many of their root mean squares. */
const STANDS_OUT = 9;

/**
 * By how many samples what is played comes later in what is heard, from 0 to `most`; null where it cannot be reported. Both have the same
 * length and begin at the same instant. By the correlation of evened spectra (C. Knapp and G. Carter 1976).
 *
 * @param most samples
 *
 * @example
 * echoDelay([1, -1, 2, 0, 0, 0, 0, 0], [0, 0, 0, 1, -1, 2, 0, 0], 5) // 3
 * echoDelay(new Float32Array(64), new Float32Array(64), 16) // null
 */
export function echoDelay(own: ArrayLike<number>, heard: ArrayLike<number>, most: number): number | null {
  const size = 2 ** Math.ceil(Math.log2(2 * own.length));
  // Two real signals in one transform.
  const [re, im] = [new Float64Array(size), new Float64Array(size)];
  re.set(own);
  im.set(heard);
  fourier(re, im);
  const [crossRe, crossIm] = [new Float64Array(size), new Float64Array(size)];
  for (let k = 0; k < size; k++) {
    const m = (size - k) % size;
    const [xr, xi] = [(re[k]! + re[m]!) / 2, (im[k]! - im[m]!) / 2];
    const [yr, yi] = [(im[k]! + im[m]!) / 2, (re[m]! - re[k]!) / 2];
    const [r, i] = [xr * yr + xi * yi, xr * yi - xi * yr];
    const played = xr * xr + xi * xi;
    if (yr * yr + yi * yi <= ROUNDED * played) continue;
    const even = (r * r + i * i) ** (-EVENED / 2);
    crossRe[k] = even * r;
    crossIm[k] = even * i;
  }
  inverseFourier(crossRe, crossIm);
  let [top, squares] = [0, 0];
  for (let lag = 0; lag <= most; lag++) {
    squares += crossRe[lag]! ** 2;
    if (Math.abs(crossRe[lag]!) > Math.abs(crossRe[top]!)) top = lag;
  }
  const usual = Math.sqrt(squares / (most + 1));
  return usual > 0 && Math.abs(crossRe[top]!) > STANDS_OUT * usual ? top : null;
}
