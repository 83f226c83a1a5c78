import { mean } from 'simple-statistics';
import { daySpread, varianceOfMean, type DaySpread } from './daySpread.ts';
import { beyond, tCritical95 } from './studentT.ts';
import { worthwhileAt, type Worthwhile } from './worthwhile.ts';
import { withoutOutliers, type Outlier, type Better, type DayTrials } from './dayTrials.ts';
import { typicalError, type TypicalError } from './typicalError.ts';

export const VERDICTS = ['faster', 'slower', 'no real change', 'too little data'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Compared {
  /** "Faster" is better, whatever the test: more in ten seconds, or less time. */
  readonly verdict: Verdict;
  /** Mean of the trials after less that of those before, in the unit of the test; null where one side has none. */
  readonly change: number | null;
  /** The smallest change that is real in nine of ten cases, by the trials alone; null where the typical error is not known. */
  readonly smallestDetectableChange: number | null;
  /** What a change has to exceed to be called one: the days are heeded too, and one of twenty is false. Null where that is not known. */
  readonly needed: number | null;
  /** The chance of a difference as large where nothing has changed; null where that is not known. */
  readonly chance: number | null;
  readonly typicalError: number | null;
  readonly trials: { readonly before: number; readonly after: number };
  /** Days with trials. */
  readonly days: { readonly before: number; readonly after: number };
  /** Means of the two sides. */
  readonly means: { readonly before: number | null; readonly after: number | null };
  /** Whether days differ by more than trials of one day do, so that the smallest change is larger. */
  readonly daysDiffer: boolean;
  /** Whether a single trial makes the difference: the luckiest one after, or the unluckiest before. */
  readonly isDrivenByOutlier: boolean;
  /** How many days more it takes until anything is said: two on each side. */
  readonly moreDays: number;
  /** A change that is sure, and smaller than the smallest that is worth anything. */
  readonly isTooSmall: boolean;
  /** The smallest change that is worth anything, in the unit of the test. */
  readonly worthwhile: number;
  /** What cannot be so and was left out. */
  readonly outliers: readonly Outlier[];
}

export interface ToCompare {
  readonly better: Better;
  readonly before: readonly DayTrials[];
  readonly after: readonly DayTrials[];
  /** Where it is known: a number that is taken as it is, or what is known of it from elsewhere. Else it comes from these trials. */
  readonly typicalError?: number | TypicalError | null;
  /** How much days differ, where it is known from more days than these. */
  readonly spread?: DaySpread | null;
  /** A change below it is of no use. */
  readonly worthwhile?: Worthwhile;
}

/** Of a normal spread one in twenty lies above so many standard deviations, and as many below: together the 90 % of the design. */
export const Z_90 = 1.645;
/** A level that one day gave may be that of the day. */
const LEAST_DAYS = 2;
/** With fewer degrees of freedom a change that is not sure is one of which too little is known. */
const FEW = 4;

/**
 * Whether the trials after are really better than those before, or only other ones. The smallest detectable change is 1.645 · typical
 * error · √(1/trials before + 1/trials after); beyond it a change has to stand against the days as well (Student's t on days, two-sided
 * 5 %), rest on two days of each side, not hang on one lucky trial, and be worth something.
 *
 * @example
 * compareTrials({ better: 'higher', before: [{ day: '2026-03-05', values: [20] }], after: [{ day: '2026-03-12', values: [24] }], typicalError: 1 }).moreDays // 2
 */
export function compareTrials(wish: ToCompare): Compared {
  const { better, before, after, typicalError: known } = wish;
  const { days: kept, outliers } = withoutOutliers([...before, ...after]);
  const filled = (days: readonly DayTrials[]) => days.filter(({ values }) => values.length > 0);
  const sides = [filled(kept.slice(0, before.length)), filled(kept.slice(before.length))] as const;
  const [valuesBefore, valuesAfter] = sides.map((days) => days.flatMap(({ values }) => values)) as [
    number[],
    number[],
  ];
  const trials = { before: valuesBefore.length, after: valuesAfter.length };
  const days = { before: sides[0].length, after: sides[1].length };
  const means = { before: meanOf(valuesBefore), after: meanOf(valuesAfter) };
  const error = errorOf(known, kept);
  const worthwhile = worthwhileAt(wish.worthwhile ?? 0, means.before ?? 0);
  const change = means.before === null || means.after === null ? null : means.after - means.before;
  const moreDays = Math.max(0, LEAST_DAYS - days.before) + Math.max(0, LEAST_DAYS - days.after);
  const base = {
    change,
    typicalError: error?.error ?? null,
    trials,
    days,
    means,
    outliers,
    moreDays,
    worthwhile,
  };
  if (change === null || !error) return { ...base, ...UNKNOWN };
  const { error: ofTrial } = error;
  const smallestDetectableChange = Z_90 * ofTrial * Math.sqrt(1 / trials.before + 1 / trials.after);
  const spread = wish.spread ?? daySpread(sides, ofTrial);
  const sure = sureness(sides, error, spread);
  const needed = sure && Math.max(smallestDetectableChange, sure.leastReal);
  const size = Math.abs(change);
  const isDrivenByOutlier =
    size > smallestDetectableChange && dependsOnOne(valuesBefore, valuesAfter, ofTrial);
  const isTooSmall = needed !== null && size > needed && size < worthwhile;
  const isBetter = change > 0 === (better === 'higher');
  const verdict: Verdict =
    moreDays > 0 || needed === null
      ? 'too little data'
      : size <= smallestDetectableChange || isDrivenByOutlier || isTooSmall
        ? 'no real change'
        : size <= needed
          ? sure!.degreesOfFreedom < FEW
            ? 'too little data'
            : 'no real change'
          : isBetter
            ? 'faster'
            : 'slower';
  return {
    ...base,
    ...{ smallestDetectableChange, needed, verdict, isDrivenByOutlier, isTooSmall },
    // What is too early takes no part in lists of many.
    chance: sure && moreDays === 0 ? beyond(size / sure.standardError, sure.degreesOfFreedom) : null,
    daysDiffer: (spread?.variance ?? 0) > 0,
  };
}

const UNKNOWN: Pick<
  Compared,
  | 'smallestDetectableChange'
  | 'needed'
  | 'chance'
  | 'daysDiffer'
  | 'isDrivenByOutlier'
  | 'isTooSmall'
  | 'verdict'
> = {
  ...{ smallestDetectableChange: null, needed: null, chance: null, daysDiffer: false },
  ...{ isDrivenByOutlier: false, isTooSmall: false, verdict: 'too little data' },
};

/** How far the difference of two sides goes by chance; null where nobody knows how much days differ. */
function sureness(
  [before, after]: readonly [readonly DayTrials[], readonly DayTrials[]],
  error: TypicalError,
  spread: DaySpread | null,
): { readonly standardError: number; readonly degreesOfFreedom: number; readonly leastReal: number } | null {
  if (!spread) return null;
  const standardError = Math.sqrt(
    varianceOfMean(before, error.error, spread.variance) +
      varianceOfMean(after, error.error, spread.variance),
  );
  const { degreesOfFreedom } = spread;
  return { standardError, degreesOfFreedom, leastReal: standardError * tCritical95(degreesOfFreedom) };
}

/** Without its one luckiest trial a real change is still at least so much of the smallest one. */
const WITHOUT_ONE = 0.5;

/** Whether the change is gone without the trial of either side that speaks most for it. */
function dependsOnOne(before: readonly number[], after: readonly number[], error: number): boolean {
  const sign = Math.sign(mean([...after]) - mean([...before]));
  const withoutMost = (values: readonly number[], way: number): readonly number[] =>
    values.length < 2 ? values : values.toSorted((a, b) => way * (b - a)).slice(1);
  const holds = (b: readonly number[], a: readonly number[]): boolean =>
    sign * (mean([...a]) - mean([...b])) >
    WITHOUT_ONE * Z_90 * error * Math.sqrt(1 / a.length + 1 / b.length);
  return !holds(before, withoutMost(after, sign)) || !holds(withoutMost(before, -sign), after);
}

const meanOf = (values: readonly number[]): number | null => (values.length === 0 ? null : mean([...values]));

function errorOf(known: ToCompare['typicalError'], days: readonly DayTrials[]): TypicalError | null {
  if (typeof known === 'number') return { error: known, degreesOfFreedom: Infinity };
  return known ?? typicalError(days.map(({ values }) => values));
}
