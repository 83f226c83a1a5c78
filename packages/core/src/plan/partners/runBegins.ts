import type { Phase } from '../../rounds/index.ts';
import { heldRounds } from '../heldRounds.ts';
import { partnerPlan, type Attendee, type PartnerGroup } from './partnerPlan.ts';
import type { Trainee } from './pairUp.ts';
import { rotationsOf, announcePartners } from './partnerRounds.ts';

/** Who came to a class, and how they are put together. */
export interface ClassToPair {
  readonly present: readonly {
    readonly fighterId: string;
    readonly from?: number | undefined;
    readonly until?: number | null | undefined;
  }[];
  readonly size: 1 | 2 | 3;
  readonly rotations: number;
}

/** As much of a fighter as decides with whom somebody works. */
export interface FighterToPair {
  readonly id: string;
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
 * come after all. Without anybody on the sheet nobody is put together. `grades` are ids, lowest first.
 *
 * @example
 * runBegins([], [], { present: [], size: 2, rotations: 1 }, []) // { rounds: [], partners: [] }
 */
export function runBegins<R extends PlannedRound>(
  session: readonly R[],
  fighters: readonly FighterToPair[],
  { present, size, rotations: wanted }: ClassToPair,
  grades: readonly string[],
): RunBeginning<R> {
  const held = heldRounds(session);
  const rotations = rotationsOf(held, present.length === 0 || size === 1 ? 0 : wanted);
  const plan = partnerPlan(
    fighters.map((fighter) => attendee(fighter, present, grades)),
    wanted,
    size,
  );
  const partners = rotations.flatMap((rotation, round) =>
    rotation === null ? [] : [{ round, groups: plan[rotation]!.groups }],
  );
  return { rounds: announcePartners(held, rotations), partners };
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
