import type { Phase } from '../../rounds/index.ts';
import { heldRounds } from '../heldRounds.ts';
import { calledName } from './calledName.ts';
import { changeOfRoles, fairTurns, type PartnerGroup, type RolesSoFar } from './fairTurns.ts';
import { partnerPlan, type Attendee, type GroupSize } from './partnerPlan.ts';
import type { Trainee } from './pairUp.ts';
import { announcePartners, isChangeOfRoles, isInTurns, rotationsOf } from './partnerRounds.ts';

/** Who came to a class, and how they are put together. */
export interface ClassToPair {
  readonly present: readonly {
    readonly fighterId: string;
    readonly from?: number | undefined;
    readonly until?: number | null | undefined;
  }[];
  readonly size: 1 | 2 | 3;
  readonly rotations: number;
  /** Whether the voice says who works with whom. */
  readonly callsNames?: boolean | undefined;
}

/** As much of a fighter as decides with whom somebody works. */
export interface FighterToPair {
  readonly id: string;
  readonly name?: string | undefined;
  readonly gradeId: string;
  readonly height?: Attendee['size'] | undefined;
  readonly apart?: Attendee['apart'] | undefined;
  readonly pace?: Attendee['pace'] | undefined;
}

/** A run at its beginning: the rounds as they are held, and who stands together in each. */
export interface RunBeginning<R> {
  readonly rounds: readonly R[];
  readonly partners: readonly { readonly round: number; readonly groups: readonly PartnerGroup[] }[];
}

/**
 * Those who are there with the pace that was measured of some.
 *
 * @example
 * withPaces([{ id: 'ines', gradeId: 'ebb' }], [{ fighterId: 'ines', base: 1.2 }])[0].pace // 1.2
 */
export function withPaces<F extends { readonly id: string }>(
  fighters: readonly F[],
  paces: readonly { readonly fighterId: string; readonly base: number }[],
): (F & { readonly pace: number | null })[] {
  const paceOf = new Map(paces.map(({ fighterId, base }) => [fighterId, base]));
  return fighters.map((fighter) => ({ ...fighter, pace: paceOf.get(fighter.id) ?? null }));
}

type PlannedRound = Parameters<typeof rotationsOf>[0][number] &
  Parameters<typeof heldRounds>[0][number] & { readonly title: string; readonly kind: Phase };

/**
 * What a run of this session is for those who are there, put together as the sheet of the class says; who is not on the sheet has
 * come after all. Without anybody on the sheet the rounds decide: those in turns by two or three put everybody together so, each
 * time with others, and nobody else is. `grades` are ids, lowest first.
 *
 * @example
 * runBegins([], [], { present: [], size: 2, rotations: 1 }, []) // { rounds: [], partners: [] }
 */
export function runBegins<R extends PlannedRound>(
  session: readonly R[],
  fighters: readonly FighterToPair[],
  { present, size, rotations: wanted, callsNames = false }: ClassToPair,
  grades: readonly string[],
): RunBeginning<R> {
  const held = heldRounds(session);
  const people = fighters.map((fighter) => attendee(fighter, present, grades));
  const isOnSheet = present.length > 0;
  const sizes: GroupSize[] = [];
  const rotations = isOnSheet
    ? rotationsOf(held, size === 1 ? 0 : wanted)
    : held.map((round) => (isInTurns(round) ? sizes.push(round.turns!) - 1 : null));
  const plan = isOnSheet
    ? partnerPlan(people, wanted, size)
    : partnerPlan(people, sizes.length, (rotation) => sizes[rotation]!);
  // A rotation that comes again, or a round of more turns, goes on where the class stands.
  const done: RolesSoFar = new Map();
  const partners = rotations.flatMap((rotation, round) => {
    if (rotation === null) return [];
    const members = plan[rotation]!.groups.map((group) => group.members);
    return [{ round, groups: fairTurns(members, held[round]!.turns ?? 1, done) }];
  });
  const groupsOf = (round: number) => partners.find((each) => each.round === round)?.groups ?? null;
  const nameOf = (id: string): string => calledName(id, fighters);
  const announced = announcePartners(held, rotations, (round) => {
    const groups = groupsOf(round);
    return callsNames && groups && groups.length <= MOST_CALLED ? namesOf(groups, nameOf) : null;
  });
  const rounds = announced.map((each, round) => withChanges(each, groupsOf(round)));
  return { rounds, partners };
}

/** More groups than these find each other on the wall: they would have to listen for too long. */
const MOST_CALLED = 12;

/** "Ada with Bo, Cy with Di and Eve": who works first, then the others. */
function namesOf(groups: readonly PartnerGroup[], nameOf: (id: string) => string): string {
  return groups
    .map(({ members, turns }) => {
      const first = members[turns[0]?.indexOf('work') ?? 0] ?? members[0]!;
      const others = members.filter((id) => id !== first).map(nameOf);
      return others.length === 0 ? `${nameOf(first)} alone` : `${nameOf(first)} with ${others.join(' and ')}`;
    })
    .join(', ');
}

/** The round with the changes between its turns said as they are for those who are there. */
function withChanges<R extends PlannedRound>(round: R, groups: readonly PartnerGroup[] | null): R {
  if (!groups) return round;
  let turn = 0;
  const blocks = round.blocks.map((block) =>
    isChangeOfRoles(block) ? { ...block, next: changeOfRoles(groups, ++turn) } : block,
  );
  return { ...round, blocks };
}

function attendee(
  fighter: FighterToPair,
  present: ClassToPair['present'],
  grades: readonly string[],
): Attendee {
  const { from = 0, until = null } = present.find(({ fighterId }) => fighterId === fighter.id) ?? {};
  return { ...traineeOf(fighter, grades), from, until };
}

/**
 * As much of a fighter as decides with whom somebody works, by the ids of the grades, lowest first.
 *
 * @example
 * traineeOf({ id: 'ines', gradeId: 'slack' }, ['ebb', 'slack']) // { id: 'ines', rank: 1, size: null, apart: [], pace: null }
 */
export function traineeOf(
  { id, gradeId, height = null, apart = [], pace = null }: FighterToPair,
  grades: readonly string[],
): Trainee {
  return { id, rank: grades.indexOf(gradeId), size: height, apart, pace };
}
