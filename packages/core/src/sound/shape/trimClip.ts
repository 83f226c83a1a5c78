import type { Seconds } from '../../units/index.ts';
import type { Sound } from '../wav.ts';
import { cutOut, type CutSound } from './cutOut.ts';

/** Length of a frame in which it is asked whether something can be heard. */
const FRAME: Seconds = 0.005;
/** A frame this far under the loudest one is silence. */
const SILENCE_DB = -40;
/** Below this nothing is heard at all, in dBFS. */
const NOTHING_DB = -70;

const fromDb = (db: number): number => 10 ** (db / 20);

/**
 * Cuts the silence off a clip: what is more than 40 dB under its loudest frame, but for some milliseconds that fade.
 * Null when the clip is silent.
 *
 * @example
 * trimClip({ sampleRate: 8000, samples: new Float32Array(8000).fill(0.5, 4000, 6000) }).cutBefore > 0.4 // true
 */
export function trimClip({ sampleRate, samples }: Sound): CutSound | null {
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
  return cutOut(
    { sampleRate, samples },
    powers.findIndex(heard) * frame,
    (powers.findLastIndex(heard) + 1) * frame,
  );
}
