import { STARTER_MOVES, STARTER_NUMBERS, moveBook, starterBook } from '../moves/index.ts';
import { usualBlock, type WrittenBlock } from '../rounds/index.ts';
import {
  comboName,
  countedTechnique,
  sessionPlanner,
  type ClassFacts,
  type WrittenSession,
} from './index.ts';

const book = starterBook();
const combo = (id: string, line: string) => ({
  id,
  grade: 'Ebb',
  number: 1,
  title: id,
  line,
  beatsPerBar: 4,
});
const pads = (id: string, comboId: string, seconds = 60): WrittenBlock => ({
  ...usualBlock('combo', id),
  seconds,
  combos: [{ comboId }],
  leadPlan: 'as-set',
});
const session = (blocks: readonly WrittenBlock[], times = 1): WrittenSession => ({
  lead: 'left',
  rounds: [
    {
      id: 'r',
      title: 'Pads',
      kind: 'pads',
      blocks,
      ...(times > 1 ? { series: { id: 's', times } } : {}),
    },
  ],
});
const facts: ClassFacts = { groups: [], bands: ['adults'], floorSteps: null, kit: [] };
const plannerOf = (retired: readonly string[] = []) =>
  sessionPlanner({ book, retired, combos: [combo('straights', '1 2'), combo('kick', '1 r:round@h')] });

describe('a planned session', () => {
  it('says how often its lines are gone through from each lead', () => {
    const block: WrittenBlock = { ...pads('a', 'straights'), leadPlan: 'halves', times: 3 } as WrittenBlock;
    const timed = { ...block, seconds: 120 };
    const { times } = plannerOf()(session([timed, usualBlock('free', 'f')]), facts);
    expect(times).toEqual({ 'r/a': { left: 3, right: 3 } });
  });
  it('warns where counted work has no time for its counts', () => {
    const count = { ...usualBlock('count', 'c'), seconds: 30 };
    const { warnings } = plannerOf()(session([count], 4), facts);
    const cut = warnings.filter(({ rule }) => rule === 'counts-cut');
    expect(cut).toHaveLength(1);
    expect(cut[0]!.message).toMatch(/^“Pads” counts for 1:\d\d and has 0:30/);
    const long = { ...usualBlock('count', 'c'), seconds: 300 };
    expect(plannerOf()(session([long]), facts).warnings.map(({ rule }) => rule)).not.toContain('counts-cut');
  });
  it('warns of what is too fast for some of those whose own pace was measured', () => {
    const block = { ...pads('a', 'straights'), bpm: 170 } as WrittenBlock;
    const person = (name: string, base: number, group: string | null = null) => ({
      name,
      group,
      factor: { base, pairs: {} },
    });
    const reported = (own: Partial<ClassFacts>, of: WrittenBlock = block) =>
      plannerOf()(session([of]), { ...facts, ...own }).warnings.filter(
        ({ rule }) => rule === 'too-fast-for-some',
      );
    const paces = [person('Ines', 1.1), person('Joost', 2.4)];
    expect(reported({ paces }).map(({ message }) => message)).toEqual([
      expect.stringMatching(
        /^“Pads”: Ebb 1 at 170 is faster than 1 of 2 whose pace was measured do cleanly: Joost \d+\.$/,
      ),
    ]);
    expect(reported({ paces: paces.slice(0, 1) })).toEqual([]);
    // What is too fast for everybody is reported once, and of them only who is slower still.
    const rush = { ...block, bpm: 320 } as WrittenBlock;
    const all = [person('Ines', 1.25), person('Joost', 2.4)];
    expect(reported({ paces: all }, rush).map(({ message }) => message)).toEqual([
      expect.stringMatching(/faster than 1 of 2 .*: Joost/),
    ]);
    // Only those count who do it.
    const groups = ['Tide', 'Reef'].map((name) => ({ name, bands: ['adults' as const], people: 2 }));
    const some = [person('Ines', 1.1, 'Tide'), person('Joost', 2.4, 'Reef')];
    expect(reported({ paces: some, groups }, { ...block, who: ['Tide'] })).toEqual([]);
    expect(reported({ paces: some, groups }, { ...block, who: ['Reef'] })).toHaveLength(1);
    // A group with a combo of its own does not do that of the others.
    const lanes = [{ group: 'Reef', combos: [{ comboId: 'kick' }] }];
    const own = reported({ paces: some, groups }, { ...block, lanes } as WrittenBlock);
    expect(own.map(({ message }) => message.includes('Joost'))).toEqual([true]);
  });
  it('is added up: its length, its phases and its strikes, series as often as they are held', () => {
    const plan = plannerOf();
    const once = plan(session([pads('a', 'straights'), usualBlock('rest', 'p')]), facts);
    expect([once.seconds, once.phases]).toEqual([100, [{ phase: 'pads', seconds: 100 }]]);
    const [left, right] = [once.strikes.limbs['left-hand'], once.strikes.limbs['right-hand']];
    expect(left).toBeGreaterThan(5);
    expect(left).toBe(right);
    const thrice = plan(session([pads('a', 'straights'), usualBlock('rest', 'p')], 3), facts);
    expect(thrice.seconds).toBe(300);
    expect(thrice.strikes.limbs['left-hand']).toBe(3 * left);
  });
  it('is the same when a block is seen again, and another one once it is changed', () => {
    const plan = plannerOf();
    const written = session([pads('a', 'straights')]);
    const first = plan(written, facts);
    expect(plan(structuredClone(written), facts)).toEqual(first);
    const longer = plan(session([pads('a', 'straights', 120)]), facts);
    expect(longer.strikes.limbs['left-hand']).toBeGreaterThan(first.strikes.limbs['left-hand']);
    expect(plannerOf()(written, facts)).toEqual(first);
  });
  it('warns of combos that are gone and moves that are retired', () => {
    const gone = plannerOf()(session([pads('a', 'nowhere')]), facts);
    expect(gone.warnings.map(({ rule }) => rule)).toContain('gone-combo');
    const retired = plannerOf(['jab'])(session([pads('a', 'straights')]), facts);
    expect(retired.warnings).toContainEqual(
      expect.objectContaining({ rule: 'retired-move', message: expect.stringContaining('jab') }),
    );
    expect(
      plannerOf()(session([pads('a', 'straights')]), facts).warnings.map(({ rule }) => rule),
    ).not.toContain('retired-move');
  });
  it('warns of a high kick before anybody is warm, at its place', () => {
    const { warnings } = plannerOf()(session([pads('a', 'kick')]), facts);
    expect(warnings).toContainEqual(
      expect.objectContaining({ rule: 'no-warm-up', place: { round: 'r', block: 'a', at: 0 } }),
    );
  });
  it('follows the book: what a number means decides what is struck', () => {
    const kicks = moveBook(
      STARTER_MOVES,
      STARTER_NUMBERS.map((each) => (each.number === 1 ? { number: 1, code: 'round', side: 'rear' } : each)),
    );
    const plan = sessionPlanner({ book: kicks, retired: [], combos: [combo('straights', '1')] });
    const { strikes } = plan(session([pads('a', 'straights')]), facts);
    expect([strikes.limbs['left-hand'], strikes.limbs['right-leg'] > 0]).toEqual([0, true]);
  });
});

describe('a technique of a grade', () => {
  const technique = { move: 'r:round', reps: 15, sides: 'both', sets: 2, restSeconds: 20 } as const;
  it('is counted with its name, its side and its counts', () => {
    expect(countedTechnique(technique, undefined, book)).toEqual({
      title: 'Round kick',
      line: 'r:round',
      reps: 15,
      sides: 'both',
      sets: 2,
      rest: 20,
    });
  });
  it('is a combo where it names one, and none where its move is not in the book', () => {
    const named = countedTechnique({ ...technique, move: null }, combo('Door', '1 2'), book);
    expect(named).toMatchObject({ title: 'Door', line: '1 2' });
    expect(countedTechnique({ ...technique, move: 'nosuch' }, undefined, book)).toBeNull();
    expect(countedTechnique({ ...technique, move: null }, undefined, book)).toBeNull();
  });
  it('is counted no further than a set goes', () => {
    expect(countedTechnique({ ...technique, reps: 900 }, undefined, book)!.reps).toBe(500);
  });
});

describe('the name of a combo', () => {
  it('is its grade and number, or that it is gone', () => {
    expect(comboName({ grade: 'Ebb', number: 3 })).toBe('Ebb 3');
    expect(comboName({ grade: '', number: 3 })).toBe('3');
    expect(comboName(undefined)).toBe('a combo that is gone');
  });
});

describe('a session that asks too much', () => {
  const lines = (line: string, more: object = {}): WrittenBlock =>
    ({ ...usualBlock('combo', 'b'), seconds: 60, combos: [{ line, title: 'Own' }], ...more }) as WrittenBlock;
  const drop = {
    band: 'Drop',
    headContact: false,
    knees: false,
    elbows: false,
    spins: false,
    jumps: false,
    contact: 10,
  };
  const facts = { groups: [], bands: ['adults'], floorSteps: null, kit: [] } as const;
  const planned = (block: WrittenBlock, more: object = {}, factor?: number) =>
    sessionPlanner({ book: starterBook(), retired: [], combos: [], ...(factor ? { factor } : {}) })(
      { lead: 'left', rounds: [{ id: 'r', title: 'Pads', kind: 'pads', blocks: [block] }] },
      { ...facts, ...more },
    ).warnings;
  const reported = (block: WrittenBlock, more: object = {}): string[] =>
    planned(block, more).flatMap(({ rule, message }) =>
      rule === 'youth-limits' ? [message.split(':').slice(1).join(':').split(' for their')[0]!.trim()] : [],
    );

  it.each([
    ['1@b 2@b', {}, []],
    ['1 2@b', {}, ['jab: no contact to the head']],
    ['r:knee', {}, ['knee: no knees']],
    ['spinside', {}, ['spinning side kick: no spins']],
    ['o:1 2@b', {}, []],
    ['1@b', { intensity: [10, 25] }, ['25 % contact: at most 10 %']],
  ])('tells the children’s limits of %s %j', (line, more, faults) => {
    const groups = [{ name: 'Drops', bands: ['children'], people: 3, youth: drop }];
    expect(reported(lines(line, more), { groups })).toEqual(faults);
    expect(reported(lines(line, more), { youth: drop })).toEqual(faults);
    expect(reported(lines(line, more))).toEqual([]);
  });
  it('allows children no contact where nobody allowed any', () => {
    const { contact: _, ...silent } = drop;
    const half = lines('1@b', { intensity: [50] });
    expect(reported(half, { youth: silent })).toEqual(['50 % contact: none is allowed']);
    expect(reported(lines('1@b'), { youth: silent })).toEqual([]);
  });
  it('looks at the lane of each group, at whom a block is for, and at prompts', () => {
    const groups = [
      { name: 'Drops', bands: ['children'], people: 3, youth: drop },
      { name: 'Adults', bands: ['adults'], people: 3, youth: null },
    ];
    const lanes = [{ group: 'Drops', combos: [{ line: '1@b', title: 'Low' }] }];
    expect(reported(lines('1 r:knee', { lanes }), { groups })).toEqual([]);
    expect(reported(lines('1 r:knee', { who: ['Adults'] }), { groups })).toEqual([]);
    const free = {
      ...usualBlock('free', 'f'),
      prompts: ['Hands high', 'Change lead', 'Jab to move', 'Throw a knee'],
    } as WrittenBlock;
    expect(reported(free, { groups })).toEqual(['“Throw a knee”: no knees']);
    for (const kind of ['burst', 'condition', 'count'] as const) {
      const own = { ...usualBlock(kind, 'o'), groups: [{ group: 'Drops', reps: 5, line: 'r:knee' }] };
      expect(reported(own as WrittenBlock, { groups })).toEqual(['knee: no knees']);
    }
  });
  it('takes the room of a line that travels as often as it follows itself', () => {
    const small = { floorSteps: 3 };
    const rules = (more: object): string[] => planned(lines('in 1', more), small).map(({ rule }) => rule);
    expect(rules({ cyclesEach: 4 })).toContain('small-room');
    expect(rules({ cyclesEach: 4, wayBack: 2 })).not.toContain('small-room');
    expect(rules({ cyclesEach: 2 })).not.toContain('small-room');
  });
  it('tells a tempo above the clean one with the round, the combo and both numbers, ramps too', () => {
    const warning = planned(
      lines('r:round', { bpm: 60, tempo: { kind: 'ramp', to: 300 }, cyclesEach: 20 }),
    ).find(({ rule }) => rule === 'too-fast');
    expect(warning!.message).toMatch(
      /^“Pads”: “Own” is done at \d+ a minute here; \d+ is its fastest clean tempo from one/,
    );
    expect(warning!.place).toMatchObject({ round: 'r', block: 'b' });
    expect(planned(lines('1 2', { bpm: 80 })).map(({ rule }) => rule)).not.toContain('too-fast');
    expect(planned(lines('1-2-3-2', { bpm: 150 }), {}, 1).map(({ rule }) => rule)).not.toContain('too-fast');
    expect(planned(lines('1-2-3-2', { bpm: 150 }), {}, 1.6).map(({ rule }) => rule)).toContain('too-fast');
  });
});
