import { mean, median } from 'simple-statistics';

/** By how much trials of one test differ although the fighter is the same. */
export interface TypicalError {
  /** Standard deviation between trials of one day, in the unit of the test. */
  readonly error: number;
  /** How much it rests on: trials beyond the first of each day. */
  readonly degreesOfFreedom: number;
}

/** Times the usual distance from the middle of the day beyond which a day is not believed: of normal days one in 16,000. */
const UNBELIEVED = 4;
/** With fewer trials beyond the first nobody can say which day is the odd one. */
const LEAST_TO_JUDGE = 5;
/** The error of a rounded number that is the same each time, as a share of its last digit: that of an even spread, 1 / √12. */
const ROUNDED = Math.sqrt(1 / 12);
/** What a stopwatch shows, in seconds. */
const HUNDREDTH = 0.01;

/**
 * The typical error of a test from trials of the same days, of one fighter or of many: the standard deviation within a day, pooled. A
 * day whose trials lie apart as no other's is left out. Null where no day has two trials. Never less than what rounding hides.
 *
 * @example
 * typicalError([[20, 22], [25, 27]])?.error // Math.SQRT2
 */
export function typicalError(days: readonly (readonly number[])[]): TypicalError | null {
  const repeated = days.filter((values) => values.length > 1);
  if (repeated.length === 0) return null;
  const away = repeated.map(distances);
  const degreesOfFreedomOf = (those: readonly (readonly number[])[]): number =>
    those.reduce((sum, values) => sum + values.length - 1, 0);
  // 1.4826 makes of the median distance the standard deviation of a normal spread.
  const usual = 1.4826 * median(away.flat().map(Math.abs));
  const isJudged = degreesOfFreedomOf(repeated) >= LEAST_TO_JUDGE && usual > 0;
  const kept = isJudged ? away.filter((day) => day.every((d) => Math.abs(d) <= UNBELIEVED * usual)) : away;
  const believed = kept.length > 0 ? kept : away;
  const degreesOfFreedom = degreesOfFreedomOf(believed);
  // Each distance carries n / (n − 1), so their squares add up to n / (n − 1) times the sum of squares of the day.
  const squares = believed.reduce(
    (sum, day) => sum + (day.reduce((all, d) => all + d * d, 0) * (day.length - 1)) / day.length,
    0,
  );
  return {
    error: Math.max(Math.sqrt(squares / degreesOfFreedom), hiddenByRounding(days.flat())),
    degreesOfFreedom,
  };
}

/** From the mean of the day, each widened by what the mean takes of it. */
function distances(values: readonly number[]): number[] {
  const middle = mean([...values]);
  const wider = Math.sqrt(values.length / (values.length - 1));
  return values.map((value) => (value - middle) * wider);
}

function hiddenByRounding(values: readonly number[]): number {
  return ROUNDED * (values.every(Number.isInteger) ? 1 : HUNDREDTH);
}

/**
 * The same where no day has two trials: from days that follow each other, whose differences hold the error of both. Days differ by more
 * than trials of one day, so it is rather too large. Null for fewer than five days.
 *
 * @example
 * errorBetweenDays([[20], [22], [20], [22], [20]]).error.toFixed(2) // '2.10'
 */
export function errorBetweenDays(days: readonly (readonly number[])[]): TypicalError | null {
  const values = days.filter((day) => day.length > 0).map((day) => median([...day]));
  if (values.length < LEAST_TO_JUDGE) return null;
  const steps = values.slice(1).map((value, i) => Math.abs(value - values[i]!));
  // Of a normal spread the median of such differences is 1.4826⁻¹ · √2 times the error.
  const error = (1.4826 * median(steps)) / Math.SQRT2;
  return {
    error: Math.max(error, hiddenByRounding(days.flat())),
    degreesOfFreedom: Math.floor(steps.length / 2),
  };
}

/** What the gym's error weighs beside a fighter's own: as much as so many trials beyond the first. */
const GYM_WEIGHT = 10;

/**
 * A fighter's typical error drawn towards that of the gym, the more so the fewer trials it rests on.
 *
 * @example
 * shrunk({ error: 2, degreesOfFreedom: 10 }, { error: 1, degreesOfFreedom: 90 })?.error // Math.sqrt(2.5)
 */
export function shrunk(own: TypicalError | null, gym: TypicalError | null): TypicalError | null {
  if (!own || !gym) return own ?? gym;
  const weight = Math.min(GYM_WEIGHT, gym.degreesOfFreedom);
  const degreesOfFreedom = own.degreesOfFreedom + weight;
  const error = Math.sqrt(
    (own.degreesOfFreedom * own.error ** 2 + weight * gym.error ** 2) / degreesOfFreedom,
  );
  return { error, degreesOfFreedom };
}
