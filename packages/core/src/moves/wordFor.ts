import type { MoveBook } from './moveBook.ts';
import { nearestWord } from './nearestWord.ts';

/** The code meant by a word that the book does not know: by its name, an alias, or a slip of the pen; null when none is near. */
export function wordFor(book: MoveBook, word: string): string | null {
  const wanted = word.toLocaleLowerCase();
  for (const move of book.moves.values()) {
    const names = [move.name, move.say.short, ...move.aliases];
    if (names.some((name) => name.toLocaleLowerCase().replaceAll(/[^\p{L}]/gu, '') === wanted))
      return move.code;
  }
  return nearestWord(word, book.moves.keys());
}
