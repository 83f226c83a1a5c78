import { usualBlock, type WrittenBlock } from '../rounds/index.ts';
import { roundAt } from './heldRounds.ts';
import { sourceOf } from './plannedRound.ts';

const round = (id: string, title: string, kind: 'free' | 'combo') => ({
  id,
  title,
  blocks: [usualBlock(kind, `${id}-work`), usualBlock('rest', `${id}-rest`)] as WrittenBlock[],
});

describe('the round at an instant', () => {
  const rounds = [
    { ...round('a', 'Shadow', 'free'), series: { id: 's', times: 2 } },
    round('b', 'Pads', 'combo'),
  ];
  it('goes through series, and names what comes next', () => {
    expect(roundAt(rounds, 0)).toMatchObject({ starts: 0, round: { id: 'a' } });
    expect(roundAt(rounds, 170)).toMatchObject({ starts: 160, round: { id: 'a.2' } });
    expect(roundAt(rounds, 330)).toMatchObject({ starts: 320, round: { id: 'b' } });
    expect(roundAt(rounds, 480)).toBeNull();
    expect(roundAt(rounds, 0)!.round.blocks.at(-1)).toMatchObject({ kind: 'rest', next: 'Shadow (2 of 2)' });
  });
  it('is a round of the session, whichever time it is held', () => {
    expect(['a', 'a.2', 'b', 'c'].map((id) => sourceOf(id, rounds))).toEqual([0, 0, 1, -1]);
  });
});
