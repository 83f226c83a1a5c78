import { analyseCombo, type Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';

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
    const text = known.get(key) ?? tell(line, lead, book);
    known.set(key, text);
    return text;
  };
}

function tell(line: string, lead: Lead, book: MoveBook): string {
  const analysis = analyseCombo(line, book, lead);
  return analysis.ok ? wordsOf(analysis.walk) : line;
}

/** Short names in order; a height where it is another than usual. */
function wordsOf({ strokes }: Walk): string {
  return strokes
    .map(({ move, stroke }) =>
      [
        ...(stroke.by === 'holder' ? ['holder'] : []),
        move.say.short,
        ...(stroke.level === null ? [] : [stroke.level]),
      ].join(' '),
    )
    .join(', ');
}
