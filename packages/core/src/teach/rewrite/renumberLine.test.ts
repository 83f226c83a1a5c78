import {
  STARTER_MOVES,
  STARTER_NUMBERS,
  moveBook,
  starterBook,
  type NumberedMove,
} from '../../moves/index.ts';
import { renumberLine } from '../index.ts';

const before = starterBook();
const numbered = (change: (entries: NumberedMove[]) => NumberedMove[]) =>
  moveBook(STARTER_MOVES, change([...STARTER_NUMBERS]));

describe('renumberLine', () => {
  const swapped = numbered((entries) =>
    entries.map((entry) =>
      entry.number === 3 ? { ...entry, number: 4 } : entry.number === 4 ? { ...entry, number: 3 } : entry,
    ),
  );
  it('keeps what a line means when numbers are given to other moves', () => {
    expect(renumberLine('1 3-4@b!', before, swapped)).toBe('1 4-3@b!');
    expect(renumberLine('1 2', before, swapped)).toBeNull();
  });
  it('writes the code where the number is gone', () => {
    const without = numbered((entries) => entries.filter((entry) => entry.number !== 8));
    expect(renumberLine('1 8@l*', before, without)).toBe('1 r:round@l*');
  });
  it('leaves a line alone that cannot be read', () => {
    expect(renumberLine('1 (2', before, swapped)).toBeNull();
  });
});
