import type { RandomSource, Seconds } from '../units/index.ts';
import { impactSound } from './impactSound.ts';

/** Chords of a slow song, in hertz: a low string and three higher ones. */
const CHORDS: readonly (readonly number[])[] = [
  [110, 220, 277.2, 329.6],
  [146.8, 293.7, 370, 440],
  [123.5, 246.9, 293.7, 370],
  [164.8, 329.6, 415.3, 493.9],
];
const CHORD: Seconds = 1.2;
/** A string's overtones, each half as strong as the one below it, and how soon it dies away. */
const OVERTONES = 6;
const RINGS: Seconds = 0.8;
const STRING = 0.12;
/** A drum on every beat, so strong. */
const BEAT: Seconds = 0.6;
const DRUM = 0.4;

/**
 * Music as it comes from a loudspeaker in a hall: plucked chords and a drum; its loudest sample is below 1.
 *
 * @example
 * musicSound({ sampleRate: 8000, seconds: 1 }, seededRandom(1)).length // 8000
 */
export function musicSound(
  { sampleRate, seconds }: { readonly sampleRate: number; readonly seconds: Seconds },
  random: RandomSource,
): Float32Array<ArrayBuffer> {
  const samples = new Float32Array(Math.round(seconds * sampleRate));
  for (let n = 0; n * CHORD < seconds; n++)
    for (const hertz of CHORDS[n % CHORDS.length]!)
      pluck(samples.subarray(Math.round(n * CHORD * sampleRate)), hertz, sampleRate);
  for (let at = 0; at < seconds; at += BEAT) {
    const into = samples.subarray(Math.round(at * sampleRate));
    const drum = impactSound('heavy bag', sampleRate, random).subarray(0, into.length);
    for (const [i, sample] of drum.entries()) into[i]! += DRUM * sample;
  }
  const most = samples.reduce((max, each) => Math.max(max, Math.abs(each)), 1);
  return samples.map((sample) => sample / most);
}

/** Adds a string that was plucked, until the next chord. */
function pluck(into: Float32Array, hertz: number, sampleRate: number): void {
  const count = Math.min(into.length, Math.round(CHORD * sampleRate));
  for (let k = 1; k <= OVERTONES && k * hertz < sampleRate / 2; k++)
    for (let i = 0; i < count; i++) {
      const time = i / sampleRate;
      into[i]! +=
        (STRING / 2 ** (k - 1)) * Math.sin(2 * Math.PI * k * hertz * time) * Math.exp(-time / RINGS);
    }
}
