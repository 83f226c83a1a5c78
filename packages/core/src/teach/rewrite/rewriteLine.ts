import { hasOwnLength, type BeatLine, type Entry, type Gap, type Stroke } from '../../line/index.ts';
import { findMove, type Move, type MoveBook } from '../../moves/index.ts';
import { ONE } from '../../units/index.ts';

const ONE_BEAT: Gap = { kind: 'beats', beats: ONE };

/**
 * The same line with each stroke put through `change`; where it gives null the stroke is left out.
 *
 * @example
 * formatLine(mapStrokes(line('1 2'), (stroke) => ({ ...stroke, power: 'touch' }))) // "1' 2'"
 */
export function mapStrokes(
  line: BeatLine,
  change: (stroke: Stroke, place: number) => Stroke | null,
): BeatLine {
  let place = 0;
  const walk = (entries: readonly Entry[]): Entry[] => {
    const kept: Entry[] = [];
    /** Gap of a stroke that was left out: what should have landed together with it takes its place. */
    let left: Gap | null = null;
    for (const entry of entries) {
      const item =
        entry.item.kind === 'stroke'
          ? change(entry.item, place++)
          : entry.item.kind === 'group'
            ? { ...entry.item, entries: walk(entry.item.entries) }
            : entry.item;
      if (item === null || (item.kind === 'group' && item.entries.length === 0)) {
        left ??= entry.gap ?? ONE_BEAT;
        continue;
      }
      const gap = entry.gap?.kind === 'together' ? (left ?? entry.gap) : entry.gap;
      kept.push({ ...entry, item, gap: mendedGap(gap, kept.at(-1)) });
      left = null;
    }
    return kept;
  };
  return { ...line, entries: walk(line.entries) };
}

/** The gap that may stand behind this entry: none at the start or behind what has a length, else some. */
function mendedGap(gap: Gap | null, before: Entry | undefined): Gap | null {
  if (before === undefined || hasOwnLength(before.item)) return null;
  return gap ?? ONE_BEAT;
}

/** Every gap a whole beat, and no rests: the slow form of a broken rhythm. What lands together stays together. */
export function evenGaps(line: BeatLine): BeatLine {
  const walk = (entries: readonly Entry[]): Entry[] => {
    const kept: Entry[] = [];
    for (const entry of entries) {
      if (entry.item.kind === 'rest') continue;
      const item =
        entry.item.kind === 'group' ? { ...entry.item, entries: walk(entry.item.entries) } : entry.item;
      if (item.kind === 'group' && item.entries.length === 0) continue;
      const gap = entry.gap?.kind === 'together' ? entry.gap : ONE_BEAT;
      kept.push({ ...entry, item, gap: mendedGap(gap, kept.at(-1)) });
    }
    return kept;
  };
  return { ...line, entries: walk(line.entries) };
}

/**
 * The line up to and with the stroke at this place among its written strokes. Groups are cut open where they end.
 *
 * @param count written strokes
 */
export function firstStrokes(line: BeatLine, count: number): BeatLine {
  let left = count;
  const take = (entries: readonly Entry[]): Entry[] => {
    const kept: Entry[] = [];
    for (const entry of entries) {
      if (left === 0) break;
      if (entry.item.kind === 'group') {
        const before = left;
        const inner = take(entry.item.entries);
        const isWhole = inner.length === entry.item.entries.length && before > left;
        if (isWhole && left > 0) kept.push(entry);
        else kept.push(...inner.map((each, i) => (i === 0 ? { ...each, gap: entry.gap } : each)));
        continue;
      }
      kept.push(entry);
      if (entry.item.kind === 'stroke') left -= 1;
    }
    return kept;
  };
  return { ...line, entries: take(line.entries), tail: [] };
}

/**
 * The written strokes of a line in order, each once.
 *
 * @example
 * writtenStrokes(line('1 . 2')).map(({ word }) => word) // ['1', '2']
 */
export function writtenStrokes(line: BeatLine): Stroke[] {
  const strokes: Stroke[] = [];
  mapStrokes(line, (stroke) => (strokes.push(stroke), stroke));
  return strokes;
}

/** The move of a stroke of a line that has been read. @throws where the book lacks it */
export function moveOf(stroke: Stroke, book: MoveBook): Move {
  const found = findMove(book, stroke.word);
  if (!found) throw new Error(`the move book has no ${stroke.word}`);
  return found.move;
}
