import { mean } from 'simple-statistics';
import { withoutOutliers, type Outlier, type Better, type DayTrials } from './dayTrials.ts';
import { typicalError, type TypicalError } from './typicalError.ts';

export const VERDICTS = ['faster', 'slower', 'no real change', 'too little data'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Compared {
  /** "Faster" is better, whatever the test: more in ten seconds, or less time. */
  readonly verdict: Verdict;
  /** Mean of the trials after less that of those before, in the unit of the test; null where one side has none. */
  readonly change: number | null;
  /** The smallest change that is real in nine of ten cases; null where the typical error is not known. */
  readonly smallestDetectableChange: number | null;
  readonly typicalError: number | null;
  readonly trials: { readonly before: number; readonly after: number };
  /** Means of the two sides. */
  readonly means: { readonly before: number | null; readonly after: number | null };
  /** Whether days differ by more than trials of one day do, so that the smallest change is larger. */
  readonly daysDiffer: boolean;
  /** Whether a single trial makes the difference: the luckiest one after, or the unluckiest before. */
  readonly isDrivenByOutlier: boolean;
  /** What cannot be so and was left out. */
  readonly outliers: readonly Outlier[];
}

export interface ToCompare {
  readonly better: Better;
  readonly before: readonly DayTrials[];
  readonly after: readonly DayTrials[];
  /** Where it is known: a number that is taken as it is, or what is known of it from elsewhere. Else it comes from these trials. */
  readonly typicalError?: number | TypicalError | null;
}

/** Of a normal spread one in twenty lies above so many standard deviations, and as many below: together the 90 % of the design. */
export const Z_90 = 1.645;
/** The same of Student's spread with 1, 2, 3 … degrees of degreesOfFreedom (any table of it); from 30 on the normal one is near enough. */
const T_90 = [
  6.314, 2.92, 2.353, 2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812, 1.796, 1.782, 1.771, 1.761, 1.753,
  1.746, 1.74, 1.734, 1.729, 1.725, 1.721, 1.717, 1.714, 1.711, 1.708, 1.706, 1.703, 1.701, 1.699, 1.697,
] as const;
const tCritical90 = (degreesOfFreedom: number): number => T_90[Math.ceil(degreesOfFreedom) - 1] ?? Z_90;
/** So many times the variance of chance days of one side have to differ before it is believed. */
const DAYS_DIFFER = 1.5;

/**
 * Whether the trials after are really better than those before, or only other ones. The least real change is 1.645 · typical error ·
 * √(1/trials before + 1/trials after). A change beyond it that rests on an error from too few repeated trials is "too little data".
 * Where days differ much more than trials of one day, as far as that can be reported, that counts too; and a change that one lucky trial
 * makes alone is none.
 *
 * @example
 * compareTrials({ better: 'higher', before: [{ day: '2026-03-05', values: [20] }], after: [{ day: '2026-03-12', values: [24] }], typicalError: 1 }).verdict // 'faster'
 */
export function compareTrials({ better, before, after, typicalError: known }: ToCompare): Compared {
  const { days: kept, outliers } = withoutOutliers([...before, ...after]);
  const sides = [kept.slice(0, before.length), kept.slice(before.length)] as const;
  const [valuesBefore, valuesAfter] = sides.map((days) => days.flatMap(({ values }) => values)) as [
    number[],
    number[],
  ];
  const trials = { before: valuesBefore.length, after: valuesAfter.length };
  const means = { before: meanOf(valuesBefore), after: meanOf(valuesAfter) };
  const error = errorOf(known, kept);
  const change = means.before === null || means.after === null ? null : means.after - means.before;
  const base = { change, typicalError: error?.error ?? null, trials, means, outliers };
  if (change === null || !error)
    return {
      ...base,
      smallestDetectableChange: null,
      daysDiffer: false,
      isDrivenByOutlier: false,
      verdict: 'too little data',
    };
  const days = daysVariance(sides, error.error ** 2);
  const spread = Math.sqrt(error.error ** 2 * (1 / trials.before + 1 / trials.after) + days.variance);
  // Days are few, so what they add is known less well than the error of a trial.
  const smallestDetectableChange = spread * (days.variance > 0 ? tCritical90(days.degreesOfFreedom) : Z_90);
  const sure = Math.max(smallestDetectableChange, spread * tCritical90(error.degreesOfFreedom));
  const isUp = change > 0 === (better === 'higher');
  const isDrivenByOutlier =
    Math.abs(change) > smallestDetectableChange && dependsOnOne(valuesBefore, valuesAfter, error.error);
  const verdict =
    Math.abs(change) <= smallestDetectableChange || isDrivenByOutlier
      ? 'no real change'
      : Math.abs(change) <= sure
        ? 'too little data'
        : isUp
          ? 'faster'
          : 'slower';
  return { ...base, smallestDetectableChange, daysDiffer: days.variance > 0, isDrivenByOutlier, verdict };
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

/** What the days add to the variance of the difference of two sides, and how many days that rests on; 0 where they differ no more than chance lets them. */
function daysVariance(
  sides: readonly (readonly DayTrials[])[],
  within: number,
): { readonly variance: number; readonly degreesOfFreedom: number } {
  let squares = 0;
  let degreesOfFreedom = 0;
  let trials = 0;
  let days = 0;
  for (const side of sides) {
    const held = side.filter(({ values }) => values.length > 0);
    if (held.length === 0) continue;
    const middle = mean(held.flatMap(({ values }) => values));
    squares += held.reduce((sum, { values }) => sum + values.length * (mean([...values]) - middle) ** 2, 0);
    degreesOfFreedom += held.length - 1;
    trials += held.reduce((sum, { values }) => sum + values.length, 0);
    days += held.length;
  }
  if (degreesOfFreedom < 2) return { variance: 0, degreesOfFreedom };
  const between = squares / degreesOfFreedom;
  if (between <= DAYS_DIFFER * within) return { variance: 0, degreesOfFreedom };
  const ofDay = (between - within) / (trials / days);
  const variance = sides.reduce(
    (sum, side) => sum + ofDay / Math.max(1, side.filter(({ values }) => values.length > 0).length),
    0,
  );
  return { variance, degreesOfFreedom };
}
