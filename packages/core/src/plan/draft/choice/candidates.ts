import { isAboveGrade, audienceOf, walkStance, type Audience } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import type { MoveBook } from '../../../moves/index.ts';
import { easier, fitLine } from '../../../teach/index.ts';
import { fittingShape, isTooMuch, type Bounds } from './fittingShape.ts';
import type { LineShape } from './lineShape.ts';
import type { Theme } from './theme.ts';
import type { DraftCombo, DraftGym } from '../wish.ts';

/** A combo that may be drafted for a group, as that group does it. */
export interface Candidate {
  readonly combo: DraftCombo;
  readonly shape: LineShape;
  /** How much of it is of the theme, 0 to 1. */
  readonly theme: number;
  /** The combo of the book that it is, or comes from. */
  readonly bookId: string;
  /** What was changed for the band, in a sentence; null where it is done as it is written. */
  readonly changed: string | null;
}

/**
 * The combos that a grade can be given: its own, and those of the grade below where it has few; none that needs more floor than there
 * is, uses what is not taught any more, or asks what the band should not do. Where only the height is too much, it goes to the body.
 */
export function candidatesOf(gradeId: string, gym: DraftGym, theme: Theme, bounds: Bounds): Candidate[] {
  const audience = audienceOf(gradeId, gym.grades, gym.youth);
  return comboPool(gradeId, gym).flatMap((combo) => candidateOf(combo, audience, gym, theme, bounds) ?? []);
}

/** Fewer combos of its own than this, and a grade repeats those of the one below. */
const FEW = 3;

function comboPool(gradeId: string, { grades, combos }: DraftGym): DraftCombo[] {
  const own = combos.filter((combo) => combo.gradeId === gradeId);
  if (own.length >= FEW) return own;
  const band = grades.find(({ id }) => id === gradeId)?.band;
  const order = grades.filter((grade) => grade.band === band).map(({ id }) => id);
  const below = order[order.indexOf(gradeId) - 1];
  return [...own, ...combos.filter((combo) => combo.gradeId === below)];
}

function candidateOf(
  written: DraftCombo,
  audience: Audience,
  gym: DraftGym,
  theme: Theme,
  bounds: Bounds,
): Candidate | null {
  const { combo, changed } = forAudience(written, audience, gym.book);
  const shape = fittingShape(combo.line, gym, bounds, audience.youth);
  if (!shape) return null;
  return { combo, bookId: written.id, shape, theme: theme.fits(combo, shape), changed };
}

/** A line that the band should not do as it is written, in an easier form and under its own name. */
function forAudience(
  combo: DraftCombo,
  { youth, grade }: Audience,
  book: MoveBook,
): { combo: DraftCombo; changed: string | null } {
  const parsed = parseLine(combo.line, book);
  if (!parsed.ok) return { combo, changed: null };
  const isAbove =
    grade !== null &&
    walkStance(parsed.line, book, 'left').strokes.some(({ move }) => isAboveGrade(move, grade));
  if (!(youth && isTooMuch(combo.line, youth, book)) && !isAbove) return { combo, changed: null };
  const fit = fitLine(parsed.line, book, { grade, youth });
  const isLowered = fit.changes.every((change) => change.endsWith('goes to the body.'));
  // What only goes too high keeps its rhythm and its pauses.
  const { line, changes } = isLowered ? fit : easier(parsed.line, book, { grade, youth });
  if (changes.length === 0 || line === '') return { combo, changed: null };
  const how = isLowered ? 'to the body' : 'made easier';
  const title = `${combo.grade} ${combo.number}, ${how}`;
  return {
    combo: { ...combo, id: `easier.${combo.id}`, grade: '', title, line, beatsPerBar: 4, cycleBeats: null },
    changed: changes.join(' '),
  };
}
