import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { lineInWords } from '@eurhythm/core/rounds';

/** Tells a line in words that fighters know; a line that cannot be read is reported as it is written. */
export type LineTeller = (line: string, lead: Lead) => string;

/**
 * Tells lines with a book, each worked out once.
 *
 * @example
 * lineTeller(book)('1-2 3@b', 'left') // 'jab, cross, hook body'
 */
export function lineTeller(book: MoveBook): LineTeller {
  const known = new Map<string, string>();
  return (line, lead) => {
    const key = `${lead} ${line}`;
    const text = known.get(key) ?? lineInWords(line, book, lead);
    known.set(key, text);
    return text;
  };
}
