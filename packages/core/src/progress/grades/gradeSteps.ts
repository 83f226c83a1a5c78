/** A grade of the gym, in the order of its grades; children and adults have rows of their own. */
interface Step {
  readonly id: string;
  readonly band: string;
}

/**
 * The grade that comes next in the same band; undefined for the highest one, and for one that the gym does not have.
 *
 * @example
 * gradeAbove([{ id: 'ebb', band: 'adults' }, { id: 'slack', band: 'adults' }], 'ebb')?.id // 'slack'
 */
export function gradeAbove<G extends Step>(grades: readonly G[], id: string): G | undefined {
  const place = grades.findIndex((each) => each.id === id);
  return place < 0 ? undefined : grades.slice(place + 1).find(({ band }) => band === grades[place]!.band);
}

/**
 * The grade that comes before it in the same band; undefined for the lowest one, and for one that the gym does not have.
 *
 * @example
 * gradeBelow([{ id: 'ebb', band: 'adults' }, { id: 'slack', band: 'adults' }], 'slack')?.id // 'ebb'
 */
export const gradeBelow = <G extends Step>(grades: readonly G[], id: string): G | undefined =>
  gradeAbove(grades.toReversed(), id);
