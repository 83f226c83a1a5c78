import { formatLine, parseLine, placeOnBeats, type BeatLine, type Stroke } from '../../line/index.ts';
import { starterBook } from '../../moves/index.ts';
import { HALF, toNumber } from '../../units/index.ts';
import {
  fillPlaceholder,
  insertStroke,
  nudgeStroke,
  placeOfOffset,
  removeStroke,
  shiftLevel,
} from '../index.ts';

const book = starterBook();
function line(text: string): BeatLine {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return parsed.line;
}
const text = (edited: BeatLine | null): string | null => edited && formatLine(edited);
const beats = (edited: BeatLine): number[] => placeOnBeats(edited).items.map((item) => toNumber(item.beat));

describe('editing a line on its strip', () => {
  it.each([
    ['1 2 3', 1, 1, '1:5/4 2:3/4 3'],
    ['1 2 3', 1, -2, '1-2:3/2 3'],
    ['1 2', 1, -3, '1=2'],
    ['1 {2 3 1}x2', 2, 1, '1 {2:5/4 3:3/4 1}x2'],
    ['1 2', 1, -4, null],
    ['1 2', 0, 1, null],
    ['1 . 2', 1, 1, null],
    ['1+2', 1, 1, null],
    ['1 2', 7, 1, null],
  ])('nudges in %j stroke %i by %i quarters: %j', (before, place, quarters, after) => {
    expect(text(nudgeStroke(line(before), place, quarters))).toBe(after);
  });
  it('leaves every other stroke on its beat', () => {
    const moved = nudgeStroke(line('1 2-3 1'), 1, 1)!;
    expect(beats(moved)).toEqual([0, 1.25, 1.5, 2.5]);
  });
  it.each([
    ['1 2', 0, -1, '1@b 2'],
    ['1@b 2', 0, 1, '1 2'],
    ['1 r:round@l', 1, -1, null],
    ['1 sw', 1, 1, null],
  ] as const)('moves the height in %j of stroke %i by %i: %j', (before, place, up, after) => {
    expect(text(shiftLevel(line(before), place, up, book))).toBe(after);
  });
  it('takes a stroke out and keeps the rest of the line sound', () => {
    expect(text(removeStroke(line('1 2+in 3'), 1))).toBe('1 in 3');
    expect(text(removeStroke(line('1 {2}x2'), 1))).toBe('1');
    expect(removeStroke(line('1'), 0)).toBeNull();
  });
  it.each([
    ['1 2', 0, '1-3 2'],
    ['1 2', null, '1 2-3'],
    ['1 2+in 3', 1, '1 2+in-3 3'],
    ['1 {2}x2', 1, '1 {2-3}x2'],
    ['1 .', null, '1 . 3'],
    ['', null, '3'],
  ])('puts a stroke into %j behind %j: %j', (before, place, after) => {
    const three = line('3').entries[0]!.item as Stroke;
    const start = before === '' ? { entries: [], tail: [] } : line(before);
    expect(text(insertStroke(start, place, three, HALF))).toBe(after);
  });
  it.each([
    ['guard guard-guard!', null, '3 guard-guard!'],
    ['guard guard-guard!', 2, 'guard guard-3!'],
    ['guard 1', 1, null],
    ['1 2', null, null],
  ])('fills a placeholder of %j at %j: %j', (before, place, after) => {
    const three = line('3').entries[0]!.item as Stroke;
    expect(text(fillPlaceholder(line(before), place, 'guard', three))).toBe(after);
  });
  it('finds a written stroke by its place in the text', () => {
    expect([placeOfOffset(line('1 {2 3}x2'), 5), placeOfOffset(line('1 2'), 1)]).toEqual([2, -1]);
  });
});
