import type { Seconds } from '../../units/index.ts';
import { filtered, highPass, highShelf } from './filters.ts';
import type { Sound } from '../wav.ts';

/** How a voice is to sound: so that it carries across a hall, or full, for headphones and at home. */
export const VOICE_SOUNDS = ['hall', 'room'] as const;
export type VoiceSound = (typeof VOICE_SOUNDS)[number];

/** Fourth order, as two filters of second order by Butterworth. */
const BUTTERWORTH = [0.5412, 1.3066] as const;
/** What a hall and a small loudspeaker swallow, and what rumbles in headphones. */
const LOWEST_HERTZ: Readonly<Record<VoiceSound, number>> = { hall: 500, room: 80 };
/** Consonants carry the words: what is above this is raised. */
const PRESENCE = { hertz: 3000, decibels: 3 } as const;

/**
 * Vowels are turned down towards the consonants: what is louder than `from` under the peak grows only a sixth as much. It is
 * quick to give way and slower to come back. The figures are those with which a speech recogniser made out most calls in
 * pink noise of as many decibels less than the voice as 5 (`npm run bench hearing`).
 */
const PRESS = { fromDb: -45, ratio: 6, attack: 0.001, release: 0.03 } as const;

/**
 * Gives a voice the sound that it is to have; its loudness is set afterwards. Nothing is moved in time.
 *
 * @example
 * shapeVoice({ sampleRate: 16_000, samples: new Float32Array(10) }, 'hall').samples.length // 10
 */
export function shapeVoice({ sampleRate, samples }: Sound, sound: VoiceSound): Sound {
  const clear = BUTTERWORTH.reduce(
    (heard: Float32Array, q) => filtered(heard, highPass(LOWEST_HERTZ[sound], sampleRate, q)),
    samples,
  );
  if (sound === 'room') return { sampleRate, samples: clear };
  const bright = filtered(clear, highShelf(PRESENCE.hertz, sampleRate, PRESENCE.decibels));
  return { sampleRate, samples: pressed(bright, sampleRate) };
}

function pressed(samples: Float32Array, sampleRate: number): Float32Array {
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  const from = peak * 10 ** (PRESS.fromDb / 20);
  const [up, down] = [follow(PRESS.attack, sampleRate), follow(PRESS.release, sampleRate)];
  let level = 0;
  return samples.map((sample) => {
    const now = Math.abs(sample);
    const keep = now > level ? up : down;
    level = keep * level + (1 - keep) * now;
    return level > from ? sample * (from / level) ** (1 - 1 / PRESS.ratio) : sample;
  });
}

function follow(seconds: Seconds, sampleRate: number): number {
  return Math.exp(-1 / (seconds * sampleRate));
}
