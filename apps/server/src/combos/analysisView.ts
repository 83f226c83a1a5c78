import { findFindings, type ComboAnalysis, type FindingSettings } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { fractionToText } from '@eurhythm/core/units';
import type { AnalysisView } from '@eurhythm/contract';

/** Tells an analysis in the words of the contract, with the limb clock and the findings at these settings. */
export function analysisView(
  analysis: ComboAnalysis,
  line: string,
  book: MoveBook,
  settings: FindingSettings,
): AnalysisView {
  if (!analysis.ok) return analysis;
  const { walk } = analysis;
  return {
    ok: true,
    beats: fractionToText(walk.beats),
    strokes: walk.strokes.map(({ index, stroke, move, limb, side, level, beat, before, after }) => ({
      index,
      text: line.slice(stroke.from, stroke.to),
      move: move.code,
      by: stroke.by,
      limb,
      side,
      level,
      beat: fractionToText(beat),
      leadBefore: before.lead,
      leadAfter: after.lead,
      feint: stroke.feint,
      power: stroke.power,
      conditional: stroke.conditional,
      shout: stroke.shout,
      from: stroke.from,
      to: stroke.to,
    })),
    endLead: walk.end.lead,
    end: {
      lead: walk.end.lead,
      facing: walk.end.facing,
      place: { forward: walk.end.place.forward, left: 0 - walk.end.place.right },
      stance: walk.end.stance,
    },
    leadChanges: walk.leadChanges.map(({ beat, to, how }) => ({ beat: fractionToText(beat), to, how })),
    ...findFindings(walk, book, settings),
  };
}
