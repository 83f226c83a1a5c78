import { GET_READY, linkRounds } from './index.ts';

const rest = (id: string, seconds: number, next: string) => ({ kind: 'rest', id, seconds, next });
const work = (id: string) => ({ kind: 'free', id, seconds: 60, next: '' });

describe('linkRounds', () => {
  it('gets everybody ready and names the round that comes next', () => {
    const linked = linkRounds(
      [
        { id: 'a', title: 'Pads', blocks: [work('a1'), rest('a2', 30, '')] },
        { id: 'b', title: 'Shadow', blocks: [work('b1'), rest('b2', 20, '')] },
      ],
      rest,
    );
    expect(linked.map((round) => round.blocks.map(({ id, seconds, next }) => [id, seconds, next]))).toEqual([
      [
        ['a-ready', GET_READY, 'Pads'],
        ['a1', 60, ''],
        ['a2', 30, 'Shadow'],
      ],
      [
        ['b1', 60, ''],
        ['b2', 20, ''],
      ],
    ]);
  });
});
