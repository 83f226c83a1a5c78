import { isAboveGrade, youthFault, walkStance, type Audience, type GymGrade } from '../../body/index.ts';
import { formatLine, parseLine, type Stroke } from '../../line/index.ts';
import { isStrike, numberOf, type Move, type MoveBook, type Side } from '../../moves/index.ts';
import { fitLine, writtenSide } from '../../teach/index.ts';

/** A stroke as people know it: this move, from this side, to this height. */
export interface KnownStroke {
  /** As a beat line writes it. */
  readonly text: string;
  readonly move: Move;
  readonly side: Side | null;
}

/** Fewer strikes than this make no lines. */
const ENOUGH = 2;

/**
 * The strikes and evasions that people know who train these lines: each once, in the order in which they come. Where the lines
 * have too few, what anybody may do of the book is known as well.
 */
export function knownStrokes(lines: readonly string[], book: MoveBook, audience: Audience): KnownStroke[] {
  const known = new Map<string, KnownStroke>();
  for (const text of lines) {
    const own = parseLine(text, book);
    const fit = own.ok ? parseLine(fitLine(own.line, book, audience).line, book) : own;
    if (!fit.ok) continue;
    for (const { stroke, move, side, level } of walkStance(fit.line, book, 'left').strokes) {
      if (stroke.by === 'holder' || !isUsed(move)) continue;
      const each = strokeOf(move, side, level === move.level ? null : level, book);
      if (!known.has(each.text)) known.set(each.text, each);
    }
  }
  const strikes = (): number => [...known.values()].filter(({ move }) => isStrike(move)).length;
  for (const move of book.moves.values()) {
    if (strikes() >= ENOUGH) break;
    if (!isStrike(move) || !isUsed(move) || !isAllowed(move, audience)) continue;
    const toBody = audience.youth && !audience.youth.headContact && move.level === 'head';
    const side =
      move.side.kind === 'fixed' ? move.side.side : move.side.kind === 'free' ? move.side.usual : null;
    const each = strokeOf(move, side, toBody ? 'body' : null, book);
    known.set(each.text, each);
  }
  return [...known.values()];
}

/** Strikes that leave the fighter where he stands, and evasions: what a new line is made of. */
function isUsed(move: Move): boolean {
  return (
    (isStrike(move) || move.family === 'evasion') &&
    move.lead === 'keeps' &&
    move.facing === 0 &&
    move.step.forward === 0 &&
    move.step.right === 0
  );
}

function isAllowed(move: Move, { grade, youth }: Audience): boolean {
  if (grade ? isAboveGrade(move, grade) : move.minGrade !== null) return false;
  return !youth || youthFault(move, 'body', youth) === null;
}

function strokeOf(move: Move, side: Side | null, level: Stroke['level'], book: MoveBook): KnownStroke {
  const number = numberOf(book, move, side);
  const stroke: Stroke = {
    ...{ kind: 'stroke', from: 0, to: 0, by: 'fighter', feint: false, conditional: false, keptUp: false },
    ...{ step: null, power: 'normal', shout: false, level },
    word: number === undefined ? move.code : String(number),
    side: number === undefined ? writtenSide(move, side) : null,
  };
  return { text: formatLine({ entries: [{ gap: null, comments: [], item: stroke }], tail: [] }), move, side };
}

/**
 * The moves that new lines can be made of.
 *
 * @example
 * knownMoves(['1 2', '1 duck 2'], book, ANYBODY).map(({ code }) => code) // ['jab', 'cross', 'duck']
 */
export function knownMoves(lines: readonly string[], book: MoveBook, audience: Audience): Move[] {
  return [...new Set(knownStrokes(lines, book, audience).map(({ move }) => move))];
}

/**
 * The combos that people of a grade train: those of the grade and of the lower ones of its band.
 *
 * @example
 * trainedUpTo('b', [{ id: 'a', name: 'A', band: 'adults' }, { id: 'b', name: 'B', band: 'adults' }], [{ gradeId: 'a' }, { gradeId: 'b' }]).length // 2
 */
export function trainedUpTo<T extends { readonly gradeId: string }>(
  gradeId: string,
  grades: readonly GymGrade[],
  combos: readonly T[],
): T[] {
  const band = grades.find(({ id }) => id === gradeId)?.band;
  const order = grades.filter((grade) => grade.band === band).map(({ id }) => id);
  const known = new Set(order.slice(0, order.indexOf(gradeId) + 1));
  return combos.filter((combo) => known.has(combo.gradeId));
}
