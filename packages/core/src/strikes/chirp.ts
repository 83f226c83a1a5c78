import { fourier, inverseFourier } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';

/** From a low to a high note within so long: no other sound of a hall does that. */
const CHIRP = { seconds: 0.25, from: 500, to: 3500, edge: 0.01 } as const;
/** The echo that is found stands out of all others by this factor (peak over the root of the mean square). */
const STANDS_OUT = 8;

/**
 * A chirp to be played and heard again, −1 to 1.
 *
 * @param sampleRate samples a second
 *
 * @example
 * chirp(8000).length // 2000
 */
export function chirp(sampleRate: number): Float32Array<ArrayBuffer> {
  const { seconds, from, to, edge } = CHIRP;
  return Float32Array.from({ length: Math.round(seconds * sampleRate) }, (_, i) => {
    const t = i / sampleRate;
    const phase = 2 * Math.PI * (from * t + ((to - from) * t * t) / (2 * seconds));
    return 0.8 * Math.min(1, t / edge, (seconds - t) / edge) * Math.sin(phase);
  });
}

/**
 * Where a chirp begins in what was heard, in seconds from its first sample; null where there is none.
 *
 * @param sampleRate samples a second
 *
 * @example
 * ((heard) => (heard.set(chirp(8000), 800), findChirp(heard, 8000)))(new Float32Array(8000)) // 0.1
 */
export function findChirp(heard: Float32Array, sampleRate: number): Seconds | null {
  const played = chirp(sampleRate);
  if (heard.length < played.length) return null;
  const size = 2 ** Math.ceil(Math.log2(heard.length + played.length));
  const padded = (samples: Float32Array): Float64Array => {
    const all = new Float64Array(size);
    all.set(samples);
    return all;
  };
  const [aRe, aIm, bRe, bIm] = [
    padded(heard),
    new Float64Array(size),
    padded(played),
    new Float64Array(size),
  ];
  fourier(aRe, aIm);
  fourier(bRe, bIm);
  // Every frequency counts the same, so that the loudest is not all that is heard (phase transform).
  for (let k = 0; k < size; k++) {
    const re = aRe[k]! * bRe[k]! + aIm[k]! * bIm[k]!;
    const im = aIm[k]! * bRe[k]! - aRe[k]! * bIm[k]!;
    const loud = Math.hypot(bRe[k]!, bIm[k]!) ** 2 + 1e-3 * played.length;
    aRe[k] = re / loud;
    aIm[k] = im / loud;
  }
  inverseFourier(aRe, aIm);
  const end = heard.length - played.length;
  let [best, sum] = [0, 0];
  for (let i = 0; i <= end; i++) {
    sum += aRe[i]! ** 2;
    if (Math.abs(aRe[i]!) > Math.abs(aRe[best]!)) best = i;
  }
  const usual = Math.sqrt(sum / (end + 1));
  return usual > 0 && Math.abs(aRe[best]!) > STANDS_OUT * usual ? best / sampleRate : null;
}
