import type { Seconds } from '../../units/index.ts';
import { loudnessOf } from './loudness.ts';
import type { Sound } from '../wav.ts';

/** Loudness of every call: loud in a hall, and speech peaks stay free. */
export const CALL_LUFS = -16;
/** No sample is above this, in dBFS. */
const PEAK_DB = -1;
/** The limiter gives way so long before a peak and comes back so long after. */
const LIMITER: Seconds = 0.003;

const fromDb = (db: number): number => 10 ** (db / 20);

/**
 * Brings a clip to the loudness of every call, −16 LUFS (ITU-R BS.1770), with its peaks held below −1 dBFS.
 *
 * @example
 * levelVoice({ sampleRate: 8000, samples: new Float32Array(80) }).samples.length // 80
 */
export function levelVoice(sound: Sound): Sound {
  const loudness = loudnessOf(sound);
  if (loudness === -Infinity) return sound;
  const gain = fromDb(CALL_LUFS - loudness);
  return limited({ ...sound, samples: sound.samples.map((sample) => sample * gain) });
}

/** Gives way before a peak: the least gain of what is near, smoothed over as long, is never more than a peak allows. */
function limited({ sampleRate, samples }: Sound): Sound {
  const most = fromDb(PEAK_DB);
  const reach = Math.max(1, Math.round(LIMITER * sampleRate));
  const wanted = samples.map((sample) => Math.min(1, most / Math.abs(sample)));
  if (wanted.every((gain) => gain === 1)) return { sampleRate, samples };
  const gains = meanAround(leastAround(wanted, reach), reach);
  return { sampleRate, samples: samples.map((sample, i) => sample * gains[i]!) };
}

/** The least of each value and of so many before and after it. */
function leastAround(values: Float32Array, reach: number): Float32Array {
  // Places of values of which none later in the window is less; the first is the least.
  const places = new Int32Array(values.length);
  let [first, end, next] = [0, 0, 0];
  return values.map((_, i) => {
    for (; next <= Math.min(i + reach, values.length - 1); next++) {
      while (end > first && values[places[end - 1]!]! >= values[next]!) end--;
      places[end++] = next;
    }
    while (places[first]! < i - reach) first++;
    return values[places[first]!]!;
  });
}

/** The mean of each value and of so many before and after it; what is at an edge goes on beyond it. */
function meanAround(values: Float32Array, reach: number): Float64Array {
  const at = (i: number): number => values[Math.min(values.length - 1, Math.max(0, i))]!;
  let sum = 0;
  for (let i = -reach; i <= reach; i++) sum += at(i);
  return Float64Array.from(values, (_, i) => {
    const mean = sum / (2 * reach + 1);
    sum += at(i + reach + 1) - at(i - reach);
    return mean;
  });
}
