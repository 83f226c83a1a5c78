import { starterBook } from '../moves/index.ts';
import { comboRepSeconds, moveRepSeconds, openingFamily, techniqueSeconds } from './index.ts';

const book = starterBook();

describe('time of a technique', () => {
  it('a move takes its way out and back at the pace, and the slack of a count', () => {
    const { out, back } = book.moves.get('round')!;
    expect(moveRepSeconds('round', book, 1.25)).toBeCloseTo((out + back) * 1.25 * 1.3, 9);
    expect(moveRepSeconds('8', book, 1)).toBe(moveRepSeconds('round', book, 1));
    expect(moveRepSeconds('nosuch', book, 1)).toBeNull();
  });
  it('a combo takes its beats and two to be ready again', () => {
    expect(comboRepSeconds('1 2 3', 60, book)).toBe(4);
    expect(comboRepSeconds('1 (', 60, book)).toBeNull();
  });
  it('fifteen on each leg, three times, with a rest between the sets', () => {
    const plan = { reps: 15, sides: 'both', sets: 3, restSeconds: 20 } as const;
    expect(techniqueSeconds(2, plan)).toBe(15 * 2 * 2 * 3 + 2 * 20);
    expect(techniqueSeconds(2, { ...plan, sides: 'one', sets: 1 })).toBe(30);
  });
});

describe('openingFamily', () => {
  it('finds the combos that open alike, the closest first', () => {
    const others = [
      { line: '1 2 r:knee' },
      { line: '1 2 3-2' },
      { line: '1' },
      { line: '2 1' },
      { line: '1 (' },
    ];
    expect(openingFamily('1 2 3', others, book).map(({ combo, strokes }) => [combo.line, strokes])).toEqual([
      ['1 2 3-2', 3],
      ['1 2 r:knee', 2],
    ]);
    expect(openingFamily('rund', others, book)).toEqual([]);
  });
});
