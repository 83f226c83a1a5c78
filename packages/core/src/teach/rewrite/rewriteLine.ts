import {
  hasOwnLength,
  type BeatLine,
  type Entry,
  type Gap,
  type Item,
  type Stroke,
} from '../../line/index.ts';
import { findMove, type Move, type MoveBook } from '../../moves/index.ts';
import { ONE, fraction, toNumber } from '../../units/index.ts';

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
  return mapEntries(line, (entry) => {
    if (entry.item.kind !== 'stroke') return entry;
    const item = change(entry.item, place++);
    return item && { ...entry, item };
  });
}

/**
 * The same line with each entry but groups put through `change`; where it gives null the entry is left out, and what should
 * have landed together with it takes its place. A group that is left empty goes too.
 */
export function mapEntries(line: BeatLine, change: (entry: Entry) => Entry | null): BeatLine {
  const walk = (entries: readonly Entry[]): Entry[] => {
    const kept: Entry[] = [];
    /** Gap of a stroke that was left out. */
    let left: Gap | null = null;
    for (const entry of entries) {
      const { item: own } = entry;
      const inner = own.kind === 'group' ? walk(own.entries) : null;
      const changed =
        own.kind !== 'group'
          ? change(entry)
          : inner!.length === 0
            ? null
            : { ...entry, item: { ...own, entries: inner! } };
      if (changed === null) {
        if (!isWait(own)) left ??= entry.gap ?? ONE_BEAT;
        continue;
      }
      const gap = changed.gap?.kind === 'together' ? (left ?? changed.gap) : changed.gap;
      kept.push({ ...changed, gap: mendedGap(gap, kept.at(-1)) });
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

/** Whether nothing is done meanwhile. */
export function isWait(item: Item): boolean {
  return item.kind === 'rest' || item.kind === 'hold';
}

/**
 * The line without these strokes, and without the waits that belonged to them: those behind them, and those before them where
 * nothing follows.
 */
export function withoutStrokes(line: BeatLine, isGone: (stroke: Stroke) => boolean): BeatLine {
  const gone = new Set<Item>();
  let waits: Item[] = [];
  let isBehindGone = false;
  mapEntries(line, (entry) => {
    const { item } = entry;
    if (item.kind === 'stroke') {
      isBehindGone = isGone(item);
      if (isBehindGone) gone.add(item);
      else waits = [];
    } else if (isWait(item)) {
      if (isBehindGone) gone.add(item);
      else waits.push(item);
    }
    return entry;
  });
  // Waits behind the last stroke that stays are its own, unless something followed that is gone.
  if (isBehindGone) for (const wait of waits) gone.add(wait);
  return gone.size === 0 ? line : mapEntries(line, (entry) => (gone.has(entry.item) ? null : entry));
}

/**
 * Every stroke on a whole beat, not sooner than it was: the slow form of a broken rhythm. Pauses stay, what lands together
 * stays together.
 */
export function evenGaps(line: BeatLine): BeatLine {
  return mapEntries(line, ({ gap, item, ...entry }) => ({
    ...entry,
    gap: gap?.kind === 'beats' ? { kind: 'beats', beats: fraction(Math.ceil(toNumber(gap.beats))) } : gap,
    item: item.kind === 'rest' ? { ...item, beats: ONE } : item,
  }));
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
