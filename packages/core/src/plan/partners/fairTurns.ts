import type { Group } from './pairUp.ts';

export const ROLES = ['work', 'hold', 'watch', 'rest'] as const;
export type Role = (typeof ROLES)[number];

/** One group in one rotation, and what each of its members does in each turn. */
export interface PartnerGroup {
  readonly members: Group;
  /** Turns in order; in each, the role of every member, as `members` lists them. */
  readonly turns: readonly (readonly Role[])[];
}

/** How often somebody of a class has worked and held so far. */
export type RolesSoFar = Map<string, Record<Role, number>>;

/**
 * Adds what these groups do.
 *
 * @example
 * countRoles(new Map(), [{ members: ['a', 'b'], turns: [['work', 'hold']] }]).get('a').work // 1
 */
export function countRoles(done: RolesSoFar, groups: readonly PartnerGroup[]): RolesSoFar {
  for (const { members, turns } of groups)
    for (const [i, id] of members.entries()) {
      const own = done.get(id) ?? { work: 0, hold: 0, watch: 0, rest: 0 };
      for (const turn of turns) own[turn[i]!] += 1;
      done.set(id, own);
    }
  return done;
}

/**
 * What everybody does in each turn of a round, in groups of any size at once: in each group whoever has worked least works next, and
 * whoever of the others has held least holds. So everybody works equally over the class, whether four work by three, three by two
 * or seven by three: in a pair that has a turn more than people, one works twice, and another time the other. Alone, work and rest alternate.
 *
 * @param done what everybody has done before; these turns are added to it
 * @param turns of the round, 1 or more
 *
 * @example
 * fairTurns([['a', 'b'], ['c', 'd', 'e']], 2, new Map())[1].turns // [['work', 'hold', 'watch'], ['hold', 'watch', 'work']]
 */
export function fairTurns(groups: readonly Group[], turns: number, done: RolesSoFar): PartnerGroup[] {
  return groups.map((members) => {
    const played: Role[][] = [];
    for (let turn = 0; turn < turns; turn++) {
      const before = played.at(-1)?.indexOf('work') ?? -1;
      const roles: Role[] =
        members.length === 1 ? [turn % 2 === 0 ? 'work' : 'rest'] : rolesOf(members, done, members[before]);
      countRoles(done, [{ members, turns: [roles] }]);
      played.push(roles);
    }
    return { members, turns: played };
  });
}

function rolesOf(members: Group, done: RolesSoFar, justWorked: string | undefined): Role[] {
  const so = (id: string): Record<Role, number> => done.get(id) ?? { work: 0, hold: 0, watch: 0, rest: 0 };
  const least = (ids: Group, cost: (id: string) => number): string =>
    ids.reduce((best, id) => (cost(id) < cost(best) ? id : best));
  // Of equals nobody works twice on end, and whoever watched works.
  const works = least(members, (id) => so(id).work + (id === justWorked ? 1 / 2 : 0) + so(id).hold / MOST);
  const holds = least(
    members.filter((id) => id !== works),
    (id) => so(id).hold - so(id).work / MOST,
  );
  return members.map((id) => (id === works ? 'work' : id === holds ? 'hold' : 'watch'));
}

/** More than anybody works or holds in a class, so that it only decides between equals. */
const MOST = 1000;

/**
 * What is said when a turn of a round ends: who works next has held, or watched; mixed where the groups differ.
 *
 * @param turn that begins, from 0
 *
 * @example
 * changeOfRoles([{ members: ['a', 'b'], turns: [['work', 'hold'], ['hold', 'work']] }], 1) // 'change: holders work'
 */
export function changeOfRoles(groups: readonly PartnerGroup[], turn: number): string {
  const before = new Set(
    groups.flatMap(({ turns }) => turns[turn - 1]?.[turns[turn]?.indexOf('work') ?? -1] ?? []),
  );
  if (before.size === 1 && before.has('hold')) return 'change: holders work';
  if (before.size === 1 && before.has('watch')) return 'change: watchers work';
  return 'change roles';
}
