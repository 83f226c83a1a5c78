import { walkStance } from '../../../body/index.ts';
import { HOLDER_WORDS } from '../../../calls/index.ts';
import { parseLine } from '../../../line/index.ts';
import type { Lead, MoveBook } from '../../../moves/index.ts';
import { everyCall } from './strokeFormsOf.ts';

/** What is told to a holder, as somebody reads it who is none. */
const READ = [
  [`${HOLDER_WORDS.throws} `, 'holder throws '],
  [`${HOLDER_WORDS.shows} `, 'holder shows '],
] as const;

/**
 * A line in the words in which it is called, for the page and for paper; one that cannot be read is as it is written.
 *
 * @example
 * lineInWords('1-2 3@b', book, 'left') // 'jab, cross, hook body'
 * lineInWords('o:1 2>', book, 'left') // 'holder throws jab, cross forward, right lead'
 */
export function lineInWords(line: string, book: MoveBook, lead: Lead): string {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return line;
  return everyCall(walkStance(parsed.line, book, lead), book)
    .map(({ stroke, forms }) => {
      const text = forms[0] ?? stroke.move.name.toLowerCase();
      const [said, read] = READ.find(([word]) => text.startsWith(word)) ?? ['', ''];
      return `${read}${text.slice(said.length)}`;
    })
    .join(', ');
}
