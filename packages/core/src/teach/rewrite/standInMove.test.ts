import { starterBook } from '../../moves/index.ts';
import { standInMove } from '../index.ts';

const book = starterBook();

describe('standInMove', () => {
  it.each([
    ['1 2 3', 'cross', 'jab', '1 jab 3'],
    ['1 2', 'jab', 'round', 'f:round 2'],
    ['1 8@l*', 'round', 'front', null],
    ['1 2@b 3', 'cross', 'jab', '1 jab@b 3'],
  ])('in %s, for %s: %s', (line, from, to, written) => {
    const result = standInMove(line, from, to, book);
    if (written !== null) expect(result).toBe(written);
    else expect(result === null || !/\b8\b/.test(result)).toBe(true);
  });
  it('changes nothing where the move is not done, is not known, or the line has a fault', () => {
    for (const [line, from, to] of [
      ['1 2', 'round', 'jab'],
      ['1 2', 'jab', 'nothing'],
      ['1 (2', 'jab', 'cross'],
    ] as const)
      expect(standInMove(line, from, to, book)).toBeNull();
  });
});
