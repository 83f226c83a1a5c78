import fc from 'fast-check';
import { lettersVoice } from '../../calls/testLibrary.ts';
import { starterBook } from '../../moves/index.ts';
import {
  compileRound,
  countSteps,
  countedLength,
  footworkLine,
  kindOf,
  repSecondsOf,
  stepsThatFit,
  strikesOf,
  wantedTexts,
  type Block,
  type ConditionBlock,
  type CountBlock,
  type FootworkBlock,
  type HoldBlock,
  type ReactBlock,
  type StrikeCount,
} from '../index.ts';

const book = starterBook();
const library = lettersVoice();
const count = (extra: Partial<CountBlock> = {}): CountBlock => ({
  kind: 'count',
  id: 'c',
  seconds: 600,
  title: 'Round kick',
  line: 'r:round',
  reps: 5,
  groups: [],
  sides: 'both',
  sets: 2,
  rest: 20,
  repSeconds: 2,
  method: 'whole',
  direction: 'up',
  levels: 'fixed',
  from: 'standing',
  shoutLast: false,
  ...extra,
});
const hold: HoldBlock = {
  kind: 'hold',
  id: 'h',
  seconds: 66,
  title: 'Low stance',
  holdSeconds: 30,
  sides: 'both',
  times: 1,
};
const condition = (extra: Partial<ConditionBlock> = {}): ConditionBlock => ({
  kind: 'condition',
  id: 'd',
  seconds: 60,
  title: 'Squats',
  reps: 15,
  groups: [],
  repSeconds: 2,
  ...extra,
});
const react: ReactBlock = {
  kind: 'react',
  id: 'r',
  seconds: 60,
  call: 'Now',
  line: '1 2',
  every: { min: 3, max: 6 },
  regular: 15,
};
const footwork: FootworkBlock = {
  kind: 'footwork',
  id: 'f',
  seconds: 60,
  there: 'in',
  back: 'out',
  steps: 4,
  strike: '2',
  room: null,
  bpm: 90,
};
const compile = (block: Block, extra: object = {}) =>
  compileRound({ blocks: [block], lead: 'left', seed: 3, ...extra }, book, library);
const saidIn = (round: ReturnType<typeof compile>): string[] =>
  round.cues.flatMap((cue) => (cue.clip ? [cue.text] : []));

describe('work on the count', () => {
  it('adds up to the second: openings, repetitions, both sides, sets, rests', () => {
    expect(countSteps(count(), book, 1).seconds).toBe(2 * 2 * (3 + 5 * 2) + 20);
    expect(countedLength(count({ sides: 'one', sets: 1 }), book, 1)).toBe(13);
    expect(countedLength(hold, book, 1)).toBe(66);
    expect(countedLength(condition(), book, 1)).toBe(33);
    expect(countedLength(condition({ reps: null }), book, 1)).toBeNull();
    expect(countedLength(react, book, 1)).toBeNull();
  });
  it('is as long as the group with the most, and says when another is done', () => {
    const groups = [
      { group: 'Minnows', reps: 3 },
      { group: 'Ebb', reps: 6 },
    ];
    expect(countSteps(count({ groups, sets: 1, sides: 'one' }), book, 1).seconds).toBe(3 + 6 * 2);
    expect(saidIn(compile(count({ groups, sets: 1, sides: 'one' })))).toContain('minnows done');
    expect(countedLength(condition({ reps: 5, groups }), book, 1)).toBe(3 + 6 * 2);
    expect(countedLength(condition({ reps: 15, groups }), book, 1)).toBe(3 + 15 * 2);
  });
  it('counts up or down, each number on its repetition', () => {
    const numbers = (extra: Partial<CountBlock>): string[] =>
      saidIn(compile(count({ sides: 'one', sets: 1, ...extra }))).filter((text) =>
        /^(one|two|three|four|five)$/.test(text),
      );
    expect(numbers({}).slice(0, 5)).toEqual(['one', 'two', 'three', 'four', 'five']);
    expect(numbers({ direction: 'down' }).slice(0, 5)).toEqual(['five', 'four', 'three', 'two', 'one']);
    const round = compile(count({ sides: 'one', sets: 1 }));
    const calls = round.cues.filter((cue) => cue.kind === 'call' && cue.clip);
    calls.slice(0, 5).forEach((cue, i) => expect(cue.at).toBeCloseTo(3 + i * 2, 9));
  });
  it('counts each part, and builds up from parts to fast', () => {
    const parts = countSteps(count({ method: 'parts', sides: 'one', sets: 1, reps: 2 }), book, 1).steps;
    expect(parts.flatMap((step) => (step.kind === 'count' ? [step.n] : []))).toEqual([
      1, 2, 3, 4, 1, 2, 3, 4,
    ]);
    const gaps = countSteps(count({ method: 'build-up', sides: 'one', sets: 1, reps: 9 }), book, 1)
      .steps.filter((step) => step.kind === 'count')
      .map((step, i, all) => (all[i + 1] ? all[i + 1]!.at - step.at : null));
    expect(gaps[0]).toBeCloseTo(1.2, 9);
    expect(gaps.at(-2)).toBeCloseTo(1.5, 9);
  });
  it('says the height in turn, and shouts on the last', () => {
    const said = saidIn(compile(count({ sides: 'one', sets: 1, levels: 'in-turn', shoutLast: true })));
    expect(said).toEqual(expect.arrayContaining(['one, head', 'two, body', 'three, low', 'five, shout']));
    const rising = countSteps(count({ sides: 'one', sets: 3, levels: 'rising' }), book, 1).steps;
    expect([...new Set(rising.flatMap((step) => (step.kind === 'count' ? [step.level] : [])))]).toEqual([
      'low',
      'body',
      'head',
    ]);
    const within = countSteps(count({ sides: 'one', sets: 1, reps: 6, levels: 'rising' }), book, 1).steps;
    expect(within.flatMap((step) => (step.kind === 'count' ? [step.level] : []))).toEqual([
      ...['low', 'low', 'body', 'body', 'head', 'head'],
    ]);
  });
  it('is work that its own rests part', () => {
    expect(kindOf({ kind: 'count' }).spells(count({ seconds: 95, sets: 2, rest: 35 }))).toEqual([30, 30]);
    expect(kindOf({ kind: 'count' }).spells(count({ seconds: 95, sets: 1, rest: 35 }))).toEqual([95]);
  });
  it('takes the time of a repetition from the book, and something sound where it cannot', () => {
    const { out, back } = book.moves.get('round')!;
    expect(repSecondsOf({ line: 'r:round', repSeconds: null }, book, 1.25)).toBeCloseTo(
      (out + back) * 1.25 * 1.3,
      9,
    );
    expect(repSecondsOf({ line: '1 2', repSeconds: null }, book, 1)).toBeCloseTo(3 * 0.75, 9);
    expect(repSecondsOf({ line: '1 (', repSeconds: null }, book, 1)).toBe(2);
    expect([strikesOf('1 2 weave r:round', book), strikesOf('1 (', book)]).toEqual([3, 0]);
  });
});

describe('holds, reactions, footwork and talk', () => {
  it('counts the end of each hold down, on both sides', () => {
    const round = compile(hold);
    const down = round.cues.filter((cue) => cue.sound === 'last-five').map((cue) => Math.round(cue.at));
    for (const at of [28, 29, 30, 31, 32, 61, 62, 63, 64, 65]) expect(down).toContain(at);
    expect(saidIn(round)).toEqual(expect.arrayContaining(['low stance', 'low stance, other side']));
  });
  it('calls at regular waits first and at random ones then, alike for a seed', () => {
    const round = compile(react);
    const calls = round.cues.filter((cue) => cue.kind === 'call' && cue.text === 'now');
    /** From a call to the last strike of the answer, one beat at 90 a minute. */
    const answer = 0.4 + 60 / 90;
    const waits = calls.slice(1).map((cue, i) => cue.at - calls[i]!.at - answer);
    for (const wait of waits.slice(0, 2)) expect(wait).toBeCloseTo(4.5, 9);
    for (const wait of waits) expect(wait >= 3 - 1e-9 && wait <= 6 + 1e-9).toBe(true);
    expect(new Set(waits.map((wait) => wait.toFixed(3))).size).toBeGreaterThan(2);
    expect(round.cues.filter((cue) => cue.kind === 'show').map((cue) => cue.text)[0]).toBe('now');
    expect(compile(react)).toEqual(round);
    expect(saidIn(compile({ ...react, call: '' }))).not.toContain('now');
  });
  it('fits the steps to the room', () => {
    expect(footworkLine(footwork, book)).toBe('in in in in-2-out out out out');
    expect(footworkLine({ ...footwork, strikeAt: 'with' }, book)).toBe('in in in in+2 out out out out');
    expect(footworkLine({ ...footwork, steps: 1, strike: '1-2' }, book)).toBe('in-1-2 out');
    expect(footworkLine({ ...footwork, steps: 1, strike: '1=2' }, book)).toBe('in-1=2=out');
    const reach = stepsThatFit({ ...footwork, room: 2 }, book);
    expect(reach).toBeLessThanOrEqual(4);
    expect(reach).toBeGreaterThanOrEqual(1);
    expect(footworkLine({ ...footwork, steps: 1, strike: '' }, book)).toBe('in out');
    expect(compile(footwork).cycles.length).toBeGreaterThan(2);
  });
  it('rings no bell for a talk', () => {
    const talk: Block = { kind: 'talk', id: 't', seconds: 30, title: 'Rules', notes: '' };
    expect(compile(talk).cues.map((cue) => cue.kind)).toEqual(['show']);
    const round = compileRound({ blocks: [talk, hold], lead: 'left', seed: 1 }, book, library);
    expect(round.cues.filter((cue) => cue.kind === 'bell').map((cue) => cue.at)).toEqual([30, 96]);
  });
  it('says the word of the day at random instants of the work, never over another call', () => {
    const free: Block = {
      kind: 'free',
      id: 'w',
      seconds: 300,
      prompts: ['Circle'],
      every: { min: 5, max: 9 },
      leadPlan: 'as-set',
    };
    const round = compile(free, { word: 'Tide' });
    const words = round.cues.filter((cue) => cue.text === 'tide');
    expect(words.length).toBeGreaterThan(2);
    const clips = round.cues.flatMap((cue) => cue.clip ?? []).sort((a, b) => a.start - b.start);
    clips
      .slice(1)
      .forEach((clip, i) => expect(clip.start).toBeGreaterThan(clips[i]!.start + clips[i]!.seconds));
  });
});

describe('any counted block', () => {
  it('ends where it says, counts only forward, and asks only for texts listed beforehand', () => {
    const block = fc.record({
      reps: fc.integer({ min: 1, max: 40 }),
      sides: fc.constantFrom('both', 'one'),
      sets: fc.integer({ min: 1, max: 4 }),
      rest: fc.integer({ min: 0, max: 60 }),
      repSeconds: fc.constantFrom(null, 0.8, 2.5),
      method: fc.constantFrom('whole', 'parts', 'build-up'),
      direction: fc.constantFrom('up', 'down'),
      levels: fc.constantFrom('fixed', 'in-turn', 'rising'),
      line: fc.constantFrom('r:round', '1 2-3', '1 ('),
      shoutLast: fc.boolean(),
      groups: fc.constantFrom(
        [],
        [
          { group: 'Herons', reps: 7 },
          { group: 'Ebb', reps: 12 },
        ],
      ),
    }) as fc.Arbitrary<Partial<CountBlock>>;
    fc.assert(
      fc.property(block, (extra) => {
        const made = count(extra);
        const { steps, seconds } = countSteps(made, book, 1.25);
        for (const step of steps) expect(step.at >= 0 && step.at <= seconds + 1e-9).toBe(true);
        const counts = steps.filter((step) => step.kind === 'count').map((step) => step.at);
        counts.slice(1).forEach((at, i) => expect(at).toBeGreaterThan(counts[i]!));
        const whole = { ...made, seconds: Math.ceil(seconds) };
        const listed = new Set(wantedTexts([whole], book));
        const unlisted: string[] = [];
        compileRound({ blocks: [whole], lead: 'left', seed: 1 }, book, {
          find: (text, rate) => {
            if (!listed.has(text)) unlisted.push(text);
            return library.find(text, rate);
          },
        });
        expect(unlisted).toEqual([]);
      }),
      { numRuns: 120 },
    );
  });
});

describe('sides that change at each repetition', () => {
  const turns = count({ sides: 'in-turn', reps: 7, sets: 1 });
  it('are counted once in all, and share the strikes', () => {
    expect(countedLength(turns, book, 1)).toBe(3 + 7 * 2);
    const strikes = kindOf(turns).strikes(turns, book, 'left') as StrikeCount;
    expect([strikes.limbs['right-leg'], strikes.limbs['left-leg']]).toEqual([4, 3]);
  });
  it('are said at the start', () => {
    const { cues } = compileRound({ blocks: [turns], lead: 'left', seed: 1 }, book, library);
    expect(cues.find(({ clip }) => clip)!.text).toMatch(/^round kick, change sides each time$|^round kick$/);
  });
});

describe('the speed of a set', () => {
  const sets = count({ sides: 'one', reps: 4, sets: 3, rest: 10, repSeconds: 2, speeds: ['slow', 'full'] });
  it('sets its count, and the last one holds on', () => {
    expect(countedLength(sets, book, 1)).toBe(Math.ceil(3 * 3 + 2 * 10 + 4 * 2 * (1 / 0.65 + 2 / 1.3)));
  });
  it('is called where it changes', () => {
    const { cues } = compileRound({ blocks: [sets], lead: 'left', seed: 1 }, book, library);
    const texts = cues.flatMap(({ clip, text }) => (clip ? [text] : []));
    expect(texts.filter((text) => /slow|speed/.test(text))).toEqual([
      expect.stringContaining('slow'),
      expect.stringContaining('full speed'),
    ]);
    const known = new Set(wantedTexts([sets], book));
    for (const text of texts) expect(known).toContain(text);
  });
});

describe('counted work that its block has no time for', () => {
  it.each([
    ['count', count({ sets: 1, sides: 'one', reps: 20, seconds: 23 }), 'Only 10 of 20 counts fit.'],
    ['condition', condition({ seconds: 23 }), 'Only 10 of 15 counts fit.'],
    ['hold', { ...hold, seconds: 33 }, 'Only 1 of 2 counts fit.'],
  ] as const)('is told for %s', (_, block, message) => {
    const { findings } = compileRound({ blocks: [block], lead: 'left', seed: 1 }, book, library);
    expect(findings).toMatchObject([{ rule: 'count-cut', severity: 'caution' }]);
    expect(findings[0]!.message).toContain(message);
  });
  it('is whole at the pace for which the block was made', () => {
    for (const factor of [1, 1.25, 1.6]) {
      const block = count({ repSeconds: null, reps: 10 });
      const seconds = countedLength(block, book, factor)!;
      const { findings } = compileRound(
        { blocks: [{ ...block, seconds }], lead: 'left', seed: 1, factor },
        book,
        library,
      );
      expect(findings).toEqual([]);
    }
  });
});

describe('groups with exercises of their own', () => {
  const groups = [
    { group: 'Minnows', reps: 5, title: 'Star jumps' },
    { group: 'Flood', reps: 20 },
  ];
  it('are reported theirs before the count, which waits for it', () => {
    const block = condition({ groups });
    expect(countedLength(block, book, 1)).toBe(Math.ceil(3 + 1.8 + 20 * 2));
    const { cues, findings } = compileRound(
      { blocks: [{ ...block, seconds: 45 }], lead: 'left', seed: 1 },
      book,
      library,
    );
    const said = cues.filter(({ clip }) => clip).map(({ text }) => text);
    expect(said.slice(0, 3)).toEqual(['squats', 'minnows, star jumps', 'one']);
    expect(findings).toEqual([]);
  });
  it('are reported and shown in a burst', () => {
    const block: Block = {
      kind: 'burst',
      id: 'x',
      seconds: 10,
      title: 'Two straights',
      groups: [{ group: 'Ebb', title: 'Knees' }],
    };
    const { cues } = compileRound({ blocks: [block], lead: 'left', seed: 1 }, book, library);
    expect(cues.find(({ kind }) => kind === 'show')!.text).toBe('Two straights · Ebb: Knees');
    expect(cues.filter(({ clip }) => clip).map(({ text }) => text)).toContain('ebb, knees');
    expect(wantedTexts([block], book)).toContain('ebb, knees');
  });
});
