import fc from 'fast-check';
import { lettersVoice } from '../../../calls/testLibrary.ts';
import { starterBook } from '../../../moves/index.ts';
import { seededRandom } from '../../../units/index.ts';
import {
  compileRound,
  wantedTexts,
  type BlockCombo,
  type ComboBlock,
  type Cue,
  type RoundPlan,
} from '../../index.ts';
import { comboOrder } from './comboOrder.ts';

const book = starterBook();
const library = lettersVoice();
const combo = (line: string, extra: Partial<BlockCombo> = {}): BlockCombo => ({
  id: line,
  grade: 'Flood',
  number: 4,
  title: 'Low gate',
  line,
  beatsPerBar: 4,
  ...extra,
});
const block = (extra: Partial<ComboBlock> = {}): ComboBlock => ({
  kind: 'combo',
  id: 'b',
  seconds: 180,
  combos: [combo('1 2')],
  bpm: 80,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'as-set',
  cyclesEach: 4,
  ...extra,
});
const compile = (extra: Partial<ComboBlock> = {}, plan: Partial<RoundPlan> = {}) =>
  compileRound({ blocks: [block(extra)], lead: 'left', seed: 5, ...plan }, book, library);
const tempos = (round: ReturnType<typeof compile>): number[] =>
  round.cycles.map((cycle) => Math.round(60 / cycle.beatSeconds));

describe('tempo shapes', () => {
  it('constant: every cycle at the tempo of the block', () => {
    expect(new Set(tempos(compile()))).toEqual(new Set([80]));
  });
  it('ramp: rises from the one tempo to the other, and falls likewise', () => {
    const up = tempos(compile({ tempo: { kind: 'ramp', to: 120 } }));
    expect(up).toEqual([...up].sort((a, b) => a - b));
    expect(up[0]).toBeLessThan(82);
    expect(up.at(-1)).toBeGreaterThan(115);
    const down = tempos(compile({ tempo: { kind: 'ramp', to: 50 } }));
    expect(down).toEqual([...down].sort((a, b) => b - a));
  });
  it('steps: so many more after each so many times through', () => {
    const steps = tempos(compile({ tempo: { kind: 'steps', by: 4, every: 3 } }));
    expect(steps.slice(0, 7)).toEqual([80, 80, 80, 84, 84, 84, 88]);
    expect(Math.max(...tempos(compile({ tempo: { kind: 'steps', by: 100, every: 1 } })))).toBe(300);
  });
  it('build-up: slow and even, then one count, then fast, and each stage is said', () => {
    const round = compile({ combos: [combo('1-2 3')], tempo: { kind: 'build-up', fast: 110 } });
    expect([...new Set(tempos(round))]).toEqual([52, 80, 110]);
    const said = round.cues.filter((cue) => cue.kind === 'call').map((cue) => cue.text);
    for (const stage of ['by parts', 'joined, one count', 'fast']) expect(said).toContain(stage);
    const strikesOf = (cycle: number) =>
      round.cues.filter((cue) => cue.kind === 'strike' && cue.cycle === cycle).map((cue) => cue.at);
    const [a, b] = strikesOf(0);
    expect(b! - a!).toBeCloseTo(60 / 52, 6); // the half beat is a whole one
    const [c, d] = strikesOf(round.cycles.length - 1);
    expect(d! - c!).toBeCloseTo(30 / 110, 6);
  });
  it('broken: two times through close together, then a long pause', () => {
    const { cycles } = compile({ tempo: { kind: 'broken', pause: 6 } });
    expect(cycles.slice(0, 4).map((cycle) => cycle.beats)).toEqual([2, 8, 2, 8]);
  });
  it('a pause does not reach over the change of lead at half time', () => {
    const { cycles } = compile({
      combos: [combo('1-2 sw 3')],
      tempo: { kind: 'broken', pause: 4 },
      bpm: 20,
      leadPlan: 'halves',
      cyclesEach: 2,
      seconds: 68,
    });
    cycles.slice(1).forEach((cycle, i) => {
      expect(cycle.at).toBeGreaterThanOrEqual(
        cycles[i]!.at + cycles[i]!.beats * cycles[i]!.beatSeconds - 1e-9,
      );
    });
  });
  it('a change of tempo while it runs moves what begins after it, and nothing before', () => {
    const [before, after] = [
      compile(),
      compile(
        {},
        {
          shifts: [
            { from: 60, by: 2 },
            { from: 90, by: 2 },
          ],
        },
      ),
    ];
    const early = (round: typeof before) => round.cycles.filter((cycle) => cycle.at < 60);
    expect(early(after)).toEqual(early(before));
    const late = after.cycles.filter((cycle) => cycle.at >= 90);
    expect(new Set(late.map((cycle) => Math.round(60 / cycle.beatSeconds)))).toEqual(new Set([84]));
  });
});

/** The instant of the last strike of a time through. */
const lastStrikeOf = (cues: readonly Cue[], cycle: number): number =>
  cues.findLast((cue) => cue.kind === 'strike' && cue.cycle === cycle)!.at;

describe('gaps, leads, orders and contact', () => {
  it('waits at random between two times through, alike for the same seed', () => {
    const gaps = { kind: 'random', min: 1, max: 3 } as const;
    const { cycles, cues } = compile({ gaps, cyclesEach: 50 });
    const waits = cycles.slice(1, 50).map((cycle, i) => cycle.at - lastStrikeOf(cues, i));
    for (const wait of waits) expect(wait >= 1 - 1e-9 && wait <= 3 + 1e-9).toBe(true);
    expect(new Set(waits.map((wait) => wait.toFixed(3))).size).toBeGreaterThan(5);
    expect(compile({ gaps, cyclesEach: 50 }).cycles).toEqual(cycles);
    expect(compile({ gaps, cyclesEach: 50 }, { seed: 6 }).cycles).not.toEqual(cycles);
  });
  it('changes the lead each set, and calls it', () => {
    const round = compile({ leadPlan: 'each', cyclesEach: 2 });
    expect(round.cycles.slice(0, 6).map((cycle) => cycle.lead)).toEqual([
      'left',
      'left',
      'right',
      'right',
      'left',
      'left',
    ]);
    const switches = round.cues.filter((cue) => cue.kind === 'stance');
    expect(switches[0]).toMatchObject({ text: 'switch, right lead', lead: 'right' });
    expect(switches[0]!.at).toBeLessThan(round.cycles[2]!.at);
  });
  it('draws the lead at random, with both of them in it', () => {
    const { cycles } = compile({ leadPlan: 'random', cyclesEach: 1 });
    const left = cycles.filter((cycle) => cycle.lead === 'left').length / cycles.length;
    expect(left > 0.15 && left < 0.85).toBe(true);
  });
  it('calls the contact where it changes, in equal parts of the time', () => {
    const round = compile({ intensity: [0, 10, 25, 40] });
    const called = round.cues.filter((cue) => /percent/.test(cue.text));
    expect(called.map((cue) => cue.text)).toEqual([
      'zero percent',
      'ten percent',
      'twenty five percent',
      'forty percent',
    ]);
    for (const [i, cue] of called.entries()) expect(cue.at).toBeGreaterThanOrEqual(i * 45);
    expect(new Set(round.cycles.map((cycle) => cycle.intensity))).toEqual(new Set([0, 10, 25, 40]));
  });
  it('counts each time through in the gym’s language', () => {
    const round = compile({ calls: 'one-count', cyclesEach: 3 }, { count: { language: 'korean', own: [] } });
    const counts = round.cues.filter(
      (cue) => cue.kind === 'call' && cue.stroke === undefined && cue.cycle !== undefined,
    );
    expect(counts.slice(0, 4).map((cue) => cue.text)).toEqual(['hana', 'dul', 'set', 'hana']);
    for (const cue of counts)
      expect(cue.at).toBeCloseTo(round.cycles.find((cycle) => cycle.cycle === cue.cycle)!.at, 9);
  });
  it('tells the holder what to offer, one slot ahead', () => {
    const round = compile({ calls: 'holder', combos: [combo('1 r:round')] });
    const calls = round.cues.filter((cue) => cue.kind === 'call' && cue.cycle === 0);
    expect(calls.map((cue) => cue.text)).toEqual(['jab', 'round kick']);
    expect(calls[1]!.at).toBeCloseTo(round.cycles[0]!.at, 9);
  });
  it('calls only the number of the combo where the gym does', () => {
    const round = compile({ words: 'combo-number' });
    expect(new Set(round.cues.filter((cue) => cue.kind === 'call').map((cue) => cue.text))).toEqual(
      new Set(['four']),
    );
  });
  it('a cycle takes the length that the coach set', () => {
    expect(compile({ combos: [combo('1 2', { cycleBeats: 7 })] }).cycles[0]!.beats).toBe(7);
    expect(compile({ combos: [combo('1 2 3 1', { cycleBeats: 1 })] }).cycles[0]!.beats).toBe(3.5);
  });
});

describe('comboOrder', () => {
  const take = (
    order: Parameters<typeof comboOrder>[1],
    combos: BlockCombo[],
    n: number,
    seed = 1,
  ): string[] => {
    const given: string[] = [];
    for (const each of comboOrder(combos, order, seededRandom(seed))) {
      given.push(each.id);
      if (given.length === n) break;
    }
    return given;
  };
  const [a, b, c] = ['a', 'b', 'c'].map((id) => combo('1', { id }));

  it('as listed, and the newest twice', () => {
    expect(take('in-order', [a!, b!], 5)).toEqual(['a', 'b', 'a', 'b', 'a']);
    expect(take('newest-twice', [a!, b!, c!], 4)).toEqual(['a', 'c', 'b', 'c']);
    expect(take('in-order', [], 5)).toEqual([]);
  });
  it('shuffled: each once in a round, never twice running', () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const given = take('shuffled', [a!, b!, c!], 30, seed);
        for (let i = 0; i < 30; i += 3) expect(new Set(given.slice(i, i + 3)).size).toBe(3);
        given.slice(1).forEach((id, i) => expect(id).not.toBe(given[i]));
      }),
    );
  });
  it('by need: what is needed most comes most, and nothing is left out', () => {
    const needed = [
      combo('1', { id: 'a', need: 8 }),
      combo('1', { id: 'b', need: 1 }),
      combo('1', { id: 'c', need: 1 }),
    ];
    const given = take('by-need', needed, 300);
    const count = (id: string): number => given.filter((each) => each === id).length;
    expect(count('a')).toBeGreaterThan(count('b') * 1.5);
    for (let i = 0; i + 8 < given.length; i++) expect(new Set(given.slice(i, i + 9)).size).toBe(3);
  });
});

describe('groups with combos of their own', () => {
  const long = combo('1 2 3 4 1 2 3 4 1', { id: 'long' });
  const lanes = [{ group: 'Herons', combos: [long] }];
  it('share one clock: a time through lasts as long as the slowest group needs', () => {
    const alone = compile();
    const together = compile({ lanes });
    expect(alone.cycles[0]!.beats).toBe(4);
    expect(together.cycles.every((cycle) => cycle.beats === 12)).toBe(true);
    expect(together.cycles[0]!.lanes).toEqual([{ group: 'Herons', combo: 'long' }]);
    expect(alone.cycles[0]!.lanes).toBeUndefined();
  });
  it('are called to a combo once, and again only when it is another one', () => {
    const said = (round: ReturnType<typeof compile>): string[] =>
      round.cues.filter((cue) => cue.text.startsWith('herons')).map((cue) => cue.text);
    expect(said(compile({ lanes }))).toHaveLength(1);
    const two = [{ group: 'Herons', combos: [long, combo('1', { id: 'short', number: 5 })] }];
    expect(said(compile({ lanes: two })).length).toBeGreaterThan(2);
    expect(said(compile({ lanes, calls: 'silent' }))).toEqual([]);
  });
});

describe('any plan', () => {
  const shape = fc.oneof(
    fc.constant({ kind: 'constant' } as const),
    fc.record({ kind: fc.constant('ramp' as const), to: fc.integer({ min: 20, max: 300 }) }),
    fc.record({
      kind: fc.constant('steps' as const),
      by: fc.integer({ min: -20, max: 20 }),
      every: fc.integer({ min: 1, max: 9 }),
    }),
    fc.record({ kind: fc.constant('build-up' as const), fast: fc.integer({ min: 20, max: 300 }) }),
    fc.record({ kind: fc.constant('broken' as const), pause: fc.integer({ min: 0, max: 16 }) }),
  );
  it('keeps cycles apart, calls apart and in time, and asks only for texts listed beforehand', () => {
    fc.assert(
      fc.property(
        fc.record({
          tempo: shape,
          bpm: fc.integer({ min: 20, max: 300 }),
          calls: fc.constantFrom('on-beat', 'ahead', 'lead-in', 'one-count', 'holder', 'silent'),
          words: fc.constantFrom('numbers', 'names', 'combo-number'),
          leadPlan: fc.constantFrom('as-set', 'other', 'halves', 'each', 'random'),
          order: fc.constantFrom('in-order', 'shuffled', 'newest-twice', 'by-need'),
          intensity: fc.constantFrom([], [0, 50, 100]),
          cyclesEach: fc.integer({ min: 1, max: 9 }),
          seconds: fc.integer({ min: 20, max: 150 }),
          lanes: fc.constantFrom([], [{ group: 'Herons', combos: [combo('1 . 2 . 3', { id: 'h' })] }]),
          combos: fc.constantFrom(
            [combo('1-2 sw 3')],
            [combo('1 2'), combo('r:round> 2', { cycleBeats: 3 })],
          ),
        }),
        (extra) => {
          const blocks = [block(extra)];
          const listed = new Set(wantedTexts(blocks, book));
          const unlisted: string[] = [];
          const round = compileRound({ blocks, lead: 'left', seed: 9 }, book, {
            find: (text, rate) => {
              if (!listed.has(text)) unlisted.push(text);
              return library.find(text, rate);
            },
          });
          expect(unlisted).toEqual([]);
          const tooSoon = round.cycles.slice(1).filter((cycle, i) => {
            const before = round.cycles[i]!;
            return cycle.at < before.at + before.beats * before.beatSeconds - 1e-6;
          });
          expect(tooSoon).toEqual([]);
          expect(round.cues.filter((cue) => cue.at > extra.seconds + 1e-9 || cue.at < -0.5)).toEqual([]);
          const clips = round.cues.flatMap((cue) => cue.clip ?? []).sort((x, y) => x.start - y.start);
          expect(
            clips.slice(1).filter((clip, i) => clip.start <= clips[i]!.start + clips[i]!.seconds),
          ).toEqual([]);
        },
      ),
      { numRuns: 400 },
    );
  });
});
