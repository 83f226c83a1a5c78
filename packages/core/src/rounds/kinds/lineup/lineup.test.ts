import { lettersVoice } from '../../../calls/testLibrary.ts';
import { starterBook } from '../../../moves/index.ts';
import { compileRound, fillBlock, isPause, isRest, kindOf, usualBlock, type Block } from '../../index.ts';

const lineup = fillBlock({ ...usualBlock('lineup', 'l'), seconds: 30 }, new Map());
const played = (block: Block) =>
  compileRound({ blocks: [block], lead: 'left', seed: 1, timeCalls: [] }, starterBook(), lettersVoice());

describe('a line-up', () => {
  it('is no work and no rest: no bell rings for it, and nobody changes places', () => {
    expect([isPause(lineup), isRest(lineup)]).toEqual([true, false]);
  });
  it('says its words in turn, in even parts of its time, and shows each until the next', () => {
    const { cues, findings } = played(lineup);
    expect(findings).toEqual([]);
    const said = cues.filter(({ clip }) => clip).map(({ text, clip }) => [text, Math.round(clip!.start)]);
    expect(said).toEqual([
      ['line up', 0],
      ['eyes closed', 10],
      ['bow', 20],
    ]);
    const book = starterBook();
    const scenes = kindOf(lineup).scenes(lineup, { from: 0, to: 30 }, { book, lead: 'left' } as never);
    expect(scenes).toEqual([
      { at: 0, what: 'Line up', until: 10 },
      { at: 10, what: 'Eyes closed', until: 20 },
      { at: 20, what: 'Bow', until: 30 },
    ]);
  });
  it('is quiet without words', () => {
    const { cues, findings } = played({ ...lineup, calls: [] } as Block);
    expect([cues.filter(({ clip }) => clip), findings]).toEqual([[], []]);
  });
});
