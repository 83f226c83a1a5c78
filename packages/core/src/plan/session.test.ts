import fc from 'fast-check';
import { starterBook } from '../moves/index.ts';
import {
  NO_STRIKES,
  addStrikes,
  kindOf,
  usualBlock,
  type Block,
  type BlockCombo,
  type ComboBlock,
  type CountBlock,
  type Phase,
  type MutedRule,
} from '../rounds/index.ts';
import {
  demandsOf,
  fitSession,
  retiredIn,
  seriesOf,
  sessionSeconds,
  sessionTotals,
  sessionWarnings,
  strikesOfBlock,
  unrollRounds,
  withLengths,
  workOf,
  type ClassFacts,
  type RoundLike,
  type WarnedRound,
} from './index.ts';

const book = starterBook();

const combo = (line: string): BlockCombo => ({
  id: line,
  grade: 'Ebb',
  number: 1,
  title: '',
  line,
  beatsPerBar: 4,
});
const pads = (id: string, line: string, more: Partial<ComboBlock> = {}): ComboBlock => ({
  kind: 'combo',
  id,
  seconds: 120,
  combos: [combo(line)],
  bpm: 80,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'as-set',
  cyclesEach: 4,
  ...more,
});
const rest = (id: string, seconds = 40): Block => ({ kind: 'rest', id, seconds, next: '' });
const count = (line: string, more: Partial<CountBlock> = {}): CountBlock => ({
  kind: 'count',
  id: 'c',
  seconds: 60,
  title: 'Kick',
  line,
  reps: 10,
  groups: [],
  sides: 'both',
  sets: 2,
  rest: 10,
  repSeconds: 2,
  method: 'whole',
  direction: 'up',
  levels: 'fixed',
  from: 'standing',
  shoutLast: false,
  ...more,
});
const round = (
  id: string,
  kind: Phase,
  blocks: readonly Block[],
  series?: RoundLike['series'],
): RoundLike => ({
  id,
  title: id,
  kind,
  blocks,
  series,
});

describe('rounds in series', () => {
  const twice = { id: 's', times: 2 };
  const rounds = [
    round('a', 'pads', [pads('a1', '1 2')], twice),
    round('b', 'shadow', [rest('b1', 30)], twice),
    round('c', 'pads', [rest('c1', 10)]),
  ];
  it('are held in turn, with ids of their own, and titles that say which time it is', () => {
    expect(unrollRounds(rounds).map(({ id, title }) => [id, title])).toEqual([
      ['a', 'a (1 of 2)'],
      ['b', 'b (1 of 2)'],
      ['a.2', 'a (2 of 2)'],
      ['b.2', 'b (2 of 2)'],
      ['c', 'c'],
    ]);
    expect(sessionSeconds(rounds)).toBe(2 * 150 + 10);
  });
  it('are one stretch only while they stand next to each other', () => {
    expect(
      seriesOf([rounds[0]!, rounds[2]!, rounds[1]!]).map(({ rounds: own, times }) => [own.length, times]),
    ).toEqual([
      [1, 2],
      [1, 1],
      [1, 2],
    ]);
  });
  it('always add up to what is held, and never name two rounds alike', () => {
    const any = fc.array(
      fc.record({
        seconds: fc.integer({ min: 5, max: 300 }),
        series: fc.constantFrom(null, 'x', 'y'),
        times: fc.integer({ min: 2, max: 20 }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(any, (list) => {
        const all = list.map(({ seconds, series, times }, i) =>
          round(`r${i}`, 'pads', [rest(`b${i}`, seconds)], series === null ? null : { id: series, times }),
        );
        const held = unrollRounds(all);
        expect(held.reduce((sum, { blocks }) => sum + blocks[0]!.seconds, 0)).toBe(sessionSeconds(all));
        expect(new Set(held.map(({ id }) => id)).size).toBe(held.length);
        expect(held.every(({ id }) => id.length <= 64)).toBe(true);
      }),
    );
  });
  it('are fitted with each change reported for one time', () => {
    const all = [
      round('a', 'pads', [pads('a1', '1 2')], { id: 's', times: 3 }),
      round('b', 'pads', [rest('b1', 60)]),
    ];
    const fit = fitSession(all, 600);
    expect(fit.missing).toBe(0);
    expect(sessionSeconds(withLengths(all, fit.changes))).toBeCloseTo(600, 6);
  });
});

describe('fitting a session', () => {
  const rounds = [
    round('w', 'warm-up', [{ ...pads('w1', '1'), seconds: 120 }, rest('w2')]),
    round('p', 'pads', [pads('p1', '1 2'), rest('p2')]),
    round('c', 'technique', [count('r:round')]),
  ];
  it('adds up exactly, and neither cuts the warm-up nor touches what is counted', () => {
    const { changes, missing } = fitSession(rounds, 320);
    expect(missing).toBe(0);
    expect(sessionSeconds(withLengths(rounds, changes))).toBe(320);
    expect(changes.some(({ id }) => id.startsWith('w/') || id.startsWith('c/'))).toBe(false);
  });
  it('says what is out of reach', () => {
    expect(fitSession(rounds, 60).missing).toBeLessThan(0);
    expect(fitSession(rounds, 3600).missing).toBeGreaterThan(0);
  });
});

describe('work of a block', () => {
  it('counts every repetition of the largest group, on both sides', () => {
    const { limbs, levels } = strikesOfBlock(
      count('r:round', { groups: [{ group: 'Ebb', reps: 25 }] }),
      book,
      'left',
    );
    expect(limbs).toEqual({ 'left-hand': 0, 'right-hand': 0, 'left-leg': 50, 'right-leg': 50 });
    expect(levels.head + levels.body + levels.low).toBe(100);
  });
  it('counts what is due on the beat, from the lead that it is done from', () => {
    const asSet = strikesOfBlock(pads('p', 'jab'), book, 'left').limbs;
    expect(asSet['left-hand']).toBeGreaterThan(10);
    expect(asSet['right-hand']).toBe(0);
    expect(strikesOfBlock(pads('p', 'jab', { leadPlan: 'other' }), book, 'left').limbs['left-hand']).toBe(0);
    const halves = strikesOfBlock(pads('p', 'jab', { leadPlan: 'halves' }), book, 'left').limbs;
    expect(Math.abs(halves['left-hand'] - halves['right-hand'])).toBeLessThanOrEqual(5);
  });
  it('names the retired moves of a block once, those of its groups too', () => {
    const lanes = [{ group: 'Ebb', combos: [combo('jab back')] }];
    expect(retiredIn(pads('p', 'jab cross jab', { lanes }), book, new Set(['jab', 'back']))).toEqual([
      'jab',
      'back kick',
    ]);
    expect(retiredIn(pads('p', 'jab'), book, new Set())).toEqual([]);
  });
  it('adds a session up by limb and by phase, in the order of a class', () => {
    const own = (block: Block) => ({ ...block, work: workOf(block, book, 'left') });
    const totals = sessionTotals([
      { kind: 'stretch', blocks: [own(rest('r', 30))] },
      { kind: 'technique', blocks: [own(count('r:round')), own(rest('r', 10))] },
      { kind: 'technique', blocks: [own(count('r:round'))] },
    ]);
    expect(totals.phases).toEqual([
      { phase: 'technique', seconds: 130 },
      { phase: 'stretch', seconds: 30 },
    ]);
    expect(totals.strikes.limbs).toMatchObject({ 'left-leg': 40, 'right-leg': 40 });
  });
  it('foresees nothing of what is free, and nothing of a line that cannot be read', () => {
    expect(strikesOfBlock({ kind: 'burst', id: 'b', seconds: 10, title: 'x' }, book, 'left')).toEqual(
      NO_STRIKES,
    );
    expect(strikesOfBlock(count('rund'), book, 'left')).toEqual(NO_STRIKES);
  });
  it('adds up', () => {
    const one = strikesOfBlock(count('r:round'), book, 'left');
    expect(addStrikes(one, one).limbs['left-leg']).toBe(2 * one.limbs['left-leg']);
  });
  it('tells high kicks, spins and the floor, also of a group of its own', () => {
    expect(demandsOf(pads('p', 'r:round@h'), book)).toMatchObject({ highKick: true, spin: false });
    expect(demandsOf(pads('p', '1', { lanes: [{ group: 'Ebb', combos: [combo('back')] }] }), book).spin).toBe(
      true,
    );
    expect(demandsOf(pads('p', 'in in in jab'), book).floor).toBeGreaterThanOrEqual(2);
    expect(demandsOf({ kind: 'rest', id: 'r', seconds: 5, next: '', space: 4 }, book).floor).toBe(4);
  });
});

describe('warnings of a session', () => {
  const facts: ClassFacts = { groups: [], bands: ['adults'], floorSteps: null, kit: [] };
  const warned = (rounds: readonly RoundLike[]): WarnedRound[] =>
    rounds.map((each) => ({
      ...each,
      blocks: each.blocks.map((block) => ({
        ...block,
        work: workOf(block, book, 'left'),
        spells: kindOf(block).spells(block),
        gone: [],
        retired: [],
      })),
    }));
  const rules = (rounds: readonly RoundLike[], more: Partial<ClassFacts> = {}): string[] =>
    sessionWarnings(warned(rounds), { ...facts, ...more }).map(({ rule }) => rule);
  const easy = (seconds: number): RoundLike =>
    round('easy', 'warm-up', [
      { kind: 'condition', id: 'e', seconds, title: 'Jog', reps: null, groups: [], repSeconds: 2 },
    ]);

  it('are none for a sound class', () => {
    expect(
      rules([easy(300), round('p', 'pads', [pads('p', '1 2', { leadPlan: 'halves' }), rest('r')])]),
    ).toEqual([]);
  });
  it('ask for a warm-up before high kicks', () => {
    const high = round('h', 'pads', [pads('h', 'r:round@h', { leadPlan: 'halves' })]);
    expect(rules([easy(120), high])).toEqual(['no-warm-up']);
    expect(rules([easy(300), high])).toEqual([]);
  });
  it('ask for any warm-up at all before somebody strikes', () => {
    const punches = round('p', 'pads', [pads('p', '1 2', { leadPlan: 'halves' }), rest('r')]);
    expect(rules([punches])).toEqual(['no-warm-up']);
    expect(rules([easy(60), punches])).toEqual([]);
    expect(
      rules([round('t', 'technique', [{ kind: 'talk', id: 't', seconds: 60, title: 'Rules', notes: '' }])]),
    ).toEqual([]);
  });
  it('look at the room that a block is given, not only at the floor of the gym', () => {
    const travels = (space: number | null) =>
      round('w', 'pads', [pads('w', 'in in in jab cross', { leadPlan: 'halves', space }), rest('r')]);
    expect(rules([easy(300), travels(2)])).toEqual(['small-room']);
    expect(rules([easy(300), travels(60)])).toEqual([]);
    expect(rules([easy(300), travels(60)], { floorSteps: 50 })).toEqual(['small-room']);
    expect(rules([easy(300), travels(null)])).toEqual([]);
  });
  it('are not repeated where the coach wants it so, but for what concerns safety', () => {
    const wide = (muted: readonly MutedRule[]) =>
      round('w', 'pads', [
        pads('w', 'in in in jab cross', { leadPlan: 'halves', kit: ['Pads'], muted }),
        rest('r'),
      ]);
    const small = { floorSteps: 1, kit: ['shields'] };
    expect(rules([wide([])], small)).toEqual(['no-warm-up', 'small-room', 'kit-missing']);
    expect(rules([wide(['small-room', 'kit-missing'])], small)).toEqual(['no-warm-up']);
  });
  it('find spins that come early', () => {
    const spin = round('s', 'pads', [pads('s', 'jab back', { leadPlan: 'halves' })]);
    expect(rules([easy(300), spin])).toContain('spins-early');
    expect(rules([easy(600), spin])).not.toContain('spins-early');
  });
  it('find long work without rest, sooner where children take part', () => {
    const long = round('l', 'shadow', [
      { kind: 'free', id: 'f', seconds: 240, prompts: [], every: { min: 5, max: 9 }, leadPlan: 'as-set' },
    ]);
    expect(rules([long])).toEqual([]);
    expect(rules([long], { bands: ['adults', 'children'] })).toEqual(['no-rest']);
    const broken = { ...long, blocks: [long.blocks[0]!, rest('r'), { ...long.blocks[0]!, id: 'g' }] };
    expect(rules([broken])).toEqual([]);
    expect(rules([long, { ...long, id: 'm' }, { ...long, id: 'n' }])).toEqual(['no-rest']);
  });
  it('do not count the rests between sets as work', () => {
    const block = { ...usualBlock('count', 'c'), seconds: 600, sets: 4, rest: 60, reps: 20, repSeconds: 5 };
    const counted = round('l', 'technique', [block, rest('r')]);
    expect(rules([counted])).not.toContain('no-rest');
    expect(rules([round('l', 'technique', [{ ...block, rest: 0 }, rest('r')])])).toContain('no-rest');
  });
  it('tell once what happens each time that a series is held', () => {
    const shadow = {
      kind: 'free',
      id: 'f',
      seconds: 240,
      prompts: [],
      every: { min: 5, max: 9 },
      leadPlan: 'as-set',
    } as const;
    const held = unrollRounds([round('Long', 'shadow', [shadow, rest('r')], { id: 's', times: 3 })]);
    const warnings = sessionWarnings(warned(held), { ...facts, bands: ['children'] });
    expect(warnings).toMatchObject([{ rule: 'no-rest', place: { round: 'Long', at: 0 } }]);
    expect(warnings[0]!.message).toContain('“Long”');
  });
  it('find one side that is trained much more', () => {
    expect(rules([easy(300), round('p', 'pads', [pads('p', 'jab thumb'), rest('r')])])).toEqual(['one-side']);
    expect(
      rules([easy(300), round('p', 'pads', [pads('p', 'jab thumb', { leadPlan: 'halves' }), rest('r')])]),
    ).toEqual([]);
  });
  it('find a floor that is too small, kit that is missing, and groups without people', () => {
    const wide = round('w', 'pads', [
      pads('w', 'in in in jab cross', { leadPlan: 'halves', kit: ['Pads'] }),
      rest('r'),
    ]);
    expect(rules([easy(300), wide], { floorSteps: 1 })).toEqual(['small-room']);
    expect(rules([easy(300), wide], { kit: ['shields'] })).toEqual(['kit-missing']);
    expect(rules([easy(300), wide], { kit: ['pads'] })).toEqual([]);
    expect(
      rules([easy(300), wide], { groups: [{ name: 'Herons', bands: ['children'], people: 0 }] }),
    ).toEqual(['empty-group']);
  });
  it('tell combos that are gone and moves that are retired, each once, with their place', () => {
    const [plain] = warned([round('p', 'pads', [pads('p', '1 2', { leadPlan: 'halves' })])]);
    const lost = {
      ...plain!,
      blocks: plain!.blocks.map((block) => ({ ...block, gone: ['x'], retired: ['jab', 'jab'] })),
    };
    expect(sessionWarnings([...warned([easy(300)]), lost, { ...lost, id: 'q' }], facts)).toMatchObject([
      { rule: 'gone-combo', place: { round: 'p', block: 'p', at: 300 } },
      { rule: 'retired-move', place: { round: 'p' } },
    ]);
  });
});
