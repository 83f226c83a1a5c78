import { mean } from 'simple-statistics';
import type { Course } from './trials/course.ts';
import { daySpread, varianceOfMean, type DaySpread } from './trials/daySpread.ts';
import type { Better, DayTrials } from './trials/dayTrials.ts';
import { beyond, tCritical95 } from './trials/studentT.ts';

export interface Evenness {
  /** 100 · difference / value of the stronger lead; above 0 where the right lead is the stronger one. */
  readonly percent: number;
  /** Nineteen of twenty such intervals hold the truth. */
  readonly from: number;
  readonly to: number;
  /** The lead that does less or takes longer, where the interval leaves no doubt. */
  readonly behind: 'left' | 'right' | null;
  readonly trials: { readonly left: number; readonly right: number };
  /** The chance of a difference as large where both are even. */
  readonly chance: number;
}

/** A level that one day gave may be that of the day. */
const LEAST_DAYS = 2;

/**
 * How even the two leads are in one test: by how much of the stronger one the other is behind. Null where a lead was tried on fewer than
 * two days, or the typical error is not known.
 *
 * @param typicalError of one trial, in the unit of the test
 * @param spread how much days differ, where it is known from more days than these
 *
 * @example
 * Math.round(evenness({ left: classDays('2026-03-05', 2, 7).map((day) => ({ day, values: [24] })), right: classDays('2026-03-05', 2, 7).map((day) => ({ day, values: [30] })) }, 0.5, 'higher').percent) // 20
 */
export function evenness(
  { left, right }: { readonly left: readonly DayTrials[]; readonly right: readonly DayTrials[] },
  typicalError: number | null,
  better: Better,
  spread: DaySpread | null = null,
): Evenness | null {
  const sides = [left, right].map((days) => days.filter(({ values }) => values.length > 0));
  if (typicalError === null || sides.some((days) => days.length < LEAST_DAYS)) return null;
  const known = spread ?? daySpread(sides, typicalError)!;
  const [l, r] = sides.map((days) => {
    const values = days.flatMap((day) => [...day.values]);
    return {
      mean: mean(values),
      variance: varianceOfMean(days, typicalError, known.variance),
      trials: values.length,
    };
  }) as [Side, Side];
  if (l.mean <= 0 || r.mean <= 0) return null;
  const isRight = r.mean > l.mean === (better === 'higher');
  const [strong, weak, sign] = isRight ? [r, l, 1] : [l, r, -1];
  const ratio = weak.mean / strong.mean;
  const percent = 100 * sign * Math.abs(1 - ratio);
  // The variance of a ratio of two means, to first order.
  const error = Math.sqrt(weak.variance + ratio ** 2 * strong.variance) / strong.mean;
  const reach = 100 * tCritical95(known.degreesOfFreedom) * error;
  const [from, to] = [percent - reach, percent + reach];
  const chance = beyond(Math.abs(percent) / (100 * error), known.degreesOfFreedom);
  const behind = from > 0 ? 'left' : to < 0 ? 'right' : null;
  return { percent, from, to, behind, trials: { left: l.trials, right: r.trials }, chance };
}

interface Side {
  readonly mean: number;
  readonly variance: number;
  readonly trials: number;
}

/** Days of the leads are held against each other over so many of the last days of each. */
const LATEST = 6;

/**
 * How even the leads are in the courses of a test. Null where they were counted in different ways, or a lead was not tried.
 *
 * @example
 * evenCourses(null, null, 'higher') // null
 */
export function evenCourses(left: Course | null, right: Course | null, better: Better): Evenness | null {
  if (!left || !right || left.measured !== right.measured) return null;
  const latest = ({ days }: Course): readonly DayTrials[] => days.slice(-LATEST);
  const error = Math.max(left.typicalError ?? 0, right.typicalError ?? 0) || null;
  return evenness(
    { left: latest(left), right: latest(right) },
    error,
    better,
    wider(left.spread, right.spread),
  );
}

/** The one that says less surely where a lead stands. */
function wider(one: DaySpread | null, other: DaySpread | null): DaySpread | null {
  if (!one || !other) return one ?? other;
  return one.variance > other.variance ? one : other;
}

/** Fewer rounds than this say nothing of a class. */
const LEAST_ROUNDS = 20;
/** Both leads alike would be half. */
const NEGLECTED = 0.3;

/**
 * The share of rounds that were done from the other lead than the fighters' own, where it is less than three of ten; null else, and where
 * there were too few rounds.
 *
 * @example
 * neglectedLead({ own: 30, other: 10 }) // 0.25
 */
export function neglectedLead({
  own,
  other,
}: {
  readonly own: number;
  readonly other: number;
}): number | null {
  const share = other / (own + other);
  return own + other >= LEAST_ROUNDS && share < NEGLECTED ? share : null;
}
