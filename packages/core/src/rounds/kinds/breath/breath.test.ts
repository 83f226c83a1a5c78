import fc from 'fast-check';
import { lettersVoice } from '../../../calls/testLibrary.ts';
import { starterBook } from '../../../moves/index.ts';
import {
  breathPhases,
  compileRound,
  fillBlock,
  isPause,
  usualBlock,
  wantedTexts,
  type BreathBlock,
} from '../../index.ts';

const breath: BreathBlock = { ...usualBlock('breath', 'b'), seconds: 23, holdSeconds: 2, title: 'See it' };
const filled = fillBlock(breath, new Map());

describe('breath', () => {
  it('is a pause: nobody works, and no bell rings into it', () => {
    expect(isPause(breath)).toBe(true);
  });
  it('says the title, then in, hold and out at their seconds, until no whole breath fits', () => {
    const { cues, findings } = compileRound(
      { blocks: [filled], lead: 'left', seed: 1, timeCalls: [] },
      starterBook(),
      lettersVoice(),
    );
    expect(findings).toEqual([]);
    const said = cues.filter(({ clip }) => clip).map(({ text, clip }) => [text, Math.round(clip!.start)]);
    expect(said).toEqual([
      ['see it', 0],
      ['breathe in', 3],
      ['hold', 7],
      ['breathe out', 9],
    ]);
  });
  it('has whole breaths only, one after the other', () => {
    const seconds = fc.integer({ min: 1, max: 20 });
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 600 }), seconds, fc.nat(10), seconds, (all, into, kept, out) => {
        const phases = breathPhases({
          ...breath,
          seconds: all,
          inSeconds: into,
          holdSeconds: kept,
          outSeconds: out,
        });
        const each = kept > 0 ? 3 : 2;
        expect(phases.length % each).toBe(0);
        const last = phases.at(-1);
        if (last) expect(last.at + out).toBeLessThanOrEqual(all + 1e-6);
        for (const [i, { at }] of phases.slice(1).entries()) expect(at).toBeGreaterThan(phases[i]!.at);
      }),
    );
  });
  it('names what its voice has to say, and the hold only where there is one', () => {
    const texts = (block: BreathBlock) => [...wantedTexts([fillBlock(block, new Map())], starterBook())];
    expect(texts(breath)).toEqual(expect.arrayContaining(['see it', 'hold']));
    expect(texts({ ...breath, holdSeconds: 0 })).not.toContain('hold');
  });
});
