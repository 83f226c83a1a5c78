import { analyseCombo, cleanTempo, limbClock, repeatClock } from '../body/index.ts';
import type { MoveBook } from '../moves/index.ts';
import type { Cycle } from '../rounds/index.ts';
import type { RoundToPlay } from '../run/index.ts';
import type { Bpm } from '../units/index.ts';
import { nextTempo, setQuality, type SetQuality, type TempoAdvice } from './nextTempo.ts';

export interface Ladder {
  /** The rounds as they are played. */
  readonly rounds: readonly Pick<RoundToPlay, 'cycles' | 'combos'>[];
  /** The round whose work is over. */
  readonly round: number;
  readonly book: MoveBook;
  /** Pace of those who train. */
  readonly factor: number;
  /** What was said of everybody's round; null of who was not marked. */
  qualities(round: number): readonly (SetQuality | null)[];
}

export interface LadderAdvice extends TempoAdvice {
  /** So much faster than planned the next round would go; null where it has another combo or none, or goes like that already. */
  readonly by: Bpm | null;
}

const bpmOf = (cycle: Cycle): Bpm => Math.round(60 / cycle.beatSeconds);

/**
 * What the marks of a round say about the tempo of the next one with the same combo; null where there is no combo, or nobody was marked.
 *
 * @example
 * ladderAdvice({ rounds: [], round: 0, book, factor: 1, qualities: () => [] }) // null
 */
export function ladderAdvice({ rounds, round, book, factor, qualities }: Ladder): LadderAdvice | null {
  const done = rounds[round]?.cycles.at(-1);
  if (!done) return null;
  const sets = rounds.slice(0, round + 1).flatMap(({ cycles }, i) => {
    const last = cycles.findLast(({ combo }) => combo === done.combo);
    const quality = setQuality(qualities(i));
    return last && quality ? [{ bpm: bpmOf(last), quality }] : [];
  });
  if (setQuality(qualities(round)) === null) return null;
  const advice = nextTempo(sets, fastestOf(rounds[round]!, done, book, factor));
  if (!advice) return null;
  const next = rounds[round + 1]?.cycles.find(({ combo }) => combo === done.combo);
  const by = next ? advice.bpm - bpmOf(next) : 0;
  return { ...advice, by: by === 0 ? null : by };
}

function fastestOf(
  { combos }: Pick<RoundToPlay, 'combos'>,
  cycle: Cycle,
  book: MoveBook,
  factor: number,
): Bpm | null {
  const line = cycle.line ?? combos.find(({ id }) => id === cycle.combo)?.line ?? '';
  const analysis = analyseCombo(line, book, cycle.lead);
  if (!analysis.ok) return null;
  const { walk } = analysis;
  const repeat = repeatClock(walk, cycle.beats, { factor });
  return cleanTempo({ ...limbClock(walk, { factor }), repeat })?.bpm ?? null;
}
