import fc from 'fast-check';
import { starterBook } from '../../moves/index.ts';
import { compileRound } from '../../rounds/index.ts';
import { lettersVoice } from '../../calls/testLibrary.ts';
import {
  draftSession,
  pickCombos,
  sessionSeconds,
  workOf,
  type DraftCombo,
  type DraftWish,
  type RoundLike,
} from '../index.ts';

const book = starterBook();
const combo = (number: number, line: string, more: Partial<DraftCombo> = {}): DraftCombo => ({
  id: `ebb-${number}`,
  grade: 'Ebb',
  gradeId: 'ebb',
  number,
  title: `Combo ${number}`,
  line,
  beatsPerBar: 4,
  bpm: 80,
  focus: [],
  daysAgo: 10,
  ...more,
});
const combos = [
  combo(1, 'jab cross'),
  combo(2, 'jab cross f:hook', { daysAgo: 40 }),
  combo(3, 'jab r:round@l', { focus: ['low kicks'] }),
  combo(4, 'jab f:push', { daysAgo: null }),
];
const hold = (id: string, kind: RoundLike['kind'], kit: string[] = []): RoundLike => ({
  id,
  title: id,
  kind,
  blocks: [
    {
      kind: 'condition',
      id: `${id}-1`,
      seconds: 360,
      title: 'Jog',
      reps: null,
      groups: [],
      repSeconds: 2,
      kit,
    },
  ],
});
const wish: DraftWish = {
  minutes: 60,
  groups: [
    {
      name: 'Ebb',
      combos,
      techniques: [{ title: 'Round kick', line: 'r:round', reps: 15, sides: 'both', sets: 2, rest: 20 }],
    },
  ],
  focus: null,
  floorSteps: null,
  kit: [],
  people: 8,
  library: [
    hold('Rope', 'warm-up', ['rope']),
    hold('Jog', 'warm-up'),
    hold('Core', 'conditioning'),
    hold('Long stretches', 'stretch'),
  ],
  words: 'numbers',
  prompts: ['Hands high'],
  factor: 1.25,
};

describe('picking combos', () => {
  const pick = (count: number, focus: string | null = null, floorSteps: number | null = null) =>
    pickCombos(combos, { count, focus, floorSteps }, book).map(({ combo: { id } }) => id);
  it('brings back first what was never or long not trained', () => {
    expect(pick(2)).toEqual(['ebb-4', 'ebb-2']);
  });
  it('puts the focus before everything', () => {
    expect(pick(1, 'Low kicks')).toEqual(['ebb-3']);
    expect(pickCombos(combos, { count: 1, focus: 'low kicks', floorSteps: null }, book)[0]!.why).toContain(
      'focus',
    );
  });
  it('takes what slips from memory before what was left for long, and says so', () => {
    const due = [
      combo(1, 'jab cross', { daysAgo: 20 }),
      combo(2, 'jab cross', { daysAgo: 3, due: { with: 4, of: 5 } }),
    ];
    const [first] = pickCombos(due, { count: 1, focus: null, floorSteps: null }, book);
    expect([first!.combo.id, first!.why]).toEqual(['ebb-2', 'is due from memory with 4 of 5 who may come']);
  });
  it('brings limbs and heights that are lacking, other things being equal', () => {
    const even = [combo(1, 'jab cross'), combo(2, 'jab cross jab'), combo(3, 'r:round@l f:round@l')].map(
      (each) => ({ ...each, daysAgo: 5 }),
    );
    const picked = pickCombos(even, { count: 2, focus: null, floorSteps: null }, book);
    expect(picked[1]!.combo.number).toBe(3);
    expect(picked[1]!.why).toMatch(/low targets/);
  });
  it('leaves out what needs more floor than there is, and lines that cannot be read', () => {
    const odd = [combo(1, 'in in in in jab'), combo(2, 'rund'), combo(3, 'jab')];
    expect(
      pickCombos(odd, { count: 3, focus: null, floorSteps: 1 }, book).map((each) => each.combo.number),
    ).toEqual([3]);
  });
});

describe('a drafted session', () => {
  const draft = draftSession(wish, book);
  it('fills the hour to the second, from warm-up to stretch', () => {
    expect(draft.notes).toEqual([]);
    expect(sessionSeconds(draft.rounds)).toBeCloseTo(3600, 6);
    const kinds = draft.rounds.map((round) => round.kind);
    expect([kinds[0], kinds.at(-1)]).toEqual(['warm-up', 'stretch']);
    for (const kind of ['technique', 'combos', 'pads', 'shadow', 'conditioning'])
      expect(kinds).toContain(kind);
  });
  it('says of every round why it is there, in one line', () => {
    for (const { why } of draft.rounds) expect(why).toMatch(/^[^\n]{10,200}\.$/);
  });
  it('takes from the library what fits the kit', () => {
    const bare = draftSession({ ...wish, kit: ['shields'] }, book);
    expect(bare.rounds[0]!.title).toBe('Jog');
    expect(draftSession({ ...wish, kit: ['rope', 'pads'] }, book).rounds[0]!.title).toBe('Rope');
  });
  it('shortens a technique that would eat the class, and leaves it out when nothing helps', () => {
    const long = {
      title: 'Everything',
      line: 'jab cross f:hook r:round jab cross',
      reps: 30,
      sides: 'both' as const,
      sets: 6,
      rest: 20,
    };
    const drafted = (reps: number) =>
      draftSession(
        { ...wish, groups: [{ ...wish.groups[0]!, techniques: [{ ...long, reps }] }] },
        book,
      ).rounds.filter((round) => round.kind === 'technique');
    const [shorter] = drafted(10);
    expect(shorter!.blocks[0]!.seconds).toBeLessThanOrEqual(360);
    expect(shorter!.blocks[0]).toMatchObject({ reps: 10 });
    expect(drafted(99)).toEqual([]);
  });
  it('goes into the air without pads, and says so', () => {
    const air = draftSession({ ...wish, kit: ['rope'] }, book);
    expect(air.rounds.some((round) => round.kind === 'pads')).toBe(false);
    expect(air.notes.join()).toContain('No pads');
  });
  it('gives other groups combos of their own to the same clock', () => {
    const heron = combo(1, 'jab', { id: 'herons-1', grade: 'Herons', gradeId: 'herons' });
    const mixed = draftSession(
      { ...wish, groups: [...wish.groups, { name: 'Herons', combos: [heron], techniques: [] }] },
      book,
    );
    const lanes = mixed.rounds.flatMap(({ blocks }) =>
      blocks.flatMap((block) => (block.kind === 'combo' ? (block.lanes ?? []) : [])),
    );
    expect(lanes[0]).toMatchObject({ group: 'Herons', combos: [{ id: 'herons-1' }] });
  });
  it('is never broken: it compiles, fits where it can, and tells where it cannot', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 120 }),
        fc.subarray(combos),
        fc.constantFrom(null, 1, 4),
        fc.boolean(),
        (minutes, some, floorSteps, bare) => {
          const any = draftSession(
            {
              ...wish,
              minutes,
              floorSteps,
              groups: [{ ...wish.groups[0]!, combos: some }],
              library: bare ? [] : wish.library,
            },
            book,
          );
          const missing = minutes * 60 - sessionSeconds(any.rounds);
          if (Math.abs(missing) > 0.5) expect(any.notes.join()).toMatch(/stay empty|too much/);
          for (const { blocks } of any.rounds)
            expect(
              compileRound({ blocks, lead: 'left', seed: 1 }, book, lettersVoice()).duration,
            ).toBeGreaterThan(0);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a draft', () => {
  it('goes nowhere faster than is clean, whatever tempo the combos have, and says where it is slower', () => {
    const lines = ['1-2-3-2', 'r:round-2 f:round', 'jab weave-cross', '1 2', 'in-1 2 out', 'r:knee-f:knee'];
    const fast = lines.map((line, i) => combo(i + 1, line, { bpm: 170, daysAgo: i }));
    fc.assert(
      fc.property(
        fc.shuffledSubarray(fast, { minLength: 1 }),
        fc.constantFrom(1, 1.25, 1.6),
        (own, factor) => {
          const groups = [{ ...wish.groups[0]!, combos: own }];
          const { rounds, notes } = draftSession({ ...wish, groups, factor }, book);
          const tooFast = rounds.flatMap(({ blocks }) =>
            blocks.flatMap((block) => workOf(block, book, 'left', factor).tooFast),
          );
          expect(tooFast).toEqual([]);
          const isSlower = rounds.some(({ blocks }) =>
            blocks.some((block) => block.kind === 'combo' && block.bpm < 170),
          );
          expect(notes.some((note) => note.includes('instead of 170'))).toBe(isSlower);
        },
      ),
      { numRuns: 40 },
    );
  });
});
