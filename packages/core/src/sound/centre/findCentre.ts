import type { Seconds } from '../../units/index.ts';
import { FRAME_BANDS, FRAME_HOP, FRAME_SILENT, voicedFrames } from './voicedFrames.ts';
import { VOWEL_CONTEXT, VOWEL_INNER, VOWEL_OUTER } from './vowelWeights.ts';
import type { Sound } from '../wav.ts';

/** The vowel has to go on for so many frames behind its onset to be one. */
const VOWEL_FRAMES = 8;
/** No single frame speaks louder than this for or against a vowel. */
const MOST_LOGIT = 5;

/**
 * What is asked about a frame: the bands around it at the distances of `context`, silence outside of the clip.
 *
 * @param at the frame, from 0
 *
 * @example
 * frameContext([Float64Array.of(1)], 0).length > 0 // true
 */
export function frameContext(
  frames: readonly Float64Array[],
  at: number,
  context = VOWEL_CONTEXT,
): Float64Array {
  const asked = new Float64Array(context.length * FRAME_BANDS + 1);
  for (const [i, offset] of context.entries()) {
    const frame = frames[at + offset];
    for (let band = 0; band < FRAME_BANDS; band++)
      asked[i * FRAME_BANDS + band] = frame?.[band] ?? FRAME_SILENT;
  }
  asked[asked.length - 1] = 1;
  return asked;
}

/**
 * The instant of a spoken clip that belongs on the beat, from its sound alone: where the first vowel begins.
 * Each frame is asked how much it is like a vowel (its formant bands and those around it, weighed by a small network
 * fitted on two synthesisers, whose phones are known); then the one instant is taken that best parts what is no vowel
 * before it from a vowel behind it. Nasals, liquids and fricatives, loud as they are, come to lie before it.
 * Null when the clip is silent.
 *
 * @example
 * findCentre({ sampleRate: 16_000, samples: new Float32Array(0) }) // null
 */
export function findCentre(sound: Sound): Seconds | null {
  const frames = voicedFrames(sound);
  if (!sound.samples.some((sample) => Math.abs(sample) > 1e-4)) return null;
  const logits = frames.map((_, at) =>
    Math.max(-MOST_LOGIT, Math.min(MOST_LOGIT, vowelLogit(frameContext(frames, at)))),
  );
  const isVowel = logits.map((logit) => -Math.log1p(Math.exp(-logit)));
  const isNone = logits.map((logit) => -Math.log1p(Math.exp(logit)));
  const score = (at: number): number => {
    let sum = 0;
    for (let i = 0; i < at; i++) sum += isNone[i]!;
    for (let i = at; i < at + VOWEL_FRAMES; i++) sum += isVowel[i] ?? -MOST_LOGIT;
    return sum;
  };
  const scores = logits.map((_, at) => score(at));
  const best = scores.indexOf(Math.max(...scores));
  return (best + peakOffset(scores, best)) * FRAME_HOP;
}

/** How much more likely a frame belongs to a vowel than not, as the logarithm of the odds. */
function vowelLogit(asked: Float64Array): number {
  const hidden = VOWEL_OUTER.length - 1;
  let logit = VOWEL_OUTER[hidden]!;
  for (let h = 0; h < hidden; h++) {
    let sum = 0;
    for (let i = 0; i < asked.length; i++) sum += asked[i]! * VOWEL_INNER[h * asked.length + i]!;
    logit += Math.tanh(sum) * VOWEL_OUTER[h]!;
  }
  return logit;
}

/** Where between the frames the peak lies, by the parabola through it and its neighbours. */
function peakOffset(scores: readonly number[], at: number): number {
  const [before, peak, after] = [scores[at - 1], scores[at]!, scores[at + 1]];
  if (before === undefined || after === undefined) return 0;
  const bend = before - 2 * peak + after;
  return bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)));
}
