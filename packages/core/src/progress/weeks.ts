import { median } from 'simple-statistics';
import { groupBy } from '../units/index.ts';
import { middleOfDay, type DayTrials } from './trials/dayTrials.ts';

const DAY = 86_400_000;
const WEEK = 7;
const YEAR = 366;

/** Logs name the same days again and again; ten years have so many. */
const KNOWN_DAYS = 4000;
const knownDays = new Map<string, number>();

/** A day as a number of days since the epoch, from how it is written, and back. */
export function dayNumber(day: string): number {
  let n = knownDays.get(day);
  if (n === undefined) {
    if (knownDays.size >= KNOWN_DAYS) knownDays.clear();
    knownDays.set(day, (n = Math.round(Date.parse(day) / DAY)));
  }
  return n;
}
export const dayText = (n: number): string => new Date(n * DAY).toISOString().slice(0, 10);

/** The Monday of a day's week, as a number of days. The epoch was a Thursday. */
export function mondayOf(day: string): number {
  const n = dayNumber(day);
  return n - ((n + 3) % WEEK);
}

/**
 * The Mondays from the week of the first of some days to that of the last one, as numbers of days, and the place of a day's week.
 *
 * @example
 * weeksOver(['2026-03-05'], '2026-03-12').mondays.length // 2
 */
export function weeksOver(
  days: readonly string[],
  last: string,
): { readonly mondays: readonly number[]; placeOf(day: string): number } {
  const first = Math.min(...days.map(mondayOf));
  const count = (mondayOf(last) - first) / WEEK + 1;
  return {
    mondays: Array.from({ length: count }, (_, i) => first + i * WEEK),
    placeOf: (day) => (mondayOf(day) - first) / WEEK,
  };
}

/**
 * Long ago a week is one value, the middle of its days' middles, on its Monday; from a year before the last day on, days stay as they
 * are. For pictures of many years.
 *
 * @example
 * longAgoByWeek([{ day: '2026-03-05', values: [22, 23] }]) // [{ day: '2026-03-05', values: [22, 23] }]
 */
export function longAgoByWeek(days: readonly DayTrials[]): DayTrials[] {
  const from = Math.max(...days.map(({ day }) => dayNumber(day))) - YEAR;
  const isOld = ({ day }: DayTrials): boolean => dayNumber(day) < from;
  const weeks = groupBy(
    days.filter((each) => isOld(each) && each.values.length > 0),
    ({ day }) => mondayOf(day),
  );
  const old = [...weeks].map(([monday, those]) => ({
    day: dayText(monday),
    values: [median(those.map(middleOfDay))],
  }));
  return [...old, ...days.filter((each) => !isOld(each))];
}

/** Who came in a week: how many classes it had, and how many people each on average. */
export interface AttendedWeek {
  /** Its Monday. */
  readonly week: string;
  readonly classes: number;
  readonly people: number;
}

/**
 * How many people came to a class on average over some weeks, and how many classes there were.
 *
 * @example
 * meanAttendance([{ week: '2026-03-02', classes: 2, people: 9 }, { week: '2026-03-09', classes: 1, people: 12 }]) // { classes: 3, people: 10 }
 */
export function meanAttendance(weeks: readonly AttendedWeek[]): Pick<AttendedWeek, 'classes' | 'people'> {
  const classes = weeks.reduce((sum, week) => sum + week.classes, 0);
  const came = weeks.reduce((sum, week) => sum + week.classes * week.people, 0);
  return { classes, people: classes === 0 ? 0 : came / classes };
}

/**
 * How many came, week by week up to today, weeks without a class too.
 *
 * @example
 * attendedByWeek([{ day: '2026-03-05', people: 8 }], '2026-03-06') // [{ week: '2026-03-02', classes: 1, people: 8 }]
 */
export function attendedByWeek(
  classes: readonly { readonly day: string; readonly people: number }[],
  today: string,
): AttendedWeek[] {
  const past = classes.filter(({ day }) => day <= today);
  if (past.length === 0) return [];
  const { mondays, placeOf } = weeksOver(
    past.map(({ day }) => day),
    today,
  );
  const came = mondays.map((): number[] => []);
  for (const { day, people } of past) came[placeOf(day)]!.push(people);
  return came.map((own, i) => ({
    week: dayText(mondays[i]!),
    classes: own.length,
    people: own.length === 0 ? 0 : own.reduce((sum, each) => sum + each, 0) / own.length,
  }));
}
