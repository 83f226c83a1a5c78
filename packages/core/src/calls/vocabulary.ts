import type { MoveBook } from '../moves/index.ts';
import { withoutSide } from './callLanguage.ts';
import { numberWord } from './numberWords.ts';
import { SWITCH_BACK_FORMS, TIME_PHRASES, switchForms } from './roundPhrases.ts';

/** What is said in every round, whatever is trained. */
export const ROUND_CALLS: readonly string[] = [
  ...new Set([
    ...Object.values(TIME_PHRASES),
    ...switchForms('left').toReversed(),
    ...switchForms('right').toReversed(),
    ...SWITCH_BACK_FORMS,
    'head',
    'body',
    'low',
  ]),
];

/** Count words from one to this number are part of every gym's vocabulary. */
const COUNTED = 20;

/**
 * Everything a gym calls again and again: what every round says, the numbers, and the moves by long and short names.
 *
 * @example
 * vocabularyOf(book).includes('jab') // true
 */
export function vocabularyOf(book: MoveBook): string[] {
  const moves = [...book.moves.values()].flatMap(({ say }) => [say.long, say.short].map(withoutSide));
  const numbers = Array.from({ length: COUNTED }, (_, i) => numberWord(i + 1));
  const own = [...book.numbers.keys()].map(numberWord);
  return [...new Set([...ROUND_CALLS, ...numbers, ...own, ...moves])];
}
