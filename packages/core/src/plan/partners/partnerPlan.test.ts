import fc from 'fast-check';
import { groupUp, partnerPlan, rolesDone, turnsOf, unequalHeights, type Attendee } from '../index.ts';

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
  it('give everybody the same number of turns of work, whatever the group', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 61 }),
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        (n, rotations, size) => {
          const plan = partnerPlan(people(n), rotations, size);
          const done = rolesDone(plan);
          expect(done.size).toBe(n);
          for (const { work } of done.values()) expect(work).toBe(rotations);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('never let two roles of a turn fall on one of a group, nor leave the pad unheld', () => {
    for (const size of [2, 3])
      for (const turn of turnsOf(size)) {
        expect(turn.filter((role) => role === 'work')).toHaveLength(1);
        expect(turn.filter((role) => role === 'hold')).toHaveLength(1);
      }
    expect(turnsOf(1)).toEqual([['work'], ['rest']]);
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
