import { groupUp, type Group, type Trainee } from './pairUp.ts';
import { countRoles, fairTurns, type PartnerGroup, type RolesSoFar } from './fairTurns.ts';
import type { GroupSize } from './partnerPlan.ts';

/** Who stands together in one round. */
export interface RoundPartners {
  readonly round: number;
  readonly groups: readonly PartnerGroup[];
}

/**
 * The partners of a run after somebody came or left in a round: what was and what is stays, what comes is planned anew from those
 * who are there, and who worked together before is parted first. Groups are as large as most of them were.
 *
 * @param now round in which somebody came or left, from 0
 *
 * @example
 * replanPartners([0, 1].map((round) => ({ round, groups: [{ members: ['a', 'b'], turns: [] }] })), 0, [{ id: 'a', rank: 1, size: null }, { id: 'c', rank: 1, size: null }]).map(({ groups }) => groups.map(({ members }) => members)) // [[['a', 'b']], [['a', 'c']]]
 */
export function replanPartners(
  partners: readonly RoundPartners[],
  now: number,
  people: readonly Trainee[],
): RoundPartners[] {
  const met: Group[] = [];
  const done: RolesSoFar = new Map();
  return partners.map(({ round, groups }) => {
    if (round <= now) {
      met.push(...groups.map(({ members }) => members));
      countRoles(done, groups);
      return { round, groups };
    }
    const made = groupUp(people, usualSize(groups), met, (id) => done.get(id)?.work ?? 0);
    met.push(...made);
    return { round, groups: fairTurns(made, turnsIn(groups), done) };
  });
}

/**
 * Partners of which the rounds after this one have other groups, as somebody put them together elsewhere; each takes turns as they would
 * have here.
 *
 * @param now round that goes on, from 0
 *
 * @example
 * withGroups([0, 1].map((round) => ({ round, groups: [{ members: ['a', 'b'], turns: [] }] })), 0, [{ round: 1, groups: [{ members: ['a', 'c'] }] }]).map(({ groups }) => groups.map(({ members }) => members)) // [[['a', 'b']], [['a', 'c']]]
 */
export function withGroups(
  partners: readonly RoundPartners[],
  now: number,
  reported: readonly { readonly round: number; readonly groups: readonly { readonly members: Group }[] }[],
): RoundPartners[] {
  const done: RolesSoFar = new Map();
  return partners.map((was) => {
    const groups = was.round > now && reported.find(({ round }) => round === was.round)?.groups;
    if (!groups) {
      countRoles(done, was.groups);
      return was;
    }
    return {
      round: was.round,
      groups: fairTurns(
        groups.map(({ members }) => members),
        turnsIn(was.groups),
        done,
      ),
    };
  });
}

/** Turns that a round has, as it was planned. */
const turnsIn = (groups: readonly PartnerGroup[]): number =>
  Math.max(1, ...groups.map(({ turns }) => turns.length));

/** The size that most of these groups have; pairs where nobody was put together yet. */
function usualSize(groups: readonly PartnerGroup[]): GroupSize {
  const sizes = groups.map(({ members }) => members.length);
  const often = (size: number): number => sizes.filter((each) => each === size).length;
  return ([2, 3, 1] as const).reduce((best, size) => (often(size) > often(best) ? size : best));
}
