import { PLACEHOLDER } from '@eurhythm/core/formats';
import { formatLine, parseLine } from '@eurhythm/core/line';
import type { MoveBook } from '@eurhythm/core/moves';
import {
  fillPlaceholder,
  insertStroke,
  nudgeStroke,
  placeOfOffset,
  removeStroke,
  shiftLevel,
} from '@eurhythm/core/teach';
import type { Beats } from '@eurhythm/core/units';
import type { StripEdit } from '../../../strip/stripEdits.ts';

/**
 * The text of a line with one more stroke: in place of a placeholder where one stands, else behind the written stroke that begins at `from`, or at the end when there is
 * none. `word` is a number, or a code with its side; null when the line cannot be read or would become too long.
 */
export function lineWithMove(
  text: string,
  book: MoveBook,
  from: number | null,
  word: string,
  gap: Beats,
): string | null {
  const [parsed, added] = [parseLine(text.trim() === '' ? word : text, book), parseLine(word, book)];
  const stroke = added.ok ? added.line.entries[0]?.item : undefined;
  if (!parsed.ok || stroke?.kind !== 'stroke') return null;
  if (text.trim() === '') return formatLine(parsed.line);
  const found = from === null ? -1 : placeOfOffset(parsed.line, from);
  const place = found < 0 ? null : found;
  const filled = fillPlaceholder(parsed.line, place, PLACEHOLDER, stroke);
  const made = formatLine(filled ?? insertStroke(parsed.line, place, stroke, gap));
  return parseLine(made, book).ok ? made : null;
}

/** The text of a line after an edit on its strip, of the stroke written at `from`; null when the edit cannot be done. */
export function editedLine(text: string, book: MoveBook, from: number, edit: StripEdit): string | null {
  const parsed = parseLine(text, book);
  if (!parsed.ok) return null;
  const place = placeOfOffset(parsed.line, from);
  if (place < 0) return null;
  const line =
    edit.kind === 'nudge'
      ? nudgeStroke(parsed.line, place, edit.quarters)
      : edit.kind === 'height'
        ? shiftLevel(parsed.line, place, edit.up, book)
        : removeStroke(parsed.line, place);
  return line && formatLine(line);
}
