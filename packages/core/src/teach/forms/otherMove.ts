import type { Stroke } from '../../line/index.ts';
import {
  findMove,
  isLegStrike,
  numberOf,
  otherSide,
  type Level,
  type Move,
  type MoveBook,
  type Side,
} from '../../moves/index.ts';

/** The stroke done with another move: with the same limb of the same body, and with the same lead afterwards. */
export function withMove(stroke: Stroke, next: Move, book: MoveBook): Stroke {
  const { move, side: numbered } = findMove(book, stroke.word)!;
  const side =
    move.side.kind === 'fixed'
      ? move.side.side
      : move.side.kind === 'free'
        ? (numbered ?? stroke.side ?? (stroke.keptUp ? null : move.side.usual))
        : stroke.side;
  const flips = move.lead !== next.lead;
  return {
    ...stroke,
    word: next.code,
    side: writtenSide(next, side),
    keptUp: stroke.keptUp && isLegStrike(next),
    step: flips ? (stroke.step === null ? 'through' : null) : stroke.step,
  };
}

const HEIGHTS: readonly (Level | null)[] = [null, 'low', 'body', 'head'];

/** The same with an easier move, which goes no higher than it usually goes. */
export function withEasier(stroke: Stroke, next: Move, book: MoveBook): Stroke {
  const made = withMove(stroke, next, book);
  const isHigher = HEIGHTS.indexOf(made.level) > HEIGHTS.indexOf(next.level);
  return isHigher ? { ...made, level: null } : made;
}

/**
 * The side as it has to be written: none where the move has no choice, or is done from this side without a word.
 *
 * @example
 * writtenSide(walk('3').strokes[0].move, 'rear') // 'rear'
 * writtenSide(walk('3').strokes[0].move, 'front') // null
 */
export function writtenSide(move: Move, side: Side | null): Side | null {
  if (move.side.kind !== 'free' && move.side.kind !== 'directed') return null;
  return move.side.usual === side ? null : side;
}

/**
 * The same stroke of the other side of the body from the same lead, in numbers where it was written so. Null where the book
 * has the move on one side only.
 */
export function onOtherSide(stroke: Stroke, book: MoveBook): Stroke | null {
  const { move, side: numbered } = findMove(book, stroke.word)!;
  if (move.side.kind === 'both' || (move.side.kind === 'none' && move.step.right === 0)) return stroke;
  // A leg that is still up is that of the kick before, whichever it is.
  if (stroke.keptUp && stroke.side === null) return stroke;
  if (move.side.kind === 'free' || move.side.kind === 'directed') {
    const side = otherSide(numbered ?? stroke.side ?? move.side.usual);
    return worded({ ...stroke, word: move.code, side: writtenSide(move, side) }, side, stroke.word, book);
  }
  const other = move.side.kind === 'fixed' ? counterpartOf(move, book) : stepToOtherSide(move, book);
  const fixed = other?.side.kind === 'fixed' ? other.side.side : null;
  return other && worded({ ...stroke, word: other.code, side: null }, fixed, stroke.word, book);
}

/** By its number where the stroke before had one, and the map has one for this. */
function worded(stroke: Stroke, side: Side | null, before: string, book: MoveBook): Stroke {
  const number = /^\d/.test(before) ? numberOf(book, book.moves.get(stroke.word)!, side) : undefined;
  return number === undefined ? stroke : { ...stroke, word: String(number), side: null };
}

/** What is to this move as the cross is to the jab: each is the nearest to the other among those of the other side. */
function counterpartOf(move: Move, book: MoveBook): Move | null {
  const nearest = nearestOnOtherSide(move, book);
  return nearest && nearestOnOtherSide(nearest, book) === move ? nearest : null;
}

function nearestOnOtherSide(move: Move, book: MoveBook): Move | null {
  const { side: own } = move;
  if (own.kind !== 'fixed') return null;
  const farFrom = (each: Move): number =>
    (each.surface === move.surface ? 0 : 1) + Math.abs(each.out + each.back - move.out - move.back);
  const others = [...book.moves.values()].filter(
    (each) =>
      each.side.kind === 'fixed' &&
      each.side.side !== own.side &&
      each.family === move.family &&
      each.limb === move.limb &&
      each.turn === move.turn &&
      each.lead === move.lead,
  );
  return others.reduce<Move | null>(
    (best, each) => (best === null || farFrom(each) < farFrom(best) ? each : best),
    null,
  );
}

function stepToOtherSide(move: Move, book: MoveBook): Move | null {
  const isOther = (each: Move): boolean =>
    each.family === move.family &&
    each.side.kind === move.side.kind &&
    each.step.forward === move.step.forward &&
    each.step.right === -move.step.right;
  return [...book.moves.values()].find(isOther) ?? null;
}
