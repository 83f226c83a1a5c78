/** What stands in place of a move that is too hard, or not wanted now. */
import { isAboveGrade, youthFault, type Audience } from '../body/index.ts';
import { formatLine, type BeatLine, type Stroke } from '../line/index.ts';
import { findMove, isLegStrike, isStrike, type Move, type MoveBook } from '../moves/index.ts';
import { mapStrokes, moveOf, writtenStrokes } from './rewrite/rewriteLine.ts';

export interface EasierLine {
  readonly line: string;
  /** What was changed, one sentence each; empty when nothing had to be. */
  readonly changes: readonly string[];
}

/**
 * The line with each move replaced by its easier move until nothing is above the grade or against the limits of the
 * band. A strike to the head goes to the body where the band has no head contact. What has no easier form is left out.
 *
 * @example
 * easier(line('1 2'), book, ANYBODY).line // '1 2'
 */
export function easier(line: BeatLine, book: MoveBook, audience: Audience): EasierLine {
  const changes: string[] = [];
  const changed = mapStrokes(line, (stroke) => {
    if (stroke.by === 'holder') return stroke;
    let now = lowered(stroke, book, audience, changes);
    for (let guard = 0; guard < book.moves.size; guard++) {
      const move = moveOf(now, book);
      if (isAllowed(move, audience)) return lowered(now, book, audience, changes);
      if (move.easier === null || !book.moves.has(move.easier)) {
        changes.push(`The ${move.name.toLowerCase()} is left out.`);
        return null;
      }
      const next = book.moves.get(move.easier)!;
      const instead = substituteMove(now, next, book);
      changes.push(`${move.name} becomes ${next.name.toLowerCase()}.`);
      now = instead;
    }
    return null;
  });
  return { line: formatLine(dropLooseMarks(changed, book)), changes: [...new Set(changes)] };
}

/**
 * The line with the move of one written stroke replaced by its easier one, whatever the grade; null where it has none.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * easierAt(line('1 weave 3'), book, 1).changes // ['Weave becomes duck.']
 */
export function easierAt(line: BeatLine, book: MoveBook, place: number): EasierLine | null {
  const stroke = writtenStrokes(line)[place];
  const move = stroke?.by === 'fighter' ? moveOf(stroke, book) : undefined;
  const next = move?.easier ? book.moves.get(move.easier) : undefined;
  if (!move || !next) return null;
  const changed = mapStrokes(line, (each, at) => (at === place ? substituteMove(each, next, book) : each));
  return {
    line: formatLine(dropLooseMarks(changed, book)),
    changes: [`${move.name} becomes ${next.name.toLowerCase()}.`],
  };
}

/** The stroke done with an easier move: with the same limb of the same body, and with the same lead afterwards. */
function substituteMove(stroke: Stroke, next: Move, book: MoveBook): Stroke {
  const { move, side: numbered } = findMove(book, stroke.word)!;
  const side =
    move.side.kind === 'fixed'
      ? move.side.side
      : move.side.kind === 'free'
        ? (numbered ?? stroke.side ?? (stroke.keptUp ? null : move.side.usual))
        : stroke.side;
  const wanted = next.side.kind === 'free' || next.side.kind === 'directed' ? side : null;
  const isUsual = 'usual' in next.side && next.side.usual === wanted;
  const flips = move.lead !== next.lead;
  return {
    ...stroke,
    word: next.code,
    side: isUsual ? null : wanted,
    keptUp: stroke.keptUp && isLegStrike(next),
    step: flips ? (stroke.step === null ? 'through' : null) : stroke.step,
  };
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
function dropLooseMarks(line: BeatLine, book: MoveBook): BeatLine {
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
