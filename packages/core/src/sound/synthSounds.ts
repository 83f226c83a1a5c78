import type { Seconds } from '../units/index.ts';
import { seededRandom } from '../units/index.ts';
import type { Sound } from './wav.ts';

/** Ticks and bells; every kind can be distinguished from the others with eyes shut. */
export type SynthSound =
  'tick-bar' | 'tick-beat' | 'tick-half' | 'count-in' | 'last-five' | 'bell-start' | 'bell-end';

interface Partial {
  readonly hertz: number;
  readonly loud: number;
  /** Time in which it falls to 1/e. */
  readonly decay: Seconds;
}

interface Recipe {
  readonly seconds: Seconds;
  readonly partials: readonly Partial[];
  /** Loudness of the click of noise at the start. */
  readonly click: number;
  readonly gain: number;
  /** Instants at which it is struck. */
  readonly strikes: readonly Seconds[];
}

/**
 * A short stroke on something hard, above what speech needs (300 to 3,400 Hz, ITU-T G.712): a tick may sound on a call and takes
 * nothing from its words. The second tone stays below 8 kHz, the most that a small loudspeaker gives.
 */
const struck = (hertz: number, gain: number): Recipe => ({
  seconds: 0.09,
  partials: [
    { hertz, loud: 1, decay: 0.018 },
    { hertz: hertz * 1.29, loud: 0.35, decay: 0.007 },
  ],
  click: 0.25,
  gain,
  strikes: [0],
});

/** Inharmonic partials of a struck brass bell, strike note first. */
const bell = (hertz: number, strikes: readonly Seconds[]): Recipe => ({
  seconds: 1.6 + strikes.at(-1)!,
  partials: [
    { hertz, loud: 1, decay: 0.5 },
    { hertz: hertz * 2.01, loud: 0.55, decay: 0.35 },
    { hertz: hertz * 2.76, loud: 0.45, decay: 0.22 },
    { hertz: hertz * 5.4, loud: 0.2, decay: 0.08 },
  ],
  click: 0.15,
  gain: 0.3,
  strikes,
});

const RECIPES: Readonly<Record<SynthSound, Recipe>> = {
  'tick-bar': struck(4890, 0.42),
  'tick-beat': struck(4180, 0.34),
  'tick-half': struck(3620, 0.22),
  'count-in': struck(5510, 0.4),
  'last-five': struck(6150, 0.36),
  'bell-start': bell(740, [0]),
  'bell-end': bell(740, [0, 0.22, 0.44]),
};

export const SYNTH_SOUNDS = Object.keys(RECIPES) as readonly SynthSound[];

/**
 * How long a tick or bell sounds.
 *
 * @example
 * synthSeconds('bell-start') // 1.6
 */
export function synthSeconds(kind: SynthSound): Seconds {
  return RECIPES[kind].seconds;
}

/**
 * Renders a tick or bell. Its first strike begins at sample 0, at full level, so that its start is its instant.
 *
 * @param sampleRate samples a second
 *
 * @example
 * synthSound('tick-bar', 8000).sampleRate // 8000
 */
export function synthSound(kind: SynthSound, sampleRate: number): Sound {
  const recipe = RECIPES[kind];
  // What the rate cannot hold would come back as another tone.
  const partials = recipe.partials.filter(({ hertz }) => hertz < sampleRate / 2);
  const samples = new Float32Array(Math.round(recipe.seconds * sampleRate));
  const random = seededRandom(11);
  for (const strike of recipe.strikes) {
    const first = Math.round(strike * sampleRate);
    for (let i = first; i < samples.length; i++) {
      const t = (i - first) / sampleRate;
      let sum = recipe.click * Math.exp(-t / 0.002) * (2 * random() - 1);
      for (const { hertz, loud, decay } of partials) {
        sum += loud * Math.exp(-t / decay) * Math.cos(2 * Math.PI * hertz * t);
      }
      samples[i]! += sum * recipe.gain;
    }
  }
  const fade = Math.min(samples.length, Math.round(0.01 * sampleRate));
  for (let i = 0; i < fade; i++) samples[samples.length - 1 - i]! *= i / fade;
  return { sampleRate, samples: samples.map((sample) => Math.max(-0.89, Math.min(0.89, sample))) };
}
