import { findMove, type MoveBook } from '../../moves/index.ts';
import { MOST_COUNTED, type Sides } from '../../rounds/index.ts';
import type { DraftTechnique } from './draftWish.ts';

/** A technique as a grade's list holds it: a move with the side it is written with, or a combo of the book. */
interface ListedTechnique {
  readonly move: string | null;
  readonly reps: number;
  readonly sides: Sides;
  readonly sets: number;
  readonly restSeconds: number;
}

/**
 * A technique of a grade as it is counted in a class, as far as the voice has words for its count; null when its move is
 * not in the book. `combo` is the one that it names.
 *
 * @example
 * countedTechnique({ move: 'r:round', reps: 15, sides: 'both', sets: 2, restSeconds: 20 }, undefined, book).title // 'Round kick'
 */
export function countedTechnique(
  { move, reps, sides, sets, restSeconds }: ListedTechnique,
  combo: { readonly title: string; readonly line: string } | undefined,
  book: MoveBook,
): DraftTechnique | null {
  const counts = { reps: Math.min(MOST_COUNTED, reps), sides, sets, rest: restSeconds };
  if (combo) return { ...counts, title: combo.title, line: combo.line };
  const line = move ?? '';
  const found = findMove(book, line.replace(/^[fr]:/, ''));
  return found ? { ...counts, title: found.move.name, line } : null;
}
