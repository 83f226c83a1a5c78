import { groupUp, type Group, type Trainee } from './pairUp.ts';

export const ROLES = ['work', 'hold', 'watch', 'rest'] as const;
export type Role = (typeof ROLES)[number];

/** Somebody in a class: from which rotation on, and up to (not including) which; null for the end. */
export interface Attendee extends Trainee {
  readonly from: number;
  readonly until: number | null;
}

/** One group in one rotation, and what each of its members does in each turn. */
export interface PartnerGroup {
  readonly members: Group;
  /** Turns in order; in each, the role of every member, as `members` lists them. */
  readonly turns: readonly (readonly Role[])[];
}

export interface Rotation {
  readonly groups: readonly PartnerGroup[];
}

/** How many stand together. */
export type GroupSize = 1 | 2 | 3;

/**
 * Who works with whom in each rotation of a class, and in which turns. A rotation is planned from those who are there and
 * from who has met before, never from what comes later: somebody who arrives late, or leaves, changes the rest only.
 *
 * @example
 * partnerPlan([], 1, 2).length // 1
 */
export function partnerPlan(people: readonly Attendee[], rotations: number, size: GroupSize): Rotation[] {
  const met: Group[] = [];
  return Array.from({ length: rotations }, (_, at): Rotation => {
    const here = people.filter(({ from, until }) => from <= at && (until === null || at < until));
    const groups = groupUp(here, size, met);
    met.push(...groups);
    return { groups: groups.map((members, i) => ({ members, turns: turnsOf(members.length, at + i) })) };
  });
}

/**
 * The turns of a group, in which everybody works once: alone, work and then rest; two, work and hold; three, work, hold and
 * watch. `first` rotates who begins.
 *
 * @example
 * turnsOf(2) // [['work', 'hold'], ['hold', 'work']]
 */
export function turnsOf(size: number, first = 0): Role[][] {
  if (size === 1) return [['work'], ['rest']];
  const roles: readonly Role[] = ROLES.slice(0, size);
  return Array.from({ length: size }, (_, turn) =>
    Array.from({ length: size }, (_, member) => roles[(member + turn + first) % size]!),
  );
}

/**
 * How often each of the class has worked, held and watched over all rotations.
 *
 * @example
 * rolesDone([]).size // 0
 */
export function rolesDone(plan: readonly Rotation[]): Map<string, Record<Role, number>> {
  const done = new Map<string, Record<Role, number>>();
  for (const { groups } of plan) {
    for (const { members, turns } of groups) {
      for (const [i, id] of members.entries()) {
        const own = done.get(id) ?? { work: 0, hold: 0, watch: 0, rest: 0 };
        for (const turn of turns) own[turn[i]!] += 1;
        done.set(id, own);
      }
    }
  }
  return done;
}

/** Partners who differ by more than this, in centimetres, are reported: pads and air only, or somebody else. */
const LARGE_GAP = 30;

/**
 * The heights of the smallest and the tallest of a group where they differ too much for partner work; null where they do
 * not, or where nobody measured.
 *
 * @example
 * unequalHeights(['a', 'b'], new Map([['a', 183], ['b', 121]])) // [121, 183]
 */
export function unequalHeights(
  members: readonly string[],
  heights: ReadonlyMap<string, number | null>,
): readonly [number, number] | null {
  const known = members.flatMap((id) => heights.get(id) ?? []);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  return known.length > 1 && most - least > LARGE_GAP ? [least, most] : null;
}
