import type { BlockCombo } from '../rounds/index.ts';

/** A group of a class, by the grades that are in it. */
export interface GradedGroup {
  readonly name: string;
  readonly gradeIds: readonly string[];
}

type GradedCombo = BlockCombo & { readonly gradeId: string };

/** What a group does that is called to a number. */
export interface GroupNumber<C> {
  readonly group: string;
  readonly combo: C;
}

/**
 * What "everybody number n of your grade" means for each group: the combo with this number of the first of its grades that
 * has one. Groups without any are left out.
 *
 * @param number of a combo within its grade
 *
 * @example
 * numberOfEachGrade([{ name: 'Low', gradeIds: ['ebb'] }], [{ gradeId: 'ebb', number: 3 }, { gradeId: 'reef', number: 3 }], 3) // [{ group: 'Low', combo: { gradeId: 'ebb', number: 3 } }]
 */
export function numberOfEachGrade<C extends GradedCombo>(
  groups: readonly GradedGroup[],
  combos: readonly C[],
  number: number,
): GroupNumber<C>[] {
  return groups.flatMap(({ name, gradeIds }) => {
    const own = gradeIds.flatMap(
      (gradeId) => combos.find((combo) => combo.gradeId === gradeId && combo.number === number) ?? [],
    );
    return own[0] ? [{ group: name, combo: own[0] }] : [];
  });
}

/**
 * The numbers that at least one group has a combo for, smallest first.
 *
 * @example
 * numbersOfGroups([{ name: 'Low', gradeIds: ['ebb'] }], [{ gradeId: 'ebb', number: 3 }, { gradeId: 'ebb', number: 1 }, { gradeId: 'reef', number: 2 }]) // [1, 3]
 */
export function numbersOfGroups(groups: readonly GradedGroup[], combos: readonly GradedCombo[]): number[] {
  const grades = new Set(groups.flatMap(({ gradeIds }) => gradeIds));
  const numbers = combos.filter(({ gradeId }) => grades.has(gradeId)).map(({ number }) => number);
  return [...new Set(numbers)].sort((a, b) => a - b);
}
