import fc from 'fast-check';
import { formatLine, parseLine } from '../line/index.ts';
import { starterBook } from '../moves/index.ts';
import { orders } from './index.ts';

const book = starterBook();
const canonical = (words: readonly string[]): string => {
  const parsed = parseLine(words.join(' '), book);
  if (!parsed.ok) throw new Error(words.join(' '));
  return formatLine(parsed.line);
};
const strike = fc.constantFrom('1', '2', '3', 'f:hammer', 'f:backfist', 'r:round', 'f:push', '2@b');
/** What the holder throws, and the defence that answers it. */
const exchange = fc.tuple(
  fc.constantFrom('o:1', 'o:2', 'o:r:round'),
  fc.constantFrom('r:mid', 'f:outer', 'r:slip', 'weave', 'cover'),
);
/** Two to five strikes of the fighter with exchanges anywhere among them. */
const lines = fc
  .tuple(
    fc.array(strike, { minLength: 2, maxLength: 4 }),
    fc.array(fc.tuple(exchange, fc.nat(4)), { maxLength: 2 }),
  )
  .map(([own, exchanges]) => {
    const words: string[][] = own.map((word) => [word]);
    for (const [pair, at] of exchanges) words.splice(Math.min(at, words.length), 0, [...pair]);
    return words.flat();
  });
const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

describe('orders of a set', () => {
  it('have the same strokes, each order once, with every defence behind what it answers', () => {
    fc.assert(
      fc.property(lines, (words) => {
        const found = orders(words, book, 'left', 1.25).map(({ line }) => line);
        const isDefence = (i: number): boolean => words[i - 1]?.startsWith('o:') === true;
        const own = words.filter((word, i) => !word.startsWith('o:') && !isDefence(i));
        const alike = [...new Set(own)].map((word) => own.filter((each) => each === word).length);
        expect(new Set(found).size).toBe(found.length);
        expect(found).toHaveLength(alike.reduce((n, times) => n / factorial(times), factorial(own.length)));
        expect(found).toContain(canonical(words));
        for (const line of found) {
          const placed = line.split(' ');
          expect([...placed].sort()).toEqual(canonical(words).split(' ').sort());
          for (const [i, word] of canonical(words).split(' ').entries())
            if (words[i]!.startsWith('o:') || isDefence(i)) expect(placed[i]).toBe(word);
        }
      }),
      { numRuns: 60 },
    );
  });
});
