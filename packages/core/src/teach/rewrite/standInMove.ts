import { formatLine, parseLine } from '../../line/index.ts';
import { findMove, type MoveBook } from '../../moves/index.ts';
import { mapStrokes } from './rewriteLine.ts';

/**
 * The line with another move wherever it has this one, on the side on which it stood where the other one has a choice. Null
 * when it does not have it, cannot be read, or could not be read with the other one.
 *
 * @example
 * standInMove('1 2', 'cross', 'hook', book) // '1 r:hook'
 */
export function standInMove(text: string, from: string, to: string, book: MoveBook): string | null {
  const parsed = parseLine(text, book);
  const other = book.moves.get(to);
  if (!parsed.ok || !other) return null;
  const hasSides = other.side.kind === 'free' || other.side.kind === 'directed';
  let changed = false;
  const line = mapStrokes(parsed.line, (stroke) => {
    const found = findMove(book, stroke.word);
    if (found?.move.code !== from) return stroke;
    changed = true;
    const { side: own } = found.move;
    const fixed = own.kind === 'fixed' ? own.side : null;
    return { ...stroke, word: to, side: hasSides ? (found.side ?? stroke.side ?? fixed) : null };
  });
  if (!changed) return null;
  const written = formatLine(line);
  return parseLine(written, book).ok ? written : null;
}
