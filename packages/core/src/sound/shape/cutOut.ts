import type { Seconds } from '../../units/index.ts';
import type { Sound } from '../wav.ts';

/** Kept around what is heard, and faded, so that nothing clicks. */
const KEEP_BEFORE: Seconds = 0.004;
const KEEP_AFTER: Seconds = 0.01;

/** A sound cut to a stretch of it. */
export interface CutSound {
  readonly sound: Sound;
  /** How much was cut from the start. */
  readonly cutBefore: Seconds;
}

/**
 * A sound from sample `first` to before sample `end`, with some milliseconds around it that fade where something was cut.
 *
 * @param first sample, from 0
 * @param end sample, from 0
 *
 * @example
 * cutOut({ sampleRate: 1000, samples: new Float32Array(100) }, 50, 60).cutBefore // 0.046
 */
export function cutOut({ sampleRate, samples }: Sound, first: number, end: number): CutSound {
  const [before, after] = [KEEP_BEFORE, KEEP_AFTER].map((seconds) => Math.round(seconds * sampleRate)) as [
    number,
    number,
  ];
  const from = Math.max(0, first - before);
  const to = Math.min(samples.length, end + after);
  const cut = samples.slice(from, to);
  for (let i = 0; i < before && from > 0 && i < cut.length; i++) cut[i]! *= i / before;
  for (let i = 0; i < after && to < samples.length && i < cut.length; i++)
    cut[cut.length - 1 - i]! *= i / after;
  return { sound: { sampleRate, samples: cut }, cutBefore: from / sampleRate };
}
