import { partnerPlan, rotationsOf, type Attendee } from '@eurhythm/core/plan';
import type { FighterView, RoundDto, RoundPartnersView, SaveSheetDto } from '@eurhythm/contract';

/** Who works with whom in a run, and which rotation each of its rounds is. */
export interface PartnersOfRun {
  readonly rotations: readonly (number | null)[];
  readonly partners: RoundPartnersView[];
}

/**
 * Puts those who are there together as the sheet of the class says; who is not on the sheet has come after all. Without
 * anybody on the sheet nobody is put together.
 */
export function partnersOfRun(
  rounds: readonly RoundDto[],
  fighters: readonly FighterView[],
  { present, size, rotations: wanted }: SaveSheetDto,
  /** Ids of the grades, lowest first. */
  grades: readonly string[],
): PartnersOfRun {
  const rotations = rotationsOf(rounds, present.length === 0 || size === 1 ? 0 : wanted);
  const plan = partnerPlan(
    fighters.map((fighter) => attendee(fighter, present, grades)),
    wanted,
    size,
  );
  const partners = rotations.flatMap((rotation, round) =>
    rotation === null ? [] : [{ round, groups: [...plan[rotation]!.groups] }],
  );
  return { rotations, partners };
}

function attendee(
  { id, gradeId, height = null, apart = [] }: FighterView,
  present: SaveSheetDto['present'],
  grades: readonly string[],
): Attendee {
  const { from = 0, until = null } = present.find(({ fighterId }) => fighterId === id) ?? {};
  return { id, rank: grades.indexOf(gradeId), size: height, apart, from, until };
}
