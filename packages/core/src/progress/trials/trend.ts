import { median, quantileSorted } from 'simple-statistics';
import { middleOfDay, type Better, type DayTrials } from './dayTrials.ts';
import { groupBy } from '../../units/index.ts';
import { dayNumber } from '../weeks.ts';

/** Trends are given per four weeks. */
const PER_DAYS = 28;
/** Of four days in a row each better than the last, one in twelve would be so by chance: with fewer than five nothing is a trend. */
const LEAST_DAYS = 5;
/** A normal spread goes beyond it in one of twenty cases, up or down. */
const Z_95 = 1.96;

export interface Trend {
  /** Change in four weeks, in the unit of the test: the median of the slopes between all pairs of days. */
  readonly perFourWeeks: number;
  /** Nineteen of twenty intervals made like this one hold the true slope. */
  readonly from: number;
  readonly to: number;
  /** Where the line of this slope stands on the last day. */
  readonly level: number;
  readonly days: number;
  /** Better or worse where the interval leaves no doubt. */
  readonly way: 'better' | 'worse' | 'unclear';
}

/**
 * The trend of a test by Theil and Sen, with Sen's interval from ranks; a day counts as the median of its trials. Null for fewer than
 * five days.
 *
 * @example
 * trend([1, 8, 15, 22, 29].map((day) => ({ day: `2026-03-${String(day).padStart(2, '0')}`, values: [day] })), 'higher')?.perFourWeeks // 28
 */
export function trend(days: readonly DayTrials[], better: Better): Trend | null {
  const points = days
    .filter(({ values }) => values.length > 0)
    .map((each) => ({ at: dayNumber(each.day), value: middleOfDay(each) }));
  if (points.length < LEAST_DAYS) return null;
  const slopes: number[] = [];
  for (let i = 0; i < points.length; i++)
    for (let j = i + 1; j < points.length; j++) {
      const apart = points[j]!.at - points[i]!.at;
      if (apart !== 0) slopes.push(((points[j]!.value - points[i]!.value) / apart) * PER_DAYS);
    }
  if (slopes.length === 0) return null;
  slopes.sort((a, b) => a - b);
  const n = points.length;
  const ties = [...groupBy(points, ({ value }) => value).values()].map((those) => those.length);
  const variance =
    (n * (n - 1) * (2 * n + 5) - ties.reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0)) / 18;
  const reach = Z_95 * Math.sqrt(Math.max(0, variance));
  const at = (place: number): number => slopes[Math.min(slopes.length - 1, Math.max(0, place))]!;
  // Places between two slopes go to the outer one.
  const from = at(Math.floor((slopes.length - reach) / 2 - 1));
  const to = at(Math.ceil((slopes.length + reach) / 2));
  const up = from > 0 ? 'higher' : to < 0 ? 'lower' : null;
  const way = up === null ? 'unclear' : up === better ? 'better' : 'worse';
  const perFourWeeks = quantileSorted(slopes, 0.5);
  const last = Math.max(...points.map(({ at: when }) => when));
  const level = median(
    points.map(({ at: when, value }) => value + (perFourWeeks * (last - when)) / PER_DAYS),
  );
  return { perFourWeeks, from, to, level, days: n, way };
}
