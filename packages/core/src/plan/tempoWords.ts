import { cleanWhenRepeated, walkStance } from '../body/index.ts';
import { parseLine } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { cycleLength, type BlockCombo } from '../rounds/index.ts';
import { SLOW_SHARE } from '../teach/index.ts';
import { BPM_LIMITS, type Bpm } from '../units/index.ts';

/** What "slow" and "full" mean for lines, in beats a minute. */
export interface TempoWords {
  readonly slow: Bpm;
  readonly full: Bpm;
}

/**
 * The tempos that a coach means by "slow" and "full": full is the fastest at which all lines are clean at this pace, from one
 * time through to the next too; slow is the slow practice of it. Null where nothing can be said.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * tempoWords([{ line: '1 2 3', beatsPerBar: 4 }], book, 1.25) // { slow: 184, full: 283 }
 */
export function tempoWords(
  combos: readonly Pick<BlockCombo, 'line' | 'beatsPerBar' | 'cycleBeats'>[],
  book: MoveBook,
  factor: number,
): TempoWords | null {
  const clean = combos.flatMap(({ line, beatsPerBar, cycleBeats }) => {
    const parsed = parseLine(line, book);
    if (!parsed.ok) return [];
    const walk = walkStance(parsed.line, book, 'left');
    const beats = cycleLength(walk, 'left', { beatsPerBar, cycleBeats });
    return cleanWhenRepeated(walk, beats, { factor })?.bpm ?? [];
  });
  if (clean.length === 0) return null;
  const full = within(Math.min(...clean));
  return { slow: within(Math.round(full * SLOW_SHARE)), full };
}

const within = (bpm: Bpm): Bpm => Math.min(BPM_LIMITS.max, Math.max(BPM_LIMITS.min, bpm));
