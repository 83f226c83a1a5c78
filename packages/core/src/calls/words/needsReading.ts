import { parseLine } from '../../line/index.ts';
import { isStrike, type Move, type MoveBook } from '../../moves/index.ts';
import { lexiconOf } from './lexicon.ts';
import { SIDE_WORDS } from './signs.ts';
import { partsOf } from './wordsOf.ts';

/**
 * Whether a text is to be read as words: it is no line of the notation but has a word that coaches say and no code is, or it is one
 * and says "slip left", "left hook" or "back hook", where the side is a code as well.
 *
 * @example
 * needsReading('jab cross slip left', book) // true
 * needsReading('1 2 r:round', book) // false
 */
export function needsReading(text: string, book: MoveBook): boolean {
  const words = partsOf(text, book)
    .flat()
    .filter(({ raw }) => raw === null)
    .map((word) => word.text);
  const { names, words: known } = lexiconOf(book);
  const moveOf = (word: string | undefined): Move | undefined => names.get(word ?? '')?.[0]?.move;
  if (parseLine(text, book).ok)
    return words.some((word, i) => {
      const [before, after] = [moveOf(words[i - 1]), moveOf(words[i + 1])];
      const isOfBoth = before?.side.kind === 'directed' || (after !== undefined && isStrike(after));
      return SIDE_WORDS[word] !== undefined && isOfBoth;
    });
  return words.some(
    (word) =>
      (known.has(word) || SIDE_WORDS[word] !== undefined) && /\p{L}{2}/u.test(word) && !book.moves.has(word),
  );
}
