import { strictestOf, type BandLimits, type GymGrade, type OwnPace } from '../body/index.ts';
import type { Lead } from '../moves/index.ts';
import type { PersonCare } from './care/careNotes.ts';
import type { ClassFacts } from './warnings/placedBlocks.ts';

/** Somebody who may come, with the own pace where it was measured. */
export interface ClassPerson {
  readonly id: string;
  readonly name: string;
  readonly gradeId: string;
  readonly fit: boolean;
  readonly pace?: OwnPace | number | null;
  readonly lead?: Lead;
  readonly care?: PersonCare | null | undefined;
}

/** Where and by whom a class is held. */
export interface ClassGround {
  readonly grades: readonly GymGrade[];
  readonly youth: readonly BandLimits[];
  readonly people: readonly ClassPerson[];
  readonly floorSteps: number | null;
  readonly kit: readonly string[];
  /** Ids of those who are expected; nobody was asked without it. */
  readonly expected?: readonly string[] | undefined;
}

/**
 * What the planner looks at a session with: who is in its groups, or, without groups, the strictest band of those who are expected.
 *
 * @example
 * classFacts([], { grades: [{ id: 'm', name: 'Minnows', band: 'children' }], youth: [], people: [{ id: 'a', name: 'Ada', gradeId: 'm', fit: true }], floorSteps: null, kit: [], expected: ['a'] }).bands // ['children']
 */
export function classFacts(
  groups: readonly { readonly name: string; readonly gradeIds: readonly string[] }[],
  { grades, youth, people, floorSteps, kit, expected }: ClassGround,
): ClassFacts {
  const fit = people.filter((person) => person.fit);
  const bandsOf = (gradeIds: readonly string[]) =>
    grades.filter(({ id }) => gradeIds.includes(id)).map(({ band }) => band);
  const known = groups.map(({ name, gradeIds }) => ({
    name,
    bands: bandsOf(gradeIds),
    people: fit.filter(({ gradeId }) => gradeIds.includes(gradeId)).length,
    youth: strictestOf(gradeIds, grades, youth),
  }));
  const coming = fit.filter(({ id }) => expected?.includes(id));
  const gradesComing = [...new Set(coming.map(({ gradeId }) => gradeId))];
  const bandsComing = bandsOf(gradesComing);
  const placed = fit.flatMap((person): { person: ClassPerson; group: string | null }[] => {
    const group = groups.find(({ gradeIds }) => gradeIds.includes(person.gradeId));
    if (group) return [{ person, group: group.name }];
    const mayCome = !expected || expected.length === 0 || expected.includes(person.id);
    return groups.length === 0 && mayCome ? [{ person, group: null }] : [];
  });
  const paces = placed.flatMap(({ person: { name, pace }, group }) =>
    pace === undefined || pace === null || typeof pace === 'number' ? [] : [{ name, group, factor: pace }],
  );
  const cared = placed.flatMap(({ person: { name, lead = 'left', care }, group }) =>
    care ? [{ name, lead, group: group ?? '', care }] : [],
  );
  return {
    groups: known,
    paces,
    cared,
    youth: groups.length === 0 ? strictestOf(gradesComing, grades, youth) : null,
    bands:
      known.length > 0
        ? known.flatMap(({ bands }) => bands)
        : bandsComing.length > 0
          ? bandsComing
          : ['adults'],
    floorSteps,
    kit,
  };
}
