import { pinkNoise } from '../sound/index.ts';
import type { RandomSource, Seconds } from '../units/index.ts';
import { convolved, roomResponse } from './roomResponse.ts';

/** A sound at an instant, so loud. */
export interface Placed {
  readonly at: Seconds;
  /** At the rate of the hall. */
  readonly samples: ArrayLike<number>;
  readonly gain: number;
}

/** What a microphone in a hall hears. */
export interface Hall {
  readonly sampleRate: number;
  readonly seconds: Seconds;
  readonly strikes: readonly Placed[];
  /** Decibels of the strikes, in the 50 ms from each, over the noise. */
  readonly signalToNoise: number;
  /** Time in which an echo falls by 60 dB; 0 without. */
  readonly echo: Seconds;
  /** Voices and calls; a gain of 1 makes each as strong as the strikes. */
  readonly voices?: readonly Placed[];
  /** Loudest sample; above 1 it is cut off, as a microphone cuts off what is too loud. */
  readonly peak: number;
}

/** A strike counts for the noise by its first so many seconds. */
const HEARD: Seconds = 0.05;

/**
 * The samples, −1 to 1. The direct sound is not late: a strike begins at its instant.
 *
 * @example
 * hallSound({ sampleRate: 8000, seconds: 1, strikes: [], signalToNoise: 20, echo: 0, peak: 0.5 }, seededRandom(1)).length // 8000
 */
export function hallSound(hall: Hall, random: RandomSource): Float32Array<ArrayBuffer> {
  const { sampleRate, seconds, strikes, voices = [] } = hall;
  const count = Math.round(seconds * sampleRate);
  const dry = new Float64Array(count);
  for (const strike of strikes) add(dry, strike, sampleRate, strike.gain);
  const wet = hall.echo > 0 ? convolved(dry, roomResponse(hall, random)) : dry;
  const strength = strengthOf(wet, strikes, sampleRate);
  const noise = pinkNoise(count, random);
  const loud = strength * 10 ** (-hall.signalToNoise / 20);
  const heard = wet.map((sample, i) => sample + loud * noise[i]!);
  for (const voice of voices) {
    const power = Array.from(voice.samples).reduce((sum, each) => sum + each * each, 0);
    const own = Math.sqrt(power / Math.max(1, voice.samples.length));
    if (own > 0) add(heard, voice, sampleRate, (voice.gain * (strength || 1)) / own);
  }
  const most = heard.reduce((max, each) => Math.max(max, Math.abs(each)), 1e-9);
  const gain = hall.peak / most;
  return Float32Array.from(heard, (each) => Math.max(-1, Math.min(1, each * gain)));
}

function add(to: Float64Array, { at, samples }: Placed, sampleRate: number, gain: number): void {
  const from = Math.round(at * sampleRate);
  for (let i = Math.max(0, -from); i < samples.length && from + i < to.length; i++)
    to[from + i]! += gain * samples[i]!;
}

/** The usual strength of the strikes as they are heard: the root of the mean square. */
function strengthOf(wet: Float64Array, strikes: readonly Placed[], sampleRate: number): number {
  let [sum, count] = [0, 0];
  for (const { at } of strikes) {
    const from = Math.round(at * sampleRate);
    const to = Math.min(wet.length, from + Math.round(HEARD * sampleRate));
    for (let i = from; i < to; i++) sum += wet[i]! ** 2;
    count += Math.max(0, to - from);
  }
  return count === 0 ? 0.1 : Math.sqrt(sum / count);
}
