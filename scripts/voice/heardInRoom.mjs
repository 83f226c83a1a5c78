/** A clip as a recording of it in a room: quiet before and after, with the room's noise so many decibels under the voice. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';

const { seededRandom } = await import(join(ROOT, 'packages/core/dist/units/index.js'));

/** Hiss, hum of the mains, and the rumble of people and machines. */
const NOISES = {
  hiss: (random) => () => 2 * random() - 1,
  hum: (random, rate) => (i) =>
    Math.sin((2 * Math.PI * 50 * i) / rate) +
    0.4 * Math.sin((2 * Math.PI * 150 * i) / rate) +
    0.1 * (2 * random() - 1),
  rumble: (random) => {
    let [low, middle] = [0, 0];
    return () => {
      const white = 2 * random() - 1;
      low = 0.97 * low + 0.2 * white;
      middle = 0.7 * middle + 0.5 * white;
      return low + 0.3 * middle + 0.1 * white;
    };
  },
};
const KINDS = Object.keys(NOISES);
/** Samples below this are pauses within the voice and do not count for its loudness. */
const AUDIBLE = 0.01;

const rms = (samples) => Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / Math.max(1, samples.length));

/** Gives `{ sound, at }`, `at` being where the clip begins in it, in seconds. `ratio` is in decibels; Infinity for a silent room. */
export function heardInRoom({ sampleRate, samples }, ratio, seed) {
  const random = seededRandom(seed);
  const before = Math.round((0.4 + 0.4 * random()) * sampleRate);
  const after = Math.round((0.4 + 0.3 * random()) * sampleRate);
  const made = new Float32Array(before + samples.length + after);
  made.set(samples, before);
  if (ratio !== Infinity) {
    const noise = Float32Array.from(made, NOISES[KINDS[seed % KINDS.length]](random, sampleRate));
    const gain = rms(samples.filter((x) => Math.abs(x) > AUDIBLE)) / 10 ** (ratio / 20) / rms(noise);
    for (let i = 0; i < made.length; i++) made[i] += gain * noise[i];
  }
  return { sound: { sampleRate, samples: made }, at: before / sampleRate };
}
