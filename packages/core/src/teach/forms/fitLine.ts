import { isAboveGrade, youthFault, type Audience } from '../../body/index.ts';
import { formatLine, type BeatLine, type Stroke } from '../../line/index.ts';
import { isLegStrike, isStrike, type Move, type MoveBook } from '../../moves/index.ts';
import { mapStrokes, moveOf, withoutStrokes } from '../rewrite/rewriteLine.ts';
import { withEasier } from './otherMove.ts';

/** A form of a line, with what was changed. */
export interface ChangedLine {
  readonly line: string;
  /** What was changed, one sentence each; empty when nothing had to be. */
  readonly changes: readonly string[];
}

/**
 * The line with what somebody may not do changed, and nothing else: each move above the grade or against the limits of the
 * band by its easier move, a strike to the head by one to the body where the band has no head contact. What has no easier
 * form is left out, with the wait that belonged to it.
 *
 * @example
 * fitLine(line('1 2'), book, ANYBODY).line // '1 2'
 */
export function fitLine(line: BeatLine, book: MoveBook, audience: Audience): ChangedLine {
  const changes: string[] = [];
  return { line: formatLine(fitted(line, book, audience, changes)), changes: [...new Set(changes)] };
}

/** The same as a line that was read; each change is added to `changes`. */
export function fitted(line: BeatLine, book: MoveBook, audience: Audience, changes: string[]): BeatLine {
  const gone = new Set<Stroke>();
  const changed = mapStrokes(line, (stroke) => {
    if (stroke.by === 'holder') return stroke;
    let now = lowered(stroke, book, audience, changes);
    for (let guard = 0; guard < book.moves.size; guard++) {
      const move = moveOf(now, book);
      if (isAllowed(move, audience)) return lowered(now, book, audience, changes);
      const next = move.easier === null ? undefined : book.moves.get(move.easier);
      if (!next) {
        changes.push(`The ${move.name.toLowerCase()} is left out.`);
        break;
      }
      changes.push(`${move.name} becomes ${next.name.toLowerCase()}.`);
      now = withEasier(now, next, book);
    }
    gone.add(now);
    return now;
  });
  return withoutLooseMarks(
    withoutStrokes(changed, (stroke) => gone.has(stroke)),
    book,
  );
}

function isAllowed(move: Move, { grade, youth }: Audience): boolean {
  if (grade && isAboveGrade(move, grade)) return false;
  // Heights are changed on their own.
  return !youth || youthFault(move, null, youth) === null;
}

function lowered(stroke: Stroke, book: MoveBook, { youth }: Audience, changes: string[]): Stroke {
  const move = moveOf(stroke, book);
  if (!youth || youth.headContact || !isStrike(move) || (stroke.level ?? move.level) !== 'head')
    return stroke;
  changes.push(`${move.name} goes to the body.`);
  return { ...stroke, level: 'body' };
}

/** Marks that lean on a stroke before them fall away when that stroke is gone. */
export function withoutLooseMarks(line: BeatLine, book: MoveBook): BeatLine {
  let before: Stroke | null = null;
  /** A leg stays up while the holder does something, so only the fighter's own stroke counts for it. */
  let ownBefore: Stroke | null = null;
  return mapStrokes(line, (stroke) => {
    const kept: Stroke = {
      ...stroke,
      conditional: stroke.conditional && before !== null,
      keptUp: stroke.keptUp && ownBefore !== null && isLegStrike(moveOf(ownBefore, book)),
    };
    before = kept;
    if (kept.by === 'fighter') ownBefore = kept;
    return kept;
  });
}
