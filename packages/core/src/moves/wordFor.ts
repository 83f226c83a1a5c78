import type { MoveBook } from './moveBook.ts';
import { nearestWord } from './nearestWord.ts';

/**
 * The code meant by a word that the book does not know: by its name, an alias, or a slip of the pen; null when none is near.
 *
 * @example
 * wordFor(book, 'jab') // 'jab'
 */
export function wordFor(book: MoveBook, word: string): string | null {
  return namesOf(book).get(word.toLowerCase()) ?? nearestWord(word, book.moves.keys());
}

type Names = ReadonlyMap<string, string>;
const known = new WeakMap<MoveBook, Names>();

/** The codes of a book by what else their moves are called, in letters alone; the first move keeps a name that two have. */
function namesOf(book: MoveBook): Names {
  let names = known.get(book);
  if (!names) {
    const all = [...book.moves.values()].flatMap((move) =>
      [move.name, move.say.short, ...move.aliases].map(
        (name) => [name.toLowerCase().replaceAll(/[^\p{L}]/gu, ''), move.code] as const,
      ),
    );
    known.set(book, (names = new Map(all.reverse())));
  }
  return names;
}
