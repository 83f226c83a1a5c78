import { fourier, inverseFourier } from '../sound/index.ts';
import { normalDraw, type RandomSource, type Seconds } from '../units/index.ts';

/** First reflections come so soon and so strong; the rest is dense. */
const REFLECTIONS = { count: 8, from: 0.004, to: 0.044, gain: 0.25 } as const;
const DENSE = { from: 0.012, gain: 0.02, at: 48_000 } as const;

export interface Room {
  /** Time in which an echo falls by 60 dB; 0 without. */
  readonly echo: Seconds;
  readonly sampleRate: number;
}

/** What a room gives back of one sample: that sample, the first walls, and a dense rest. */
export function roomResponse({ echo, sampleRate }: Room, random: RandomSource): Float64Array {
  const response = new Float64Array(Math.max(1, Math.round(echo * sampleRate)));
  response[0] = 1;
  const { count, from, to, gain } = REFLECTIONS;
  for (let k = 0; k < count; k++) {
    const at = Math.round((from + (to - from) * random()) * sampleRate);
    if (at < response.length) response[at]! += 2 * gain * (random() - 0.5);
  }
  // Sixty decibels down at its end.
  const dense = DENSE.gain * Math.sqrt(DENSE.at / sampleRate);
  for (let i = Math.round(DENSE.from * sampleRate); i < response.length; i++)
    response[i]! += dense * normalDraw(random) * 10 ** ((-3 * i) / response.length);
  return response;
}

/** A sound in a room, no longer than it was. */
export function convolved(sound: Float64Array, response: Float64Array): Float64Array {
  const size = 2 ** Math.ceil(Math.log2(sound.length + response.length));
  const padded = (samples: Float64Array): [Float64Array, Float64Array] => {
    const re = new Float64Array(size);
    re.set(samples);
    return [re, new Float64Array(size)];
  };
  const [[aRe, aIm], [bRe, bIm]] = [padded(sound), padded(response)];
  fourier(aRe, aIm);
  fourier(bRe, bIm);
  for (let k = 0; k < size; k++) {
    const re = aRe[k]! * bRe[k]! - aIm[k]! * bIm[k]!;
    aIm[k] = aRe[k]! * bIm[k]! + aIm[k]! * bRe[k]!;
    aRe[k] = re;
  }
  inverseFourier(aRe, aIm);
  return aRe.slice(0, sound.length);
}
