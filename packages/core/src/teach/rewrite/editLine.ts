import type { BeatLine, Entry, Stroke } from '../../line/index.ts';
import { LINE_LIMITS, hasOwnLength } from '../../line/index.ts';
import { findMove, type Level, type MoveBook } from '../../moves/index.ts';
import { QUARTER, add, compare, times, ZERO, type Beats } from '../../units/index.ts';
import { mapStrokes } from './rewriteLine.ts';

const LEVELS: readonly Level[] = ['low', 'body', 'head'];

/**
 * Moves a written stroke by quarter beats (negative: earlier) while everything around it stays where it is.
 * `place` counts the written strokes from 0. Null where it cannot move: it would meet its neighbour, it has no gap of
 * its own (the first one, or behind a rest), or the gap could not be written any more.
 *
 * @param place among the written strokes, from 0
 * @param quarters quarter beats
 *
 * @example
 * formatLine(nudgeStroke(line('1 2'), 1, -2)) // '1-2'
 */
export function nudgeStroke(line: BeatLine, place: number, quarters: number): BeatLine | null {
  const by = times(QUARTER, quarters);
  return editAround(line, place, (entries, at) => {
    const before = stretched(entries[at]!, by);
    const next = entries[at + 1];
    const isLast = next === undefined;
    const after = isLast ? null : stretched(next, times(by, -1));
    if (!before || (!isLast && !after)) return null;
    return entries.map((entry, i) => (i === at ? before : i === at + 1 && after ? after : entry));
  });
}

/** The entry with its gap longer by so many beats; null when it has no gap in beats or the new one cannot be written. */
function stretched(entry: Entry, by: Beats): Entry | null {
  if (entry.gap?.kind !== 'beats') return null;
  const beats = add(entry.gap.beats, by);
  const { max } = LINE_LIMITS.gapPart;
  if (compare(beats, ZERO) <= 0 || beats.n > max || beats.d > max) return null;
  return { ...entry, gap: { kind: 'beats', beats } };
}

/**
 * Raises or lowers the target of a written stroke by one height; null when it has none or is at the end of the scale.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * formatLine(shiftLevel(line('1 2'), 1, -1, book)) // '1 2@b'
 */
export function shiftLevel(line: BeatLine, place: number, up: 1 | -1, book: MoveBook): BeatLine | null {
  let done = false;
  const changed = mapStrokes(line, (stroke, at) => {
    const own = at === place ? findMove(book, stroke.word)?.move.level : null;
    if (!own) return stroke;
    const level = LEVELS[LEVELS.indexOf(stroke.level ?? own) + up];
    if (level === undefined) return stroke;
    done = true;
    return { ...stroke, level: level === own ? null : level };
  });
  return done ? changed : null;
}

/**
 * The line with a stroke more, `gap` beats behind the written stroke at `place` (all later ones move on by as much), or
 * at the end of the line when `place` is null.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * formatLine(insertStroke(line('1 2'), 0, writtenStrokes(line('3'))[0], ONE)) // '1 3 2'
 */
export function insertStroke(line: BeatLine, place: number | null, stroke: Stroke, gap: Beats): BeatLine {
  const added: Entry = { gap: { kind: 'beats', beats: gap }, comments: [], item: stroke };
  const behind = (entries: readonly Entry[], at: number): readonly Entry[] => {
    const before = entries[at];
    const entry = before === undefined || hasOwnLength(before.item) ? { ...added, gap: null } : added;
    const next = entries[at + 1];
    // What landed together with the stroke before goes on doing so, and the new one stands behind both.
    if (next?.gap?.kind === 'together') return behind(entries, at + 1);
    return entries.toSpliced(at + 1, 0, entry);
  };
  const edited = place === null ? null : editAround(line, place, behind);
  return edited ?? { ...line, entries: behind(line.entries, line.entries.length - 1) };
}

/**
 * The line with `stroke` in place of the placeholder at `place`, or of the first one when `place` is null; its step, power
 * and shout stay as they were written. Null when no placeholder, a stroke written as `word`, stands there.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * formatLine(fillPlaceholder(line('1 guard'), null, 'guard', writtenStrokes(line('3'))[0])) // '1 3'
 */
export function fillPlaceholder(
  line: BeatLine,
  place: number | null,
  word: string,
  stroke: Stroke,
): BeatLine | null {
  let done = false;
  const filled = mapStrokes(line, (old, at) => {
    if (done || old.word !== word || (place !== null && at !== place)) return old;
    done = true;
    return { ...old, word: stroke.word, side: stroke.side };
  });
  return done ? filled : null;
}

/**
 * The line without a written stroke; null when it is the only one.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * formatLine(removeStroke(line('1 2 3'), 1)) // '1 3'
 */
export function removeStroke(line: BeatLine, place: number): BeatLine | null {
  let count = 0;
  const rest = mapStrokes(line, (stroke, at) => {
    count += 1;
    return at === place ? null : stroke;
  });
  return count > 1 && rest.entries.length > 0 ? rest : null;
}

/**
 * The place of the written stroke whose text begins at this offset, or −1.
 *
 * @param from characters from the start of the text
 *
 * @example
 * placeOfOffset(line('1 2 3'), 4) // 2
 */
export function placeOfOffset(line: BeatLine, from: number): number {
  let found = -1;
  mapStrokes(line, (stroke: Stroke, at) => {
    if (stroke.from === from) found = at;
    return stroke;
  });
  return found;
}

/** Puts the entries around a written stroke through `edit`, at whatever depth it stands. */
function editAround(
  line: BeatLine,
  place: number,
  edit: (entries: readonly Entry[], at: number) => readonly Entry[] | null,
): BeatLine | null {
  let count = 0;
  let failed = false;
  const walk = (entries: readonly Entry[]): readonly Entry[] => {
    let result = entries;
    for (const [at, { item }] of entries.entries()) {
      if (item.kind === 'group') {
        const inner = walk(item.entries);
        if (inner !== item.entries)
          result = result.with(at, { ...result[at]!, item: { ...item, entries: inner } });
      }
      if (item.kind !== 'stroke') continue;
      if (count === place) {
        const edited = edit(result, at);
        failed = edited === null;
        result = edited ?? result;
      }
      count += 1;
    }
    return result;
  };
  const entries = walk(line.entries);
  return failed || place >= count ? null : { ...line, entries };
}
