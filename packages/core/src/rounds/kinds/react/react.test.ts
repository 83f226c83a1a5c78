import { lettersVoice } from '../../../calls/testLibrary.ts';
import { starterBook } from '../../../moves/index.ts';
import { compileRound, type Block } from '../../index.ts';
import type { ReactBlock } from './reactKind.ts';

const react: ReactBlock = {
  kind: 'react',
  id: 'r',
  seconds: 60,
  call: 'Now',
  line: '1',
  every: { min: 3, max: 8 },
  regular: 0,
};
const rest: Block = { kind: 'rest', id: 'rest', seconds: 20 };
const calls = (changes: Partial<ReactBlock>, seed: number) =>
  compileRound(
    { blocks: [{ ...react, ...changes }, rest], lead: 'left', seed },
    starterBook(),
    lettersVoice(),
  ).cues.filter(({ kind, clip, at }) => kind === 'call' && clip && at < 60);
const SEEDS = Array.from({ length: 30 }, (_, i) => i + 1);

describe('calls to react to', () => {
  it('go on to the end bell: the last begins within the longest wait before it', () => {
    for (const seed of SEEDS) {
      const last = calls({}, seed).at(-1)!.at;
      expect(last).toBeGreaterThan(60 - react.every.max - 1.5);
      expect(last).toBeLessThan(60);
    }
  });
  it('begin after a wait that nobody foresees', () => {
    const firsts = SEEDS.map((seed) => calls({}, seed)[0]!.at);
    for (const at of firsts) expect(at >= 3 && at <= 8).toBe(true);
    expect(new Set(firsts.map((at) => at.toFixed(1))).size).toBeGreaterThan(10);
  });
  it.each([
    ['Go', 'Relax'],
    ['relax', 'go'],
  ])('take turns where they are “%s” and “%s”, from go on', (call, other) => {
    const said = calls({ call, more: [{ call: other, line: 'guard' }] }, 5).map(({ text }) => text);
    expect(said.length).toBeGreaterThan(5);
    expect(said).toEqual(said.map((_, i) => (i % 2 === 0 ? 'go' : 'relax')));
  });
  it('are drawn where they are others', () => {
    const said = calls({ call: 'left', more: [{ call: 'right', line: '2' }] }, 5).map(({ text }) => text);
    expect(said).not.toEqual(said.map((_, i) => said[i % 2]));
  });
});
