import { subDays } from 'date-fns';
import { sql, type SQL, type SQLWrapper } from 'drizzle-orm';

const two = (n: number): string => (n < 10 ? `0${n}` : String(n));

/** The day of an instant where the server stands, like 2026-03-05; put together by hand, since logs have many. */
export const dayOf = (at: Date): string =>
  `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;

const zone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The same in the database, which may stand elsewhere, to group by. */
export const localDay = (at: SQLWrapper): SQL => sql`date_trunc('day', ${at} at time zone ${zone()})`;

/** The same as it is written. */
export const daySql = (at: SQLWrapper): SQL<string> =>
  sql<string>`to_char(${at} at time zone ${zone()}, 'YYYY-MM-DD')`;

const DAY = 86_400_000;
/** So many weeks before an instant. */
export const weeksBefore = (now: Date, weeks: number): Date => new Date(now.getTime() - 7 * weeks * DAY);

/** The first day of so many weeks of seven days that end today. */
export const firstDayOf = (now: Date, weeks: number): string => dayOf(subDays(now, 7 * weeks - 1));
