import { formatLine, type BeatLine, type Stroke } from '../line/index.ts';
import { findMove, type Move, type MoveBook } from '../moves/index.ts';
import { mapStrokes } from './rewrite/rewriteLine.ts';

/** A line that travels the other way. */
export interface StepsBack {
  readonly line: string;
  /** Names of moves that travel and have no counterpart in the book; they stand as they were. */
  readonly kept: readonly string[];
}

/**
 * The same strokes on the way back: each step becomes the one of the book that travels the other way, and each stroke
 * that steps through steps back through.
 *
 * @example
 * stepBack(line('in 1 2>'), book) // { line: 'out 1 2<', kept: [] }
 */
export function stepBack(line: BeatLine, book: MoveBook): StepsBack {
  const kept = new Set<string>();
  const turned = mapStrokes(line, (stroke): Stroke => {
    const move = stroke.by === 'fighter' ? findMove(book, stroke.word)?.move : undefined;
    if (!move) return stroke;
    const step = stroke.step === null ? null : stroke.step === 'through' ? 'back' : 'through';
    if (move.step.forward === 0 && move.step.right === 0) return { ...stroke, step };
    const counterpart = wayBackOf(move, book);
    if (!counterpart) kept.add(move.name.toLowerCase());
    return counterpart ? { ...stroke, step, word: counterpart.code } : { ...stroke, step };
  });
  return { line: formatLine(turned), kept: [...kept] };
}

/** The move of the same family that only travels the other way. */
function wayBackOf(move: Move, book: MoveBook): Move | null {
  const isWayBack = (each: Move): boolean =>
    each.family === move.family &&
    each.lead === move.lead &&
    each.facing === -move.facing &&
    each.side.kind === move.side.kind &&
    isOpposite(each.step.forward, move.step.forward) &&
    isOpposite(each.step.right, move.step.right);
  return [...book.moves.values()].find(isWayBack) ?? null;
}

const isOpposite = (a: number, b: number): boolean => Math.abs(a + b) < 0.01;
