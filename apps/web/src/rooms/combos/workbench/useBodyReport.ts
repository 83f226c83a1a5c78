import { useMemo } from 'react';
import {
  PACE_FACTORS,
  analyseCombo,
  audienceOf,
  findFindings,
  type BodyReport,
  type ComboAnalysis,
} from '@eurhythm/core/body';
import { cycleLength } from '@eurhythm/core/rounds';
import type { Lead } from '@eurhythm/core/moves';
import type { SaveComboDto } from '@eurhythm/contract';
import { rightCycle } from '../line/useDrawnLine.ts';
import { useBook, useGym } from '../../../server/gymData.ts';

/** What limits the speed to a combo from one lead, in this gym; the report is null while the line cannot be read. */
export function useBodyReport(
  {
    line,
    bpm,
    beatsPerBar,
    cycleBeats,
    gradeId,
  }: Pick<SaveComboDto, 'line' | 'bpm' | 'beatsPerBar' | 'cycleBeats' | 'gradeId'>,
  lead: Lead,
): { readonly analysis: ComboAnalysis; readonly report: BodyReport | null } {
  const book = useBook();
  const { grades, school } = useGym();
  const analysis = useMemo(() => analyseCombo(line, book, lead), [line, book, lead]);
  const report = useMemo(
    () =>
      analysis.ok
        ? findFindings(analysis.walk, book, {
            factor: PACE_FACTORS[school.pace],
            bpm: bpm > 0 ? bpm : null,
            cycleBeats: cycleLength(analysis.walk, lead, rightCycle({ bpm, beatsPerBar, cycleBeats })),
            audience: audienceOf(gradeId, grades, school.youth),
            school,
          })
        : null,
    [analysis, book, lead, school, bpm, beatsPerBar, cycleBeats, gradeId, grades],
  );
  return { analysis, report };
}
