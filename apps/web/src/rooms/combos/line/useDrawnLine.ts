import { useMemo, useState } from 'react';
import type { ComboAnalysis, Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { planCycle } from '@eurhythm/core/rounds';
import { BPM_LIMITS } from '@eurhythm/core/units';
import { BAR_LIMITS, CYCLE_LIMITS, type SaveComboDto } from '@eurhythm/contract';

export interface DrawnLine {
  readonly walk: Walk;
  readonly beats: number;
}

/** What decides the length of a cycle, with usual values for what is still being typed. */
export function rightCycle({
  bpm,
  beatsPerBar,
  cycleBeats,
}: Pick<SaveComboDto, 'bpm' | 'beatsPerBar' | 'cycleBeats'>) {
  const isIn = (value: number, { min, max }: { min: number; max: number }): boolean =>
    value >= min && value <= max;
  return {
    bpm: isIn(bpm, BPM_LIMITS) ? bpm : 90,
    beatsPerBar: isIn(beatsPerBar, BAR_LIMITS) ? Math.floor(beatsPerBar) : 4,
    cycleBeats: cycleBeats !== null && cycleBeats >= 1 ? Math.min(CYCLE_LIMITS.max, cycleBeats) : null,
  };
}

/** The strip of the line, or of the last line that could be read, so that it does not flicker away while typing. */
export function useDrawnLine(
  analysis: ComboAnalysis,
  combo: SaveComboDto,
  lead: Lead,
  book: MoveBook,
): DrawnLine | null {
  const [last, setLast] = useState<DrawnLine | null>(null);
  const { bpm, beatsPerBar, cycleBeats } = rightCycle(combo);
  const now = useMemo((): DrawnLine | null => {
    if (!analysis.ok) return null;
    const cycle = planCycle(
      { id: '', grade: '', number: 1, title: '', line: combo.line, beatsPerBar, cycleBeats },
      book,
      lead,
      bpm,
    );
    return cycle && { walk: analysis.walk, beats: cycle.beats };
  }, [analysis, combo.line, beatsPerBar, cycleBeats, book, lead, bpm]);
  if (now && now !== last) setLast(now);
  return now ?? last;
}
