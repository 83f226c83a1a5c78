import { normalDraw, type RandomSource, type Seconds } from '../units/index.ts';
import type { Sound } from './wav.ts';

/** What is heard of the noise before and behind a call. */
const AROUND: Seconds = 0.3;
/** A sum that would be cut off is turned down to this peak. */
const LOUDEST = 0.9;

/**
 * Noise as of a fan and of many feet, a root mean square of 1 (P. Kellet's sum of three one-pole filters).
 *
 * @param count samples
 *
 * @example
 * pinkNoise(100, seededRandom(1)).length // 100
 */
export function pinkNoise(count: number, random: RandomSource): Float64Array {
  let [slow, middle, fast] = [0, 0, 0];
  const noise = Float64Array.from({ length: count }, () => {
    const white = normalDraw(random);
    slow = 0.99765 * slow + white * 0.099046;
    middle = 0.963 * middle + white * 0.2965164;
    fast = 0.57 * fast + white * 1.0526913;
    return slow + middle + fast + white * 0.1848;
  });
  const power = noise.reduce((sum, each) => sum + each * each, 0) / Math.max(1, count);
  return noise.map((each) => each / Math.sqrt(power || 1));
}

/**
 * A call in pink noise, with 0.3 s of the noise before it and behind it.
 *
 * @param decibels of the call over the noise, both as root mean squares; `Infinity` for quiet
 *
 * @example
 * inNoise({ sampleRate: 1000, samples: new Float32Array(400).fill(0.5) }, 10, seededRandom(1)).samples.length // 1000
 */
export function inNoise({ sampleRate, samples }: Sound, decibels: number, random: RandomSource): Sound {
  const around = Math.round(AROUND * sampleRate);
  const heard = new Float32Array(samples.length + 2 * around);
  heard.set(samples, around);
  const power = samples.reduce((sum, each) => sum + each * each, 0) / Math.max(1, samples.length);
  const gain = Math.sqrt(power) / 10 ** (decibels / 20);
  if (gain > 0) pinkNoise(heard.length, random).forEach((each, i) => (heard[i]! += gain * each));
  const peak = heard.reduce((most, each) => Math.max(most, Math.abs(each)), 0);
  return { sampleRate, samples: heard.map((each) => (each * LOUDEST) / Math.max(LOUDEST, peak)) };
}
