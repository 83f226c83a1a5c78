import { STARTER_MOVES, starterBook } from '../moves/index.ts';
import { callClash } from './index.ts';

const roll = starterBook().moves.get('roll')!;
const named = (long: string, short = 'shoulder') => ({ ...roll, say: { long, short } });

describe('the spoken names of a move', () => {
  it('of the starter book are each its own', () => {
    expect(STARTER_MOVES.flatMap((move) => callClash(move, STARTER_MOVES) ?? [])).toEqual([]);
  });
  it.each([
    ['Slip', 'shoulder', 'long', 'is what Slip is called too'],
    ['shoulder roll', 'jab', 'short', 'is what Jab is called too'],
    ['snap kick', 'shoulder', 'long', 'is what Front snap kick is called too'],
    ['three', 'shoulder', 'long', 'is a number'],
    ['shoulder roll', '42', 'short', 'is a number'],
    ['Left', 'shoulder', 'long', 'names a side'],
  ])('%s, %s: the %s one %s', (long, short, which, why) => {
    const clash = callClash(named(long, short), STARTER_MOVES)!;
    expect([clash.which, clash.message]).toEqual([which, expect.stringContaining(why)]);
  });
  it('may be those that it has already', () => expect(callClash(roll, STARTER_MOVES)).toBeNull());
});
