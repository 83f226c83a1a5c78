import { parseLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { lexiconOf } from './lexicon.ts';
import { SIDE_WORDS } from './signs.ts';
import { partsOf } from './wordsOf.ts';

/**
 * Whether a text is to be read as words: it is no line of the notation but has a word that coaches say, or it is one and says
 * "slip left" and the like, which as notation would be a step.
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
  if (parseLine(text, book).ok)
    return words.some((word, i) => {
      const move = lexiconOf(book).names.get(words[i - 1] ?? '')?.[0]?.move;
      return /^(?:left|right)$/.test(word) && move?.side.kind === 'directed';
    });
  const known = lexiconOf(book).words;
  return words.some((word) => /\p{L}{2}/u.test(word) && (known.has(word) || SIDE_WORDS[word] !== undefined));
}
