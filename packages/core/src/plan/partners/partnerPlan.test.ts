import fc from 'fast-check';
import {
  changeOfRoles,
  countRoles,
  fairTurns,
  groupUp,
  partnerPlan,
  runBegins,
  unequalHeights,
  type Attendee,
  type PartnerGroup,
} from '../index.ts';
import { usualBlock } from '../../rounds/index.ts';

const person = (i: number, more: Partial<Attendee> = {}): Attendee => ({
  id: `p${i}`,
  rank: i % 4,
  size: 150 + ((i * 7) % 40),
  apart: [],
  from: 0,
  until: null,
  ...more,
});
const people = (n: number): Attendee[] => Array.from({ length: n }, (_, i) => person(i));

describe('partners', () => {
  const worked = (played: readonly (readonly PartnerGroup[])[]): number[] => {
    const done = new Map();
    for (const groups of played) countRoles(done, groups);
    return [...done.values()].map(({ work }) => work);
  };
  const spread = (all: readonly number[]): number => Math.max(...all) - Math.min(...all);
  it('give everybody as much work as everybody else, to one turn, in each class that comes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 1, max: 10 }),
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        (n, rotations, size) => {
          const plan = partnerPlan(people(n), rotations, size);
          const work = worked(plan.map(({ groups }) => groups));
          expect(work).toHaveLength(n);
          expect(spread(work)).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 150 },
    );
  });
  it.each([
    ['four by three', 4, 3],
    ['three by two', 3, 2],
    ['five by two', 5, 2],
    ['seven by three', 7, 3],
    ['eleven by two', 11, 2],
  ] as const)('%s work equally in a class as it is held, round by round', (_, n, size) => {
    const round = (id: string) => ({
      ...{ id, title: id, kind: 'pads' as const, turns: size, series: null },
      blocks: [
        { ...usualBlock('free', 'w') },
        ...Array.from({ length: size - 1 }, (_, i) => [
          { ...usualBlock('rest', `turn.${i + 1}`), next: 'change: watchers work' },
          { ...usualBlock('free', `w.t${i + 2}`) },
        ]).flat(),
        usualBlock('rest', 'r'),
      ],
    });
    const fighters = people(n).map(({ id }) => ({ id, gradeId: 'ebb', name: `Name ${id}` }));
    const everybody = fighters.map(({ id }) => ({ fighterId: id }));
    // Also where nobody was ticked before: rounds in turns say themselves how many stand together.
    for (let n = 0; n < 8; n++) {
      const [rounds, present] = [1 + (n >> 1), n % 2 === 0 ? everybody : []];
      const session = Array.from({ length: rounds }, (_, i) => round(`r${i}`));
      const begun = runBegins(session, fighters, { present, size, rotations: 4 }, ['ebb']);
      for (const { groups } of begun.partners)
        for (const { members, turns } of groups) {
          expect(turns).toHaveLength(size);
          for (const roles of turns) {
            expect(roles).toHaveLength(members.length);
            expect(roles.filter((role) => role === 'work')).toHaveLength(1);
            expect(roles.filter((role) => role === 'hold')).toHaveLength(1);
          }
        }
      expect(spread(worked(begun.partners.map(({ groups }) => groups)))).toBeLessThanOrEqual(1);
      // Watchers are only called where somebody watches.
      const hasWatchers = begun.partners.some(({ groups }) =>
        groups.some(({ members }) => members.length > 2),
      );
      if (!hasWatchers) expect(JSON.stringify(begun.rounds)).not.toContain('watchers');
    }
  });
  it('are as many as each round is written for, and others each time, where nobody was ticked', () => {
    const sizes = [3, null, 2, 2] as const;
    const session = sizes.map((turns, i) => ({
      ...{ id: `r${i}`, title: `R${i}`, kind: 'pads' as const, turns, series: null },
      blocks: [usualBlock('free', 'w'), { ...usualBlock('rest', 'r'), next: `R${i + 1}` }],
    }));
    const fighters = people(6).map(({ id }) => ({ id, gradeId: 'ebb', name: `Name ${id}` }));
    const sheet = { present: [], size: 2 as const, rotations: 4 };
    const { partners, rounds } = runBegins(session, fighters, sheet, ['ebb']);
    expect(partners.map(({ round, groups }) => [round, groups.map(({ members }) => members.length)])).toEqual(
      [
        [0, [3, 3]],
        [2, [2, 2, 2]],
        [3, [2, 2, 2]],
      ],
    );
    const pairs = partners
      .slice(1)
      .map(({ groups }) => groups.map(({ members }) => [...members].sort().join()));
    expect(pairs[0]!.filter((pair) => pairs[1]!.includes(pair))).toEqual([]);
    expect(rounds[2]!.blocks.at(-1)).toMatchObject({ next: 'R3, change partners' });
  });
  it('leave what is done in a burst said before it', () => {
    const session = ['Ten seconds', 'Ten more'].map((title, i) => ({
      ...{ id: `r${i}`, title, kind: 'pads' as const, turns: 2 as const, series: null },
      blocks: [{ ...usualBlock('burst', `b${i}`), title: 'Rear knees' }, usualBlock('rest', `r${i}`)],
    }));
    const fighters = people(4).map(({ id }) => ({ id, gradeId: 'ebb', name: `Name ${id}` }));
    const { rounds } = runBegins(session, fighters, { present: [], size: 2, rotations: 4 }, ['ebb']);
    expect(rounds[0]!.blocks.at(-1)).toMatchObject({ next: 'Ten more, Rear knees, change partners' });
  });
  it.each([1, 2, 3] as const)('are nobody where nobody came, by %s', (size) => {
    expect(partnerPlan([], 2, size)).toEqual([{ groups: [] }, { groups: [] }]);
  });
  it('change as they are said: holders, watchers, or both at once', () => {
    const [pair, three] = [
      ['a', 'b'],
      ['c', 'd', 'e'],
    ];
    expect(changeOfRoles(fairTurns([pair!], 2, new Map()), 1)).toBe('change: holders work');
    expect(
      changeOfRoles(
        [
          {
            members: three!,
            turns: [
              ['work', 'hold', 'watch'],
              ['hold', 'watch', 'work'],
            ],
          },
        ],
        1,
      ),
    ).toBe('change: watchers work');
    const mixed = [
      {
        members: pair!,
        turns: [
          ['work', 'hold'],
          ['hold', 'work'],
        ],
      },
      {
        members: three!,
        turns: [
          ['work', 'hold', 'watch'],
          ['hold', 'watch', 'work'],
        ],
      },
    ] as PartnerGroup[];
    expect(changeOfRoles(mixed, 1)).toBe('change roles');
  });
  it('are called by name in the rest before, where that is wanted', () => {
    const rounds = ['Warm-up', 'Pads'].map((title, i) => ({
      ...{ id: `r${i}`, title, kind: i === 0 ? ('warm-up' as const) : ('pads' as const), series: null },
      blocks: [usualBlock('free', `w${i}`), { ...usualBlock('rest', `r${i}`), next: 'Pads' }],
    }));
    const fighters = ['Ada Low', 'Bo High', 'Ada Wide'].map((name, i) => ({
      id: `${i}`,
      gradeId: 'ebb',
      name,
    }));
    const sheet = { present: fighters.map(({ id }) => ({ fighterId: id })), size: 3 as const, rotations: 1 };
    const saidBefore = (callsNames: boolean) =>
      runBegins(rounds, fighters, { ...sheet, callsNames }, ['ebb']).rounds[0]!.blocks.at(-1)!;
    expect(saidBefore(true)).toMatchObject({ next: 'Pads, Ada Low with Bo and Ada Wide' });
    expect(saidBefore(false)).not.toMatchObject({ next: expect.stringContaining('with') as string });
  });
  it('leave nobody out by threes, and make pairs only of what is over', () => {
    for (let n = 3; n <= 61; n++) {
      const groups = groupUp(people(n), 3, []);
      expect(groups.flat().sort()).toEqual(
        people(n)
          .map(({ id }) => id)
          .sort(),
      );
      const pairs = groups.filter((group) => group.length === 2).length;
      expect(groups.every((group) => group.length === 3 || group.length === 2)).toBe(true);
      expect(pairs).toBe(n % 3 === 0 ? 0 : n % 3 === 2 ? 1 : 2);
    }
  });
  it('by threes, meet others before they meet again', () => {
    const [first, second] = partnerPlan(people(9), 2, 3);
    const pairs = (groups: typeof first): string[] =>
      groups!.groups.flatMap(({ members }) =>
        members.flatMap((a, i) => members.slice(i + 1).map((b) => [a, b].sort().join())),
      );
    expect(pairs(second).filter((pair) => pairs(first).includes(pair))).toEqual([]);
  });
  it('plan only the rest anew for somebody who comes late or leaves', () => {
    const before = partnerPlan(people(6), 4, 2);
    const late = partnerPlan([...people(6), person(6, { from: 2 }), person(7, { from: 2 })], 4, 2);
    expect(late.slice(0, 2)).toEqual(before.slice(0, 2));
    expect(late[2]!.groups.flatMap(({ members }) => members)).toContain('p6');
    const gone = partnerPlan(
      people(6).map((each) => (each.id === 'p0' ? { ...each, until: 1 } : each)),
      4,
      2,
    );
    expect(gone[0]).toEqual(before[0]);
    expect(gone[1]!.groups.flatMap(({ members }) => members)).not.toContain('p0');
  });
  it('keep apart by threes who should not stand together', () => {
    const six = people(6).map((each) => (each.id === 'p0' ? { ...each, apart: ['p4'] } : each));
    for (const { groups } of partnerPlan(six, 3, 3))
      expect(groups.some(({ members }) => members.includes('p0') && members.includes('p4'))).toBe(false);
  });
});

describe('heights of partners', () => {
  const heights = new Map<string, number | null>([
    ['adult', 183],
    ['child', 121],
    ['teen', 152],
    ['nobody measured', null],
  ]);
  it.each([
    [
      ['adult', 'child'],
      [121, 183],
    ],
    [
      ['adult', 'teen'],
      [152, 183],
    ],
    [
      ['teen', 'child'],
      [121, 152],
    ],
    [['adult', 'nobody measured'], null],
    [['adult'], null],
    [
      ['adult', 'teen', 'child'],
      [121, 183],
    ],
    [['teen', 'teen'], null],
  ])('%j are reported as %j', (members, reported) =>
    expect(unequalHeights(members, heights)).toEqual(reported),
  );
});
