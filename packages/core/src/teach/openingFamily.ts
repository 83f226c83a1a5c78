import { parseLine } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { sharedOpening } from './variants.ts';

export interface OpensAlike<T> {
  readonly combo: T;
  /** Strokes that both have in common from the first one on. */
  readonly strokes: number;
}

/**
 * The combos that open with at least two strokes of this line, or with all of a shorter one; the closest first.
 *
 * @example
 * openingFamily('1 2 3', [{ line: '1 2 r:round' }], book).length // 1
 */
export function openingFamily<T extends { readonly line: string }>(
  line: string,
  others: readonly T[],
  book: MoveBook,
): OpensAlike<T>[] {
  const own = parseLine(line, book);
  if (!own.ok) return [];
  return others
    .flatMap((combo) => {
      const parsed = parseLine(combo.line, book);
      const strokes = parsed.ok ? sharedOpening(own.line, parsed.line, book) : 0;
      return strokes >= 2 ? [{ combo, strokes }] : [];
    })
    .sort((a, b) => b.strokes - a.strokes);
}
