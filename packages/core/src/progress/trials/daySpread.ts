import { mean } from 'simple-statistics';
import { groupBy } from '../../units/index.ts';
import type { DayTrials } from './dayTrials.ts';
import { dayNumber } from '../weeks.ts';

/** How much days differ beyond what the trials of one day explain. */
export interface DaySpread {
  /** Of the level of a day about the level of its weeks, in the squared unit of the test; never below 0. */
  readonly variance: number;
  /** How many days beyond the first of each window it rests on, with what is known of the gym. */
  readonly degreesOfFreedom: number;
}

/** What the gym's days weigh beside a fighter's own: as much as so many days beyond the first. */
const GYM_WEIGHT = 10;
/** Over so many days the level of a fighter stays about the same. */
const WINDOW = 28;

/**
 * How much days differ within windows in which nothing changed, drawn towards the gym the more so the fewer days there are
 * (a scaled inverse chi-squared prior). Null where nothing is known of days at all.
 *
 * @param windows the days of each window
 * @param typicalError of one trial, in the unit of the test
 *
 * @example
 * daySpread([[{ day: '2026-03-05', values: [20, 20] }, { day: '2026-03-12', values: [24, 24] }]], 0) // { variance: 8, degreesOfFreedom: 1 }
 */
export function daySpread(
  windows: readonly (readonly DayTrials[])[],
  typicalError: number,
  gym: DaySpread | null = null,
): DaySpread | null {
  let squares = 0;
  let own = 0;
  const shares: number[] = [];
  for (const window of windows) {
    const days = window.filter(({ values }) => values.length > 0);
    if (days.length < 2) continue;
    const means = days.map(({ values }) => mean([...values]));
    const middle = mean(means);
    squares += means.reduce((sum, each) => sum + (each - middle) ** 2, 0);
    own += days.length - 1;
    shares.push(...days.map(({ values }) => 1 / values.length));
  }
  const weight = gym ? Math.min(GYM_WEIGHT, gym.degreesOfFreedom) : 0;
  if (own + weight === 0) return null;
  // The mean of a day of n trials varies by that of days and an n-th of that of trials.
  const ofTrials = typicalError ** 2 * (shares.length === 0 ? 1 : mean(shares));
  const together = (squares + weight * ((gym?.variance ?? 0) + ofTrials)) / (own + weight);
  return { variance: Math.max(0, together - ofTrials), degreesOfFreedom: own + weight };
}

/**
 * Days by windows of four weeks.
 *
 * @example
 * fourWeekWindows([{ day: '2026-03-05', values: [20] }]).length // 1
 */
export const fourWeekWindows = (days: readonly DayTrials[]): DayTrials[][] => [
  ...groupBy(days, ({ day }) => Math.floor(dayNumber(day) / WINDOW)).values(),
];

/**
 * By how much the mean of all trials of some days varies, as a variance.
 *
 * @param typicalError of one trial, in the unit of the test
 * @param ofDays how much days differ beyond that: a variance, in the squared unit of the test
 *
 * @example
 * varianceOfMean([{ day: '2026-03-05', values: [20, 22] }], 2, 1) // 3
 */
export function varianceOfMean(days: readonly DayTrials[], typicalError: number, ofDays: number): number {
  const counts = days.map(({ values }) => values.length);
  const trials = counts.reduce((sum, n) => sum + n, 0);
  const share = counts.reduce((sum, n) => sum + n * n, 0) / trials ** 2;
  return typicalError ** 2 / trials + ofDays * share;
}
