import { quantile } from 'simple-statistics';
import type { Bpm } from '../units/index.ts';

/** How a set was done as a whole. */
export type SetQuality = 'clean' | 'loose' | 'wild';

/** One set of a combo at one tempo. */
export interface TempoSet {
  readonly bpm: Bpm;
  readonly quality: SetQuality;
}

export interface TempoAdvice {
  readonly bpm: Bpm;
  /** Why, in one sentence. */
  readonly sentence: string;
}

/** One step of the ladder. */
export const TEMPO_STEP: Bpm = 4;

/**
 * The tempo of the next set. Clean twice goes up a step, never above `fastest`; loose stays; wild goes back to a step below the last
 * clean tempo. `sets` are those of one combo, oldest first; `fastest` is its fastest clean tempo, null where nothing limits it.
 * Null before the first set.
 *
 * @example
 * nextTempo([{ bpm: 84, quality: 'clean' }, { bpm: 84, quality: 'clean' }], 120).bpm // 88
 */
export function nextTempo(sets: readonly TempoSet[], fastest: Bpm | null): TempoAdvice | null {
  const last = sets.at(-1);
  if (!last) return null;
  const { bpm, quality } = last;
  switch (quality) {
    case 'wild': {
      const clean = sets.findLast((set) => set.quality === 'clean' && set.bpm <= bpm);
      const back = Math.max(TEMPO_STEP, (clean?.bpm ?? bpm) - TEMPO_STEP);
      const from = clean ? `${TEMPO_STEP} below the last clean ${clean.bpm}` : `${TEMPO_STEP} slower`;
      return { bpm: back, sentence: `Wild at ${bpm}: back to ${back}, ${from}.` };
    }
    case 'loose':
      return { bpm, sentence: `Loose at ${bpm}: stay there until it is clean.` };
    case 'clean': {
      const before = sets.at(-2);
      const isTwice = before?.quality === 'clean' && before.bpm >= bpm;
      if (!isTwice) return { bpm, sentence: `Clean once at ${bpm}: once more, then faster.` };
      const up = Math.min(bpm + TEMPO_STEP, Math.max(bpm, Math.floor(fastest ?? Infinity)));
      return up === bpm
        ? { bpm, sentence: `Clean twice at ${bpm}, the fastest that a body does cleanly: stay there.` }
        : { bpm: up, sentence: `Clean twice at ${bpm}: up to ${up}.` };
    }
    default:
      return quality satisfies never;
  }
}

/** Three of four are to be able to do it. */
const SLOWEST = 0.25;

/**
 * The tempo that is right for most of a class: three of four are at least as far. Null of nobody.
 *
 * @example
 * tempoForMost([80, 84, 84, 92]) // 83
 */
export function tempoForMost(tempos: readonly Bpm[]): Bpm | null {
  return tempos.length === 0 ? null : Math.floor(quantile([...tempos], SLOWEST));
}

/**
 * How a whole class did a set: as those who did it worst. Null where nobody said anything of it.
 *
 * @example
 * setQuality(['clean', null, 'loose']) // 'loose'
 */
export function setQuality(marks: readonly (SetQuality | null)[]): SetQuality | null {
  return (['wild', 'loose', 'clean'] as const).find((quality) => marks.includes(quality)) ?? null;
}
