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
  const least = samples.map((_, i) => {
    let low = 1;
    for (let j = Math.max(0, i - reach); j <= i + reach && j < wanted.length; j++)
      low = Math.min(low, wanted[j]!);
    return low;
  });
  const held = samples.map((sample, i) => {
    let sum = 0;
    for (let j = i - reach; j <= i + reach; j++) sum += least[Math.min(least.length - 1, Math.max(0, j))]!;
    return (sample * sum) / (2 * reach + 1);
  });
  return { sampleRate, samples: held };
}
