import { median } from 'simple-statistics';
import { groupBy } from '../../units/index.ts';

/** Which end of a test is the better one: more repetitions, or fewer seconds. */
export const BETTER = ['higher', 'lower'] as const;
export type Better = (typeof BETTER)[number];

/** The trials of one test on one day. */
export interface DayTrials {
  /** Written like 2026-03-05. */
  readonly day: string;
  /** How many of a burst, or seconds; their order does not matter. */
  readonly values: readonly number[];
}

/** A value that cannot be what was done: 230 instead of 23. */
export interface Outlier {
  readonly day: string;
  readonly value: number;
}

/** So many times more or less than the middle of the others is a slip of the hand: nobody changes so much between two classes. */
const SLIP = 3;
/** With fewer trials nobody can say which of them is the slip. */
const LEAST_TO_TELL = 3;

/**
 * Whether a value is a slip beside what the same test gave before: three times the middle of it, or a third.
 *
 * @param value in the unit of the test
 * @param others in the unit of the test
 *
 * @example
 * isSlip(230, [22, 23, 25]) // true
 */
export function isSlip(value: number, others: readonly number[]): boolean {
  if (others.length < LEAST_TO_TELL - 1) return false;
  return isFar(value, median([...others]));
}

const isFar = (value: number, middle: number): boolean =>
  middle > 0 && (value > SLIP * middle || value < middle / SLIP);

/**
 * Takes out what cannot be so beside all the other trials, and tells it.
 *
 * @example
 * withoutOutliers([{ day: '2026-03-05', values: [22, 23, 230] }]).outliers // [{ day: '2026-03-05', value: 230 }]
 */
export function withoutOutliers(days: readonly DayTrials[]): {
  readonly days: readonly DayTrials[];
  readonly outliers: readonly Outlier[];
} {
  const all = days.flatMap(({ values }) => values);
  if (all.length < LEAST_TO_TELL) return { days, outliers: [] };
  const middle = median(all);
  const isOne = (value: number): boolean => isFar(value, middle);
  return {
    days: days.map(({ day, values }) => ({ day, values: values.filter((value) => !isOne(value)) })),
    outliers: days.flatMap(({ day, values }) => values.filter(isOne).map((value) => ({ day, value }))),
  };
}

/**
 * Trials put together by their days, the oldest day first.
 *
 * @example
 * byDay([{ day: '2026-03-05', value: 22 }, { day: '2026-03-05', value: 24 }]) // [{ day: '2026-03-05', values: [22, 24] }]
 */
export function byDay(trials: readonly Outlier[]): DayTrials[] {
  return [...groupBy(trials, ({ day }) => day)]
    .map(([day, those]) => ({ day, values: those.map(({ value }) => value) }))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
}

/**
 * The middle of the trials of a day, which has some.
 *
 * @example
 * middleOfDay({ day: '2026-03-05', values: [20, 29, 22] }) // 22
 */
export const middleOfDay = ({ values }: DayTrials): number => median([...values]);
