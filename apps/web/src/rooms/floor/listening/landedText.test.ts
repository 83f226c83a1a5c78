import { landedText } from './landedText.ts';

it.each([
  [{ hits: 34, misses: 6, extras: 3, bias: 0.021 }, '34 of 40 landed, 3 beside, 21 ms late'],
  [{ hits: 4, misses: 0, extras: 0, bias: -0.04 }, '4 of 4 landed, 40 ms early'],
  [{ hits: 4, misses: 0, extras: 0, bias: 0.004 }, '4 of 4 landed, on the beat'],
  [{ hits: 0, misses: 9, extras: 0, bias: 0 }, '0 of 9 landed'],
])('tells what landed in a sentence: %o', (counted, text) => expect(landedText(counted)).toBe(text));
