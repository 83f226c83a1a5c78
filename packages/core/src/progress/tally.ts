import { howMany } from '../units/index.ts';
/** A class as the marks of one person tell of it. */
export interface AttendedClass {
  readonly runId: string;
  /** The day on which it began, written like 2026-03-05. */
  readonly day: string;
  /** Rounds by how they were done. */
  readonly finished: number;
  readonly part: number;
  readonly satOut: number;
}

/** What somebody's classes add up to. */
export interface Tally {
  /** Classes of which at least a part of one round was done. */
  readonly classes: number;
  readonly finished: number;
  readonly part: number;
  readonly satOut: number;
  /** All rounds of these and of classes that were only watched. */
  readonly rounds: number;
  /** The days of the first and the last class; null before the first. */
  readonly first: string | null;
  readonly last: string | null;
}

/**
 * Whether something was done in a class: who sat out every round was there, and is not counted as having trained.
 *
 * @example
 * hasTrained({ finished: 0, part: 0 }) // false
 */
export const hasTrained = ({ finished, part }: Pick<AttendedClass, 'finished' | 'part'>): boolean =>
  finished + part > 0;

/**
 * Classes and rounds between two days, both of them included: the one count that pages, reports, check lists and questions show.
 *
 * @param from the first day that counts, like 2026-03-05; all before `to` without
 *
 * @example
 * tally([{ runId: 'r', day: '2026-03-05', finished: 3, part: 1, satOut: 0 }]).rounds // 4
 */
export function tally(
  classes: readonly AttendedClass[],
  { from = '', to = '9999' }: { readonly from?: string; readonly to?: string } = {},
): Tally {
  const within = classes.filter(({ day }) => day >= from && day <= to);
  const trained = within.filter(hasTrained);
  const days = trained.map(({ day }) => day).sort();
  const sum = (what: 'finished' | 'part' | 'satOut'): number =>
    within.reduce((all, each) => all + each[what], 0);
  const [finished, part, satOut] = [sum('finished'), sum('part'), sum('satOut')];
  return {
    classes: trained.length,
    ...{ finished, part, satOut },
    rounds: finished + part + satOut,
    first: days[0] ?? null,
    last: days.at(-1) ?? null,
  };
}

/**
 * A tally in one sentence.
 *
 * @example
 * tallyText({ classes: 1, finished: 3, part: 1, satOut: 0, rounds: 4, first: '2026-03-05', last: '2026-03-05' }) // '1 class, 3 of 4 rounds finished, 1 in part.'
 */
export function tallyText({ classes, finished, part, satOut, rounds }: Tally): string {
  if (rounds === 0) return 'No class in this time.';
  const more = [...(part > 0 ? [`${part} in part`] : []), ...(satOut > 0 ? [`${satOut} sat out`] : [])];
  const of = `${finished} of ${howMany(rounds, 'round')} finished`;
  return `${howMany(classes, 'class', 'classes')}, ${[of, ...more].join(', ')}.`;
}
