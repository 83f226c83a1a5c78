import { useMemo, useState } from 'react';
import type { ComboAnalysis, Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { planCycle } from '@eurhythm/core/rounds';
import { BAR_LIMITS, type SaveComboDto } from '@eurhythm/contract';

export interface DrawnLine {
  readonly walk: Walk;
  readonly beats: number;
}

/** The strip of the line, or of the last line that could be read, so that it does not flicker away while typing. */
export function useDrawnLine(
  analysis: ComboAnalysis,
  combo: SaveComboDto,
  lead: Lead,
  book: MoveBook,
): DrawnLine | null {
  const [last, setLast] = useState<DrawnLine | null>(null);
  const bpm = combo.bpm >= 20 && combo.bpm <= 300 ? combo.bpm : 90;
  const beatsPerBar =
    combo.beatsPerBar >= BAR_LIMITS.min && combo.beatsPerBar <= BAR_LIMITS.max
      ? Math.floor(combo.beatsPerBar)
      : 4;
  const cycleBeats =
    combo.cycleBeats !== null && combo.cycleBeats >= 1 ? Math.min(64, combo.cycleBeats) : null;
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
