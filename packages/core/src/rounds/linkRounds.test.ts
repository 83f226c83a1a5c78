import { GET_READY, linkRounds, usualBlock, type WrittenBlock } from './index.ts';

const rest = (id: string, seconds: number): WrittenBlock => ({ ...usualBlock('rest', id), seconds });
const work = (id: string): WrittenBlock => ({ ...usualBlock('free', id), seconds: 60 });
const nextOf = (block: WrittenBlock): string => (block.kind === 'rest' ? (block.next ?? '') : '');

describe('linkRounds', () => {
  it('gets everybody ready and names the round that comes next', () => {
    const linked = linkRounds([
      { id: 'a', title: 'Pads', blocks: [work('a1'), rest('a2', 30)] },
      { id: 'b', title: 'Shadow', blocks: [work('b1'), rest('b2', 20)] },
    ]);
    expect(
      linked.map((round) => round.blocks.map((block) => [block.id, block.seconds, nextOf(block)])),
    ).toEqual([
      [
        ['a-ready', GET_READY, 'Pads'],
        ['a1', 60, ''],
        ['a2', 30, 'Shadow'],
      ],
      [
        ['b1', 60, ''],
        ['b2', 20, 'session over'],
      ],
    ]);
  });
});
