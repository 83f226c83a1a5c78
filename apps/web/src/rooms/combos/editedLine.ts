import { formatLine, parseLine } from '@eurhythm/core/line';
import type { MoveBook } from '@eurhythm/core/moves';
import { nudgeStroke, placeOfOffset, removeStroke, shiftLevel } from '@eurhythm/core/teach';
import type { StripEdit } from '../../strip/stripEdits.ts';

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
