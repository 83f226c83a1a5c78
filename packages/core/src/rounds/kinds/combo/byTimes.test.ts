import fc from 'fast-check';
import { lettersVoice } from '../../../calls/testLibrary.ts';
import { starterBook } from '../../../moves/index.ts';
import {
  USUAL_COMBO_BLOCK,
  combosOf,
  compileRound,
  countedLength,
  fillBlock,
  isCounted,
  usualBlock,
  withExactLength,
  type BlockCombo,
  type CompiledRound,
  type WrittenBlock,
  type WrittenComboBlock,
} from '../../index.ts';

const book = starterBook();
const voice = lettersVoice();
const combo = (id: string, line: string): BlockCombo => ({
  id,
  grade: 'Ebb',
  number: Number(id.slice(1)),
  title: '',
  line,
  beatsPerBar: 4,
});
const known = new Map(
  [combo('e1', '1 2 3'), combo('e2', 'in 1 2'), combo('e3', '1 2>')].map((c) => [c.id, c]),
);
const block = (extra: Partial<WrittenComboBlock> = {}): WrittenComboBlock => ({
  ...USUAL_COMBO_BLOCK,
  id: 'b',
  combos: [{ comboId: 'e1' }],
  times: 5,
  ...extra,
});
describe('lines that a block brings itself', () => {
  it('are one for everybody else and another for each group', () => {
    const written = block({
      combos: [{ line: '1 2 3' }],
      lanes: [
        { group: 'Herons', combos: [{ line: '1@b 2@b' }] },
        { group: 'Minnows', combos: [{ line: 'f:push' }] },
      ],
    });
    const { cycles } = play(written);
    const combos = combosOf([fillBlock(written, known)], book);
    const lineOf = (id: string) => combos.filter((each) => each.id === id).map(({ line }) => line);
    expect(lineOf(cycles[0]!.combo)).toEqual(['1 2 3']);
    expect(cycles[0]!.lanes!.map(({ group, combo: id }) => [group, ...lineOf(id)])).toEqual([
      ['Herons', '1@b 2@b'],
      ['Minnows', 'f:push'],
    ]);
  });
});
const exact = <B extends WrittenBlock>(written: B): B => withExactLength(written, book, 1.25, known);
const play = (...blocks: readonly WrittenBlock[]): CompiledRound =>
  compileRound({ blocks: blocks.map((each) => fillBlock(each, known)), lead: 'left', seed: 3 }, book, voice);
const leadsOf = ({ cycles }: CompiledRound): Record<string, number> =>
  Object.fromEntries(
    ['left', 'right'].map((lead) => [lead, cycles.filter((cycle) => cycle.lead === lead).length]),
  );
const stances = ({ cues }: CompiledRound): [number, string][] =>
  cues.filter(({ kind }) => kind === 'stance').map(({ at, text }) => [Math.round(at), text]);

describe('combos by repetitions', () => {
  it('last as long as their times from each lead need, and are counted work', () => {
    const timed = exact(block());
    expect(isCounted(timed)).toBe(true);
    const round = play(timed);
    expect(leadsOf(round)).toEqual({ left: 5, right: 5 });
    const last = round.cycles.at(-1)!;
    expect(timed.seconds).toBeGreaterThanOrEqual(last.at + last.beats * last.beatSeconds);
    expect(timed.seconds).toBeLessThan(last.at + last.beats * last.beatSeconds + 1);
    expect(round.findings).toEqual([]);
  });
  it('stay by the clock without them', () => {
    expect([
      isCounted(block({ times: null })),
      countedLength(block({ times: null }), book, 1, known),
    ]).toEqual([false, null]);
  });
  it('do each combo so many times, from the leads of the plan', () => {
    const two = { combos: [{ comboId: 'e1' }, { comboId: 'e2' }], times: 3 };
    for (const [leadPlan, leads] of [
      ['as-set', { left: 6, right: 0 }],
      ['other', { left: 0, right: 6 }],
      ['halves', { left: 6, right: 6 }],
      ['each', { left: 6, right: 6 }],
      ['random', { left: 6, right: 6 }],
    ] as const)
      expect(leadsOf(play(exact(block({ ...two, leadPlan }))))).toEqual(leads);
  });
  it('have no halfway or countdown calls', () => {
    const texts = play(exact(block({ times: 12 }))).cues.flatMap(({ clip, text }) => (clip ? [text] : []));
    expect(texts.filter((text) => /half|seconds|ten|thirty/.test(text))).toEqual([]);
  });
  it('are reported where the block has no time for all of them', () => {
    const timed = exact(block());
    const { cycles, findings } = play({ ...timed, seconds: timed.seconds / 2 });
    expect(findings.map(({ rule, message }) => [rule, message])).toEqual([
      ['count-cut', `Only ${cycles.length} of 10 times through fit. The block needs more time.`],
    ]);
  });
  it('all come, whatever the tempo does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.constantFrom('in-order', 'shuffled', 'newest-twice', 'by-need' as const),
        fc.constantFrom(
          { kind: 'constant' as const },
          { kind: 'ramp' as const, to: 110 },
          { kind: 'build-up' as const, fast: 100 },
          { kind: 'broken' as const, pause: 3 },
          { kind: 'steps' as const, by: 2, every: 3 },
        ),
        (times, order, tempo) => {
          const combos = [{ comboId: 'e1' }, { comboId: 'e3' }];
          const timed = exact(block({ times, order, tempo, combos, gaps: { kind: 'steady' } }));
          const { findings, cycles } = play(timed);
          expect(findings.filter(({ rule }) => rule === 'count-cut')).toEqual([]);
          expect(cycles.length).toBe(times * 2 * (order === 'newest-twice' ? 3 : 2));
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('the way back', () => {
  it('brings a line that travels home: twice there, twice back', () => {
    const { cycles, cues, findings } = play(
      block({
        combos: [{ comboId: 'e2' }],
        times: null,
        leadPlan: 'as-set',
        seconds: 60,
        cyclesEach: 4,
        wayBack: 2,
      }),
    );
    expect(cycles.slice(0, 4).map(({ line }) => line)).toEqual([undefined, undefined, 'out 1 2', 'out 1 2']);
    const steps = cues.flatMap(({ kind, text, cycle }) =>
      kind === 'strike' && /Step/.test(text) && cycle! < 4 ? [text] : [],
    );
    expect(steps).toEqual(['Step in', 'Step in', 'Step out', 'Step out']);
    expect(
      cues.flatMap(({ clip, text }) => (clip && /^(step )?(in|out)$/.test(text) ? [text] : [])).slice(0, 4),
    ).toHaveLength(4);
    expect(findings.filter(({ rule }) => rule === 'no-way-back')).toEqual([]);
  });
  it('steps back through where the line steps through', () => {
    const { cycles } = play(block({ combos: [{ comboId: 'e3' }], times: 4, wayBack: 1, leadPlan: 'as-set' }));
    expect(cycles[1]!.line).toBe('1 2<');
  });
  it('is reported where a move has no step back', () => {
    const angle = { line: 'angle 1 2', title: 'Round the side' };
    const { findings } = play(block({ combos: [angle], times: 4, wayBack: 2, seconds: 120 }));
    expect(findings.map(({ rule, message }) => [rule, message])).toContainEqual([
      'no-way-back',
      '“Round the side” steps back all but angle step: the book has no such step back.',
    ]);
  });
});

describe('a change of lead', () => {
  it('is called once before the first stroke of the block that it concerns, and again on the way home', () => {
    const clocked = (id: string, leadPlan: 'as-set' | 'other'): WrittenBlock => ({
      ...block({ times: null, seconds: 40, leadPlan, cyclesEach: 2 }),
      id,
    });
    const round = play(clocked('a', 'other'), clocked('b', 'as-set'), clocked('c', 'as-set'));
    expect(stances(round).map(([, text]) => text)).toEqual(['switch, right lead', 'switch, left lead']);
    for (const id of ['a', 'b']) {
      const called = round.cues.find((cue) => cue.kind === 'stance' && cue.block === id)!;
      const first = round.cues.find((cue) => cue.kind === 'strike' && cue.block === id)!;
      expect(called.at).toBeLessThan(first.at);
    }
  });
  it('is called for shadow and reactions too, after work that ended in the other lead', () => {
    for (const kind of ['free', 'react'] as const) {
      const after = { ...usualBlock(kind, 'z'), ...(kind === 'free' ? { leadPlan: 'as-set' as const } : {}) };
      const round = play(block({ times: null, seconds: 40, leadPlan: 'other' }), after);
      expect(stances(round).map(([, text]) => text)).toEqual(['switch, right lead', 'switch, left lead']);
    }
  });
});

describe('contact', () => {
  it('is called once before the first stroke that it concerns', () => {
    const round = play(
      block({ times: null, seconds: 120, intensity: [30, 60], leadPlan: 'as-set', cyclesEach: 3 }),
    );
    const called = round.cues.filter(({ text, clip }) => clip && /percent/.test(text));
    expect(called.map(({ text }) => text)).toEqual(['thirty percent', 'sixty percent']);
    const harder = round.cycles.find(({ intensity }) => intensity === 60)!;
    expect(called[1]!.at).toBeLessThan(harder.at);
    expect(
      round.cycles.filter(({ at }) => at < called[1]!.at).every(({ intensity }) => intensity === 30),
    ).toBe(true);
  });
});
