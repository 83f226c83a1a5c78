import { lettersVoice } from '../calls/testLibrary.ts';
import { starterBook } from '../moves/index.ts';
import { GET_READY, compileRound, linkRounds, usualBlock, type Block, type WrittenBlock } from './index.ts';

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
  it('says what is done in a burst in the rest before it, for there is no time for it inside', () => {
    const burst = { ...usualBlock('burst', 'c'), title: 'Rear knees' } as WrittenBlock;
    const [first, second, last] = linkRounds([
      { id: 'a', title: 'Ten seconds', blocks: [burst, rest('a2', 30), burst, rest('a4', 30)] },
      { id: 'b', title: 'Rear knees again', blocks: [burst, rest('b2', 30)] },
      { id: 'c', title: 'Shadow', blocks: [work('c1'), rest('c2', 30), work('c3')] },
    ]);
    expect(first!.blocks.map(nextOf)).toEqual([
      'Ten seconds, Rear knees',
      '',
      'Rear knees',
      '',
      'Rear knees again',
    ]);
    expect(second!.blocks.map(nextOf)).toEqual(['', 'Shadow']);
    expect(last!.blocks.map(nextOf)).toEqual(['', '', '']);
  });
  it('has a burst say itself what is done where nothing stands before it', () => {
    const burst = { ...usualBlock('burst', 'c'), title: 'Rear knees' } as Block;
    const said = (blocks: Block[]): string[] =>
      compileRound({ blocks, lead: 'left', seed: 1 }, starterBook(), lettersVoice()).cues.flatMap((cue) =>
        cue.clip && cue.block === 'c' ? [cue.text] : [],
      );
    expect(said([work('a') as Block, burst])).toContain('rear knees');
    expect(said([work('a') as Block, rest('b', 20) as Block, burst])).not.toContain('rear knees');
  });
});
