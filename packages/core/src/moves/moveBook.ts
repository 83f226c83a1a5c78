import type { Move, NumberedMove, Side, SideNames } from './move.ts';

/** A gym's techniques and its number map, ready to be looked up by what a beat line says. */
export interface MoveBook {
  readonly moves: ReadonlyMap<string, Move>;
  readonly numbers: ReadonlyMap<number, NumberedMove>;
  /** How the gym names the sides when it calls strokes. */
  readonly sides: SideNames;
}

/** What a word of a beat line stands for: the move, and the side when the number fixes it. */
export interface BookEntry {
  readonly move: Move;
  readonly side: Side | null;
}

/**
 * @example
 * moveBook(STARTER_MOVES, STARTER_NUMBERS).moves.has('jab') // true
 */
export function moveBook(
  moves: readonly Move[],
  numbers: readonly NumberedMove[],
  sides: SideNames = 'lead-rear',
): MoveBook {
  return {
    moves: new Map(moves.map((move) => [move.code, move])),
    numbers: new Map(numbers.map((entry) => [entry.number, entry])),
    sides,
  };
}

/**
 * Finds "3" or "round"; undefined when the book does not know it, or when its number points at a move that is gone.
 *
 * @example
 * findMove(book, '1').move.code // 'jab'
 */
export function findMove(book: MoveBook, word: string): BookEntry | undefined {
  if (/^\d/.test(word)) {
    const numbered = book.numbers.get(Number(word));
    const move = numbered && book.moves.get(numbered.code);
    return move && { move, side: numbered.side };
  }
  const move = book.moves.get(word);
  return move && { move, side: null };
}

/**
 * The number that calls the move from this side, or undefined when the map has none.
 *
 * @example
 * numberOf(book, book.moves.get('jab'), 'front') // 1
 */
export function numberOf(book: MoveBook, move: Move, side: Side | null): number | undefined {
  for (const entry of book.numbers.values()) {
    if (entry.code !== move.code) continue;
    if (entry.side === null ? move.side.kind !== 'free' || move.side.usual === side : entry.side === side) {
      return entry.number;
    }
  }
  return undefined;
}
