import fc from 'fast-check';
import { moveBook, STARTER_MOVES, STARTER_NUMBERS } from '@eurhythm/core/moves';
import { demandsOf, strikesOfBlock, workOf } from '@eurhythm/core/plan';
import { fillBlock, kindOf } from '@eurhythm/core/rounds';
import { isRightBlock, rightBlock, withRightLength, type AnyBlockDto } from '../index.ts';
import { RIGHT_BLOCKS as RIGHT } from './testBlocks.ts';

const book = moveBook(STARTER_MOVES, STARTER_NUMBERS);
const KINDS = Object.keys(RIGHT) as AnyBlockDto['kind'][];

/** Every place of a block at which a number stands. */
function numbersIn(value: unknown): (string | number)[][] {
  if (typeof value === 'number') return [[]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner).map((place) => [key, ...place]));
}

function withNumber(value: unknown, [key, ...rest]: readonly (string | number)[], number: unknown): unknown {
  if (key === undefined) return number;
  const inner = withNumber((value as Record<string, unknown>)[key], rest, number);
  return Array.isArray(value) ? value.with(Number(key), inner) : { ...(value as object), [key]: inner };
}

describe('a right block', () => {
  it.each(KINDS)('of the kind %s stays as it is', (kind) => {
    expect(isRightBlock(RIGHT[kind])).toBe(true);
    expect(rightBlock(RIGHT[kind])).toBe(RIGHT[kind]);
  });
});

describe('a block that is still being typed', () => {
  const half = fc.constantFrom(...KINDS).chain((kind) =>
    fc.record({
      block: fc.constant(RIGHT[kind]),
      place: fc.constantFrom(...numbersIn(RIGHT[kind])),
      number: fc.constantFrom(NaN, null, -1, 1e9, Infinity, 0.1234567),
    }),
  );

  it('can be reckoned with and drawn, whatever number is missing or far too large', () => {
    fc.assert(
      fc.property(
        half,
        fc.constantFrom('left' as const, 'right' as const),
        ({ block, place, number }, lead) => {
          const typed = withNumber(block, place, number) as AnyBlockDto;
          const planned = fillBlock(rightBlock(typed), new Map());
          const { strikes, demands, seconds } = workOf(planned, book, lead);
          for (const n of [
            seconds,
            demands.floor,
            ...Object.values(strikes.limbs),
            ...Object.values(strikes.levels),
          ])
            expect(n).toBeGreaterThanOrEqual(0);
          expect(kindOf(planned).done(planned, book).join(' ').length).toBeLessThan(5000);
        },
      ),
      { numRuns: 400 },
    );
  });
  it('keeps its id, and its length where that is right', () => {
    const typed = { ...RIGHT.combo, bpm: NaN } as AnyBlockDto;
    expect(rightBlock(typed)).toMatchObject({ kind: 'talk', id: 'b', seconds: 40 });
    for (const seconds of [NaN, -5, 1e7])
      expect(rightBlock({ ...RIGHT.combo, seconds })).toMatchObject({ kind: 'talk', seconds: 0 });
    expect(isRightBlock(rightBlock(typed))).toBe(true);
  });
  it('asks nothing of the body until it is right', () => {
    const typed = { ...RIGHT.count, reps: NaN } as AnyBlockDto;
    const planned = fillBlock(rightBlock(typed), new Map());
    expect(Object.values(strikesOfBlock(planned, book, 'left').limbs)).toEqual([0, 0, 0, 0]);
    expect(demandsOf(planned, book)).toMatchObject({ highKick: false, spin: false, floor: 0 });
  });
});

describe('the exact length of a counted block', () => {
  it('is worked out even where a wrong length stands', () => {
    const exact = withRightLength(RIGHT.count, book, 1);
    expect(exact.seconds).toBeGreaterThan(20);
    expect(withRightLength({ ...RIGHT.count, seconds: NaN }, book, 1).seconds).toBe(exact.seconds);
  });
  it.each([
    ['reps', NaN],
    ['reps', 1e9],
    ['sets', 0],
    ['rest', -1],
  ])('waits while %s is %d', (field, value) => {
    const typed = { ...RIGHT.count, [field]: value } as AnyBlockDto;
    expect(withRightLength(typed, book, 1)).toBe(typed);
  });
});
