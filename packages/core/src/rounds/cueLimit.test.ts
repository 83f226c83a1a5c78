import fc from 'fast-check';
import { lettersVoice } from '../calls/testLibrary.ts';
import { starterBook } from '../moves/index.ts';
import {
  BLOCK_KINDS,
  CALL_STYLES,
  compileRound,
  cuesAtMost,
  fillBlock,
  usualBlock,
  withExactLength,
  type Block,
} from './index.ts';

const book = starterBook();
const voice = lettersVoice();
const combos = ['1', '1-1-1-1', '1:1/16 2:1/16 3:1/16 2', '1+2 3', '1 . . . 2', '{1-2 3}x6'].map(
  (line, i) => ({
    id: `c${i}`,
    grade: 'Ebb',
    number: i,
    title: '',
    line,
    beatsPerBar: 4,
  }),
);

describe('the most cues that blocks may have', () => {
  it('are never fewer than they come to, whatever is combined', () => {
    const tempo = fc.oneof(
      fc.constant({ kind: 'constant' as const }),
      fc.record({ kind: fc.constant('ramp' as const), to: fc.integer({ min: 20, max: 300 }) }),
      fc.record({
        kind: fc.constant('steps' as const),
        by: fc.integer({ min: 1, max: 20 }),
        every: fc.constant(1),
      }),
      fc.record({ kind: fc.constant('build-up' as const), fast: fc.integer({ min: 20, max: 300 }) }),
      fc.record({ kind: fc.constant('broken' as const), pause: fc.integer({ min: 1, max: 4 }) }),
    );
    const block = fc
      .record({
        combos: fc.subarray(combos, { minLength: 1 }),
        bpm: fc.integer({ min: 20, max: 300 }),
        calls: fc.constantFrom(...CALL_STYLES),
        cyclesEach: fc.integer({ min: 1, max: 4 }),
        seconds: fc.integer({ min: 20, max: 120 }),
        leadPlan: fc.constantFrom('halves' as const, 'each' as const, 'random' as const),
        tempo,
      })
      .map((some): Block => ({ kind: 'combo', id: 'b', words: 'numbers', ...some }));
    fc.assert(
      fc.property(block, (each) => {
        const { cues } = compileRound({ blocks: [each], lead: 'left', seed: 1 }, book, voice);
        expect(cuesAtMost([each], book)).toBeGreaterThanOrEqual(cues.length);
      }),
      { numRuns: 80 },
    );
  });
  it.each(BLOCK_KINDS)('hold for the usual block of kind %s', (kind) => {
    const block = fillBlock(withExactLength(usualBlock(kind, 'b'), book, 1.25), new Map());
    const { cues } = compileRound({ blocks: [block], lead: 'left', seed: 1 }, book, voice);
    expect(cuesAtMost([block], book)).toBeGreaterThanOrEqual(cues.length);
  });
});
