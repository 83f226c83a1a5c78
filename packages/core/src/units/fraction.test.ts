import fc from 'fast-check';
import {
  add,
  compare,
  fraction,
  fractionFromText,
  fractionToText,
  roundUpTo,
  subtract,
  toNumber,
} from './index.ts';

const beats = fc
  .tuple(fc.integer({ min: -6400, max: 6400 }), fc.integer({ min: 1, max: 16 }))
  .map(([n, d]) => fraction(n, d));

describe('fraction', () => {
  it('is kept in lowest terms with a positive denominator', () => {
    expect(fraction(6, -4)).toEqual({ n: -3, d: 2 });
    expect(fraction(0, 7)).toEqual({ n: 0, d: 1 });
    expect(() => fraction(1, 0)).toThrow(RangeError);
  });

  it('adds and takes away exactly', () => {
    fc.assert(fc.property(beats, beats, (a, b) => expect(subtract(add(a, b), b)).toEqual(a)));
    let sum = fraction(0);
    for (let i = 0; i < 30; i++) sum = add(sum, fraction(1, 3));
    expect(sum).toEqual(fraction(10));
  });

  it('writes and reads the JSON form', () => {
    expect(fractionToText(fraction(3, 2))).toBe('3/2');
    expect(fractionToText(fraction(8, 2))).toBe('4');
    fc.assert(fc.property(beats, (a) => expect(fractionFromText(fractionToText(a))).toEqual(a)));
    for (const bad of ['', '1/0', '1.5', 'x', '1/2/3']) expect(fractionFromText(bad)).toBeNull();
  });

  it('orders as the numbers do', () => {
    fc.assert(
      fc.property(beats, beats, (a, b) => Math.sign(compare(a, b)) === Math.sign(toNumber(a) - toNumber(b))),
    );
  });

  it('rounds up to whole bars', () => {
    expect(roundUpTo(fraction(7, 2), fraction(4))).toEqual(fraction(4));
    expect(roundUpTo(fraction(4), fraction(4))).toEqual(fraction(4));
    expect(roundUpTo(fraction(9, 2), fraction(4))).toEqual(fraction(8));
  });
});
