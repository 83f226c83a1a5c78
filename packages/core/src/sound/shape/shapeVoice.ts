import type { Seconds } from '../../units/index.ts';
import { filtered, highPass, lowPass, type Biquad } from './filters.ts';
import type { Sound } from '../wav.ts';

/** How a voice is to sound: so that it carries across a hall, or full, for headphones and at home. */
export const VOICE_SOUNDS = ['hall', 'room'] as const;
export type VoiceSound = (typeof VOICE_SOUNDS)[number];

/** Fourth order, as two filters of second order by Butterworth. */
const BUTTERWORTH = [0.5412, 1.3066] as const;
/** Fourth order by Linkwitz and Riley: what is parted into bands adds up to as loud a whole again. */
const LINKWITZ = [Math.SQRT1_2, Math.SQRT1_2] as const;
/** What a hall and a small loudspeaker swallow, and what rumbles in headphones. */
const LOWEST_HERTZ: Readonly<Record<VoiceSound, number>> = { hall: 300, room: 80 };

/**
 * Noise of a hall covers low sounds most and consonants are the faintest of a voice, so each band is pressed by itself and
 * the upper ones are raised: by so many decibels above so many hertz.
 */
const BANDS = [
  { from: 0, raised: 0 },
  { from: 900, raised: 2 },
  { from: 1800, raised: 4 },
  { from: 3400, raised: 2 },
] as const;

interface Press {
  /** What is louder than so many decibels under the peak of the voice grows only a `ratio`th as much. */
  readonly fromDb: number;
  readonly ratio: number;
  /** How quickly it gives way, and how slowly it comes back. */
  readonly attack: Seconds;
  readonly release: Seconds;
}

/**
 * The figures, as those of the bands, are those with which a speech recogniser made out most calls in pink noise of as many
 * decibels less than the voice as 10 and 5 (`npm run bench hearing`).
 */
const PRESS_BAND: Press = { fromDb: -35, ratio: 3, attack: 0.005, release: 0.03 };
const PRESS_WHOLE: Press = { fromDb: -45, ratio: 2, attack: 0.001, release: 0.03 };

/**
 * Gives a voice the sound that it is to have; its loudness is set afterwards. Nothing is moved by more than the filters need,
 * which is less than a millisecond where a voice is.
 *
 * @example
 * shapeVoice({ sampleRate: 16_000, samples: new Float32Array(10) }, 'hall').samples.length // 10
 */
export function shapeVoice({ sampleRate, samples }: Sound, sound: VoiceSound): Sound {
  const clear = throughBoth(samples, BUTTERWORTH, (q) => highPass(LOWEST_HERTZ[sound], sampleRate, q));
  if (sound === 'room') return { sampleRate, samples: clear };
  const peak = peakOf(clear);
  const whole = new Float32Array(samples.length);
  for (const [i, band] of bandsOf(clear, sampleRate).entries()) {
    const gain = 10 ** (BANDS[i]!.raised / 20);
    pressed(band, peak, PRESS_BAND, sampleRate).forEach((sample, at) => (whole[at]! += gain * sample));
  }
  return { sampleRate, samples: pressed(whole, peakOf(whole), PRESS_WHOLE, sampleRate) };
}

/** A sound parted at the edges of the bands, the lowest first. */
function bandsOf(samples: Float32Array, sampleRate: number): Float32Array[] {
  const bands: Float32Array[] = [];
  let rest = samples;
  for (const { from } of BANDS.slice(1)) {
    bands.push(throughBoth(rest, LINKWITZ, (q) => lowPass(from, sampleRate, q)));
    rest = throughBoth(rest, LINKWITZ, (q) => highPass(from, sampleRate, q));
  }
  return [...bands, rest];
}

function throughBoth(
  samples: Float32Array,
  qs: readonly number[],
  filter: (q: number) => Biquad,
): Float32Array {
  return qs.reduce((heard, q) => filtered(heard, filter(q)), samples);
}

const peakOf = (samples: Float32Array): number =>
  samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);

function pressed(
  samples: Float32Array,
  peak: number,
  { fromDb, ratio, attack, release }: Press,
  sampleRate: number,
): Float32Array {
  const from = peak * 10 ** (fromDb / 20);
  const [up, down] = [follow(attack, sampleRate), follow(release, sampleRate)];
  let level = 0;
  return samples.map((sample) => {
    const now = Math.abs(sample);
    const keep = now > level ? up : down;
    level = keep * level + (1 - keep) * now;
    return level > from ? sample * (from / level) ** (1 - 1 / ratio) : sample;
  });
}

function follow(seconds: Seconds, sampleRate: number): number {
  return Math.exp(-1 / (seconds * sampleRate));
}
