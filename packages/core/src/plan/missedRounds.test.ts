import { usualBlock, type WrittenBlock } from '../rounds/index.ts';
import { heldRounds, plannedSecondsOf } from './heldRounds.ts';
import { missedRounds, rungSeconds } from './missedRounds.ts';

const work = (id: string): WrittenBlock => ({ ...usualBlock('free', id), seconds: 60 });
const rest = (id: string): WrittenBlock => ({ kind: 'rest', id, seconds: 30 });
const written = [
  { id: 'a', title: 'One', blocks: [work('a1'), rest('a2')] },
  { id: 'b', title: 'Two', blocks: [work('b1'), rest('b2')] },
  { id: 'c', title: 'Three', blocks: [work('c1')] },
];
const held = heldRounds(written);

describe('what was missed of a run', () => {
  it('is the rounds whose bell did not ring, as they were written', () => {
    expect(missedRounds(held, [])).toEqual(written);
    expect(missedRounds(held, [1])).toEqual([written[0], written[2]]);
    expect(missedRounds(held, [0, 1, 2])).toEqual([]);
  });
  it('leaves the time of what was held', () => {
    expect(rungSeconds(held, [])).toBe(0);
    expect(rungSeconds(held, [0])).toBe(90);
    expect(rungSeconds(held, [0, 1, 2])).toBe(plannedSecondsOf(held));
    // A round that the run does not have has no time.
    expect(rungSeconds(held, [7])).toBe(0);
  });
});
