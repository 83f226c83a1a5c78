import { mean } from 'simple-statistics';
import { MEASURED, type Measured } from '../../speed/index.ts';
import { groupBy } from '../../units/index.ts';
import { compareTrials, Z_90, type Compared, type ToCompare } from './compareTrials.ts';
import { daySpread, fourWeekWindows, type DaySpread } from './daySpread.ts';
import { byDay, withoutOutliers, type Outlier, type Better, type DayTrials } from './dayTrials.ts';
import { trend, type Trend } from './trend.ts';
import { errorBetweenDays, shrunk, typicalError, type TypicalError } from './typicalError.ts';
import { dayNumber } from '../weeks.ts';
import type { Worthwhile } from './worthwhile.ts';

/** One trial of a test. */
export interface CourseTrial extends Outlier {
  readonly measured: Measured;
}

/** How one fighter came on in one test from one lead. */
export interface Course {
  /** The way of counting that is reported about: trials counted in other ways are never put together with these. */
  readonly measured: Measured;
  /** How many trials were counted in other ways and stand apart. */
  readonly otherWays: readonly { readonly measured: Measured; readonly trials: number }[];
  /** All that count, by days, the oldest first. */
  readonly days: readonly DayTrials[];
  readonly typicalError: number | null;
  /** Nobody repeated the test on one day, so the error comes from days that follow each other. */
  readonly isBetweenDays: boolean;
  /** Over how many days at first the test itself was learnt, and is left out of what follows; 0 where nothing shows it. */
  readonly learning: number;
  /** How much days differ beyond their trials; null where nobody knows. */
  readonly spread: DaySpread | null;
  /** The last two days against the six before them. */
  readonly last: Compared | null;
  /** Days between the last day and the one before it. */
  readonly pause: number | null;
  /** The last four weeks against the eight before them. */
  readonly month: Compared | null;
  readonly trend: Trend | null;
  /** Where nine of ten trials lie now, from the last four weeks, or the last eight where there were none. */
  readonly usual: { readonly low: number; readonly high: number } | null;
  readonly outliers: readonly Outlier[];
  /** Trials that are dated after today, and count for nothing until then. */
  readonly ahead: number;
}

export interface CourseWish {
  readonly better: Better;
  /** Written like 2026-03-05. */
  readonly today: string;
  /** The typical error of the test over the gym, counted in this way; null where nobody repeated it on a day. */
  errorOf(way: Measured): TypicalError | null;
  /** How much days differ over the gym, counted in this way. */
  spreadOf?(way: Measured): DaySpread | null;
  /** A change below it is of no use. */
  readonly worthwhile?: Worthwhile;
}

/** Four weeks, eight weeks, and a year, in days. */
const MONTH = 28;
const USUAL = 56;
const YEAR = 366;
/** The last two days are held against so many days before them, so that a long past does not hide the present. */
const LAST_DAYS = 2;
const DAYS_BEFORE = 6;
/** A test is learnt on its first two days, if at all; two more days have to show it. */
const LEARNT_ON = 2;

/**
 * What a fighter's trials of one test from one lead say. Null where there is none that counts.
 *
 * @example
 * course([{ day: '2026-03-01', value: 31, measured: 'taps' }], { better: 'higher', today: '2026-03-05', errorOf: () => null }).measured // 'taps'
 */
export function course(
  trials: readonly CourseTrial[],
  { better, today, errorOf, spreadOf = () => null, worthwhile = 0 }: CourseWish,
): Course | null {
  const now = dayNumber(today);
  const past = trials.filter(({ day }) => dayNumber(day) <= now);
  const ways = groupBy(past, ({ measured }) => measured);
  const measured = usedWay(ways);
  if (!measured) return null;
  const { days: kept, outliers } = withoutOutliers(byDay(ways.get(measured)!));
  const days = kept.filter(({ values }) => values.length > 0);
  const values = days.map((each) => each.values);
  const repeated = shrunk(typicalError(values), errorOf(measured));
  const error = repeated ?? errorBetweenDays(values);
  const gym = spreadOf(measured);
  const lastYear = (all: readonly DayTrials[]): DayTrials[] =>
    all.filter(({ day }) => now - dayNumber(day) < YEAR);
  const spreadIn = (all: readonly DayTrials[]): DaySpread | null =>
    error && daySpread(fourWeekWindows(lastYear(all)), error.error, gym);
  const learning = learningDays(days, { better, typicalError: error, spread: spreadIn(days) });
  const settled = days.slice(learning);
  const spread = spreadIn(settled);
  const within = (from: number, to: number): DayTrials[] =>
    settled.filter(({ day }) => {
      const ago = now - dayNumber(day);
      return ago < from && ago >= to;
    });
  const compared = (before: readonly DayTrials[], after: readonly DayTrials[]): Compared | null =>
    before.length === 0 || after.length === 0
      ? null
      : compareTrials({ better, before, after, typicalError: error, spread, worthwhile });
  const [ofMonth, ofUsual] = [MONTH, USUAL].map((days) => within(days, 0).flatMap((day) => day.values));
  const lately = ofMonth!.length > 0 ? ofMonth! : ofUsual!;
  return {
    measured,
    otherWays: [...ways]
      .filter(([way]) => way !== measured)
      .map(([way, those]) => ({ measured: way, trials: those.length })),
    days,
    typicalError: error?.error ?? null,
    isBetweenDays: !repeated && error !== null,
    learning,
    spread,
    last: compared(settled.slice(-LAST_DAYS - DAYS_BEFORE, -LAST_DAYS), settled.slice(-LAST_DAYS)),
    pause: days.length < 2 ? null : dayNumber(days.at(-1)!.day) - dayNumber(days.at(-2)!.day),
    month: compared(within(MONTH + USUAL, MONTH), within(MONTH, 0)),
    trend: trend(lastYear(settled), better),
    usual: lately.length === 0 || !error ? null : around(mean(lately), Z_90 * error.error),
    outliers,
    ahead: trials.length - past.length,
  };
}

const around = (middle: number, reach: number): { low: number; high: number } => ({
  low: middle - reach,
  high: middle + reach,
});

/** The way with the most trials; what was only reported from home is taken where there is nothing else. */
function usedWay(ways: ReadonlyMap<Measured, readonly CourseTrial[]>): Measured | null {
  const size = (way: Measured): number => (way === 'self-reported' ? 0.5 : (ways.get(way)?.length ?? 0));
  const known = MEASURED.filter((way) => ways.has(way));
  return known.sort((a, b) => size(b) - size(a))[0] ?? null;
}

/**
 * Two days, where the two after them are really better and what came after those was not better still: the test was learnt on them.
 * Where it goes on like that it is progress.
 */
function learningDays(
  days: readonly DayTrials[],
  how: Pick<ToCompare, 'better' | 'typicalError' | 'spread'>,
): number {
  if (days.length < 3 * LEARNT_ON) return 0;
  const settled = days.slice(LEARNT_ON, 2 * LEARNT_ON);
  const isFaster = (before: readonly DayTrials[], after: readonly DayTrials[]): boolean =>
    compareTrials({ ...how, before, after }).verdict === 'faster';
  const isLearnt = isFaster(days.slice(0, LEARNT_ON), settled) && !isFaster(settled, days.slice(-LEARNT_ON));
  return isLearnt ? LEARNT_ON : 0;
}

/**
 * A fighter's trials around two dates against each other: those of the four weeks up to each; where nothing was done then, the first four
 * weeks after the earlier one.
 *
 * @example
 * betweenDates([], { better: 'higher' }, '2026-03-05', '2026-04-05').verdict // 'too little data'
 */
export function betweenDates(
  days: readonly DayTrials[],
  how: Omit<ToCompare, 'before' | 'after'>,
  from: string,
  to: string,
): Compared {
  const within = (after: number, until: number): DayTrials[] =>
    days.filter(({ day }) => dayNumber(day) > after && dayNumber(day) <= until);
  const upTo = (date: string): DayTrials[] => within(dayNumber(date) - MONTH, dayNumber(date));
  // Who began later is held against the own beginning.
  const first = days.find(({ day }) => day > from)?.day;
  const begun = first === undefined ? [] : within(dayNumber(first) - 1, dayNumber(first) + MONTH - 1);
  const before = upTo(from).length > 0 ? upTo(from) : begun;
  const after = upTo(to).filter((day) => !before.includes(day));
  return compareTrials({ ...how, before, after });
}
