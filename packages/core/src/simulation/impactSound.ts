import { filtered, highPass, lowPass } from '../sound/index.ts';
import { normalDraw, type RandomSource, type Seconds } from '../units/index.ts';

/** What is struck. */
export const STRUCK = ['heavy bag', 'pad', 'mitt'] as const;
export type Struck = (typeof STRUCK)[number];

/** What a thing sounds like: a low tone that dies away, and a short burst of noise. Ranges are drawn from. */
interface Recipe {
  readonly hertz: readonly [number, number];
  /** Time in which the tone falls to 1/e. */
  readonly tone: readonly [Seconds, Seconds];
  readonly noiseFrom: number;
  readonly noiseTo: number;
  readonly noise: readonly [Seconds, Seconds];
  readonly noisy: number;
}

const RECIPES: Readonly<Record<Struck, Recipe>> = {
  'heavy bag': {
    hertz: [60, 110],
    tone: [0.06, 0.12],
    noiseFrom: 700,
    noiseTo: 4000,
    noise: [0.008, 0.016],
    noisy: 1,
  },
  pad: {
    hertz: [150, 300],
    tone: [0.025, 0.05],
    noiseFrom: 900,
    noiseTo: 7000,
    noise: [0.005, 0.011],
    noisy: 1.8,
  },
  mitt: {
    hertz: [200, 400],
    tone: [0.012, 0.027],
    noiseFrom: 1200,
    noiseTo: 7500,
    noise: [0.006, 0.014],
    noisy: 2.8,
  },
};

const LENGTH: Seconds = 0.35;
/** The hand needs about a millisecond from touch to full force. */
const RISE: readonly [Seconds, Seconds] = [0.0005, 0.002];
const FLAT = Math.SQRT1_2;

/**
 * The sound of one impact, close by; its loudest sample is 1 and its first one the touch.
 *
 * @param sampleRate samples a second
 *
 * @example
 * impactSound('pad', 16_000, seededRandom(1)).length // 5600
 */
export function impactSound(
  what: Struck,
  sampleRate: number,
  random: RandomSource,
): Float32Array<ArrayBuffer> {
  const recipe = RECIPES[what];
  const between = ([from, to]: readonly [number, number]): number => from + (to - from) * random();
  const [hertz, tone, noise, rise] = [recipe.hertz, recipe.tone, recipe.noise, RISE].map(between) as [
    number,
    Seconds,
    Seconds,
    Seconds,
  ];
  const count = Math.round(LENGTH * sampleRate);
  const burst = Float32Array.from(
    { length: count },
    (_, i) => normalDraw(random) * Math.exp(-i / sampleRate / noise),
  );
  const top = Math.min(recipe.noiseTo, 0.45 * sampleRate);
  const slap = filtered(
    filtered(burst, highPass(recipe.noiseFrom, sampleRate, FLAT)),
    lowPass(top, sampleRate, FLAT),
  );
  const sound = Float32Array.from({ length: count }, (_, i) => {
    const t = i / sampleRate;
    const low = Math.sin(2 * Math.PI * hertz * t) * Math.exp(-t / tone);
    // What is struck swings in more than one way.
    const second = 0.5 * Math.sin(2 * Math.PI * 1.7 * hertz * t + 1) * Math.exp((-1.5 * t) / tone);
    return Math.min(1, t / rise) * (low + second + recipe.noisy * slap[i]!);
  });
  const most = sound.reduce((max, each) => Math.max(max, Math.abs(each)), 0);
  return sound.map((each) => each / most);
}
