import fc from 'fast-check';
import { shownNumber, typedNumber } from './numbers.ts';

describe('typedNumber', () => {
  it.each([
    ['12', 12],
    [' 0.28 ', 0.28],
    ['0,28', 0.28],
    ['2.', 2],
    ['.5', 0.5],
    ['-3', -3],
    ['+4', 4],
    ['007', 7],
  ])('%s is %d', (text, value) => {
    expect(typedNumber(text)).toBe(value);
  });
  it.each(['', ' ', '-', '.', '1.2.3', '1,000,000', '0x10', '1e3', 'Infinity', 'NaN', '12 s', 'abc', '１２'])(
    '“%s” is no number',
    (text) => {
      expect(typedNumber(text)).toBeNaN();
    },
  );
  it('reads what is shown', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (any) => {
        const value = Math.round(any * 1000) / 1000;
        expect(typedNumber(shownNumber(value))).toBeCloseTo(value, 10);
      }),
    );
  });
});

describe('what is no number', () => {
  it('stands in its field as nothing, and in a sentence as a dash', () => {
    for (const value of [NaN, null]) expect(shownNumber(value)).toBe('');
    expect(shownNumber(0)).toBe('0');
  });
});
