import fc from 'fast-check';
import { LINE_HEIGHT, fittedLines } from './fittedLines.ts';

const widthOf = (line: string): number => 0.5 * line.length;

describe('the call on the board', () => {
  it.each([
    ['JAB', { width: 1200, height: 200 }, ['JAB']],
    ['THROW JAB HEAD', { width: 1200, height: 200 }, ['THROW JAB HEAD']],
    ['THROW JAB HEAD', { width: 300, height: 200 }, ['THROW', 'JAB HEAD']],
    ['MINNOWS, TWO', { width: 320, height: 300 }, ['MINNOWS,', 'TWO']],
  ])('%s stands on the lines on which it is largest', (text, place, lines) => {
    expect(fittedLines(text, place, widthOf).lines).toEqual(lines);
  });
  it('fits into any place, on two lines at the most, with every word', () => {
    const words = fc.array(fc.constantFrom('JAB', 'LEAD', 'ROUND', 'KICK,', 'STEPPING', 'IN'), {
      minLength: 1,
      maxLength: 7,
    });
    const side = fc.integer({ min: 40, max: 4000 });
    fc.assert(
      fc.property(words, side, side, (some, width, height) => {
        const { lines, size } = fittedLines(some.join(' '), { width, height }, widthOf);
        expect(lines.length).toBeLessThanOrEqual(2);
        expect(lines.join(' ')).toBe(some.join(' '));
        expect(lines.length * LINE_HEIGHT * size).toBeLessThanOrEqual(height);
        for (const line of lines) expect(widthOf(line) * size).toBeLessThanOrEqual(width);
      }),
    );
  });
  it('is nothing where there is nothing to say', () => {
    expect(fittedLines('', { width: 100, height: 100 }, widthOf).lines).toEqual([]);
  });
});
