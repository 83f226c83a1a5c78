import { parseLine } from '../line/index.ts';
import { starterBook } from '../moves/index.ts';
import { floorOver, isAtHome, timesWithin, walkStance } from './index.ts';

const book = starterBook();
function walk(text: string) {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
  return walkStance(parsed.line, book, 'left');
}

describe('a line that is done again and again', () => {
  it.each([
    ['1 2', 10, { forward: 0, back: 0, left: 0, right: 0 }],
    ['in-1 out', 10, { forward: 1, back: 0, left: 0, right: 0 }],
    ['in', 3, { forward: 3, back: 0, left: 0, right: 0 }],
    ['in in out', 3, { forward: 4, back: 0, left: 0, right: 0 }],
    ['out right', 2, { forward: 0, back: 2, left: 0, right: 2 }],
    ['in quarter', 2, { forward: 1, back: 0, left: 0, right: 1 }],
    ['in quarter', 40, { forward: 1, back: 0, left: 0, right: 1 }],
    ['in half', 9, { forward: 1, back: 0, left: 0, right: 0 }],
  ])('%s, %d times, needs %j', (text, times, floor) => expect(floorOver(walk(text), times)).toEqual(floor));

  it.each([
    ['in', 4, 4],
    ['in in', 4, 2],
    ['in in in', 2, 0],
    ['in out', 4, null],
    ['in out', 0.5, 0],
    ['in quarter', 1, null],
    ['angle', 2, 2],
  ])('%s within %d steps is done %j times', (text, steps, times) =>
    expect(timesWithin(walk(text), steps)).toBe(times),
  );

  it('begins again where it began, or not', () => {
    expect(['1 2', 'in out', 'in', 'quarter', 'in half in half'].map((text) => isAtHome(walk(text)))).toEqual(
      [true, true, false, false, true],
    );
  });
});
