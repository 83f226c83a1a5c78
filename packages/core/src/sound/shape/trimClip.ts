import type { Seconds } from '../../units/index.ts';
import type { Sound } from '../wav.ts';

/** Length of a frame in which it is asked whether something can be heard. */
const FRAME: Seconds = 0.005;
/** A frame this far under the loudest one is silence. */
const SILENCE_DB = -40;
/** Kept around what is heard, and faded, so that nothing clicks. */
const KEEP_BEFORE: Seconds = 0.004;
const KEEP_AFTER: Seconds = 0.01;
/** Below this nothing is heard at all, in dBFS. */
const NOTHING_DB = -70;

export interface TrimmedClip {
  readonly sound: Sound;
  /** How much was cut from the start. */
  readonly cutBefore: Seconds;
}

const fromDb = (db: number): number => 10 ** (db / 20);

/**
 * Cuts the silence off a clip: what is more than 40 dB under its loudest frame, but for some milliseconds that fade.
 * Null when the clip is silent.
 *
 * @example
 * trimClip({ sampleRate: 8000, samples: new Float32Array(8000) }) // null
 */
export function trimClip({ sampleRate, samples }: Sound): TrimmedClip | null {
  const frame = Math.max(1, Math.round(FRAME * sampleRate));
  const powers: number[] = [];
  for (let at = 0; at < samples.length; at += frame) {
    let sum = 0;
    const end = Math.min(at + frame, samples.length);
    for (let i = at; i < end; i++) sum += samples[i]! ** 2;
    powers.push(sum / (end - at));
  }
  const loudest = powers.reduce((most, power) => Math.max(most, power), 0);
  if (loudest < fromDb(NOTHING_DB) ** 2) return null;
  const heard = (power: number): boolean => power > loudest * fromDb(SILENCE_DB) ** 2;
  const [before, after] = [KEEP_BEFORE, KEEP_AFTER].map((seconds) => Math.round(seconds * sampleRate)) as [
    number,
    number,
  ];
  const from = Math.max(0, powers.findIndex(heard) * frame - before);
  const to = Math.min(samples.length, (powers.findLastIndex(heard) + 1) * frame + after);
  const cut = samples.slice(from, to);
  for (let i = 0; i < before && from > 0 && i < cut.length; i++) cut[i]! *= i / before;
  for (let i = 0; i < after && to < samples.length && i < cut.length; i++)
    cut[cut.length - 1 - i]! *= i / after;
  return { sound: { sampleRate, samples: cut }, cutBefore: from / sampleRate };
}
