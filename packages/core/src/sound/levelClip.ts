import type { Seconds } from '../units/index.ts';
import type { Sound } from './wav.ts';

/** Length of a frame in which loudness is looked at. */
const FRAME: Seconds = 0.005;
/** A frame this far under the loudest one is silence. */
const SILENCE_DB = -40;
/** Kept before and after what is heard, so that soft consonants are not cut. */
const KEEP_BEFORE: Seconds = 0.01;
const KEEP_AFTER: Seconds = 0.03;
/** Root mean square of the voiced part after levelling, in dBFS: loud in a hall, and speech peaks stay free. */
const TARGET_RMS_DB = -18;
/** No sample above this after levelling, in dBFS. */
const PEAK_DB = -1;

export interface LevelledClip {
  readonly sound: Sound;
  /** How much was cut from the start. */
  readonly cutBefore: Seconds;
}

const fromDb = (db: number): number => 10 ** (db / 20);

/**
 * Cuts the silence off a clip and brings it to one loudness: the frames within 20 dB of the loudest are the voiced
 * part, and their root mean square becomes −18 dBFS, or less where a peak would pass −1 dBFS.
 * Null when the clip is silent.
 *
 * @example
 * levelClip({ sampleRate: 8000, samples: new Float32Array(8000) }) // null
 */
export function levelClip({ sampleRate, samples }: Sound): LevelledClip | null {
  const frame = Math.max(1, Math.round(FRAME * sampleRate));
  const powers: number[] = [];
  for (let at = 0; at < samples.length; at += frame) {
    let sum = 0;
    const end = Math.min(at + frame, samples.length);
    for (let i = at; i < end; i++) sum += samples[i]! ** 2;
    powers.push(sum / (end - at));
  }
  const loudest = powers.reduce((most, power) => Math.max(most, power), 0);
  if (loudest < fromDb(-70) ** 2) return null;
  const heard = (power: number): boolean => power > loudest * 10 ** (SILENCE_DB / 10);
  const first = powers.findIndex(heard);
  const last = powers.findLastIndex(heard);
  const from = Math.max(0, Math.round(first * frame - KEEP_BEFORE * sampleRate));
  const to = Math.min(samples.length, Math.round((last + 1) * frame + KEEP_AFTER * sampleRate));
  const voiced = powers.filter((power) => power > loudest * 0.01);
  const rms = Math.sqrt(voiced.reduce((sum, power) => sum + power, 0) / voiced.length);
  const cut = samples.slice(from, to);
  const peak = cut.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  const gain = Math.min(fromDb(TARGET_RMS_DB) / rms, fromDb(PEAK_DB) / peak);
  return { sound: { sampleRate, samples: cut.map((sample) => sample * gain) }, cutBefore: from / sampleRate };
}
