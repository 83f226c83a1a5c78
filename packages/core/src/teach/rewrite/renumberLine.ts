import { formatLine, parseLine } from '../../line/index.ts';
import { findMove, type MoveBook } from '../../moves/index.ts';
import { mapStrokes } from './rewriteLine.ts';

/**
 * The line with every number whose meaning changes from the old map to the new one written so that it still means the
 * same: by its new number where there is one, else by its code. Null when nothing changes or the line cannot be read.
 *
 * @example
 * renumberLine('1 2', book, moveBook([...book.moves.values()], [{ number: 1, code: 'cross', side: null }])) // 'jab 1'
 */
export function renumberLine(text: string, before: MoveBook, after: MoveBook): string | null {
  const parsed = parseLine(text, before);
  if (!parsed.ok) return null;
  let changed = false;
  const line = mapStrokes(parsed.line, (stroke) => {
    if (!/^\d/.test(stroke.word)) return stroke;
    const [old, now] = [findMove(before, stroke.word)!, findMove(after, stroke.word)];
    if (now && now.move.code === old.move.code && now.side === old.side) return stroke;
    changed = true;
    const moved = [...after.numbers.values()].find(
      (entry) => entry.code === old.move.code && entry.side === old.side,
    );
    if (moved) return { ...stroke, word: String(moved.number) };
    return { ...stroke, word: old.move.code, side: old.side ?? stroke.side };
  });
  return changed ? formatLine(line) : null;
}
