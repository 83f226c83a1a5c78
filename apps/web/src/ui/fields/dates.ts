import { STARTER_DATES, type DateWays } from '@eurhythm/core/units';
import { format, isValid, parse } from 'date-fns';
import { createContext, useContext } from 'react';

/** What a date is put together from: its day and month, short or in full, with the year or without, and the time. */
const DAYS = {
  'day-first': { short: 'd MMM', long: 'd MMMM', dated: 'd MMM yyyy', 'long-dated': 'd MMMM yyyy' },
  'month-first': { short: 'MMM d', long: 'MMMM d', dated: 'MMM d, yyyy', 'long-dated': 'MMMM d, yyyy' },
  'year-first': { short: 'MM-dd', long: 'MM-dd', dated: 'yyyy-MM-dd', 'long-dated': 'yyyy-MM-dd' },
} as const;
const CLOCK = { '24': 'HH:mm', '12': 'h:mm aaa' } as const;
const WEEK = { monday: 1, sunday: 0, saturday: 6 } as const;
/** How times may be typed, whatever the clock of the gym. */
const TYPED = ['H:mm', 'h:mm a', 'h:mma', 'h a', 'ha'];

/** Dates as the gym writes them. */
export interface Dates {
  /**
   * A date by what is to be shown of it: `short`, `long`, `dated` and `long-dated` for the day, `time` for the time, and the letters
   * of date-fns for weekdays, as in `EEE short time`.
   */
  tell(at: Date | string | number, what: string): string;
  /** A sentence with the days in it as the gym writes them: the server and core write 2026-11-16. */
  inSentence(text: string): string;
  /** For date-fns: the first day of the week. */
  readonly week: { readonly weekStartsOn: 0 | 1 | 6 };
  /** The time that somebody typed, on a day; null when it is none. */
  typed(time: string, day: Date): Date | null;
}

export function datesBy({ dayOrder, clock, weekBegins }: DateWays): Dates {
  const words: Readonly<Record<string, string>> = { ...DAYS[dayOrder], time: CLOCK[clock] };
  const tell: Dates['tell'] = (at, what) =>
    format(
      new Date(at),
      what.replace(/long-dated|short|long|dated|time/g, (word) => words[word]!),
    );
  return {
    tell,
    inSentence: (text) =>
      text.replace(/\b\d{4}-\d\d-\d\d\b/g, (day) => tell(`${day}T12:00:00`, 'long-dated')),
    week: { weekStartsOn: WEEK[weekBegins] },
    typed: (time, day) => TYPED.map((as) => parse(time.trim(), as, day)).find(isValid) ?? null,
  };
}

export const DatesContext = createContext<Dates>(datesBy(STARTER_DATES));
export const useDates = (): Dates => useContext(DatesContext);
