import { format } from 'date-fns';
import { sql, type SQLWrapper } from 'drizzle-orm';

/** The day of an instant where the server stands, like 2026-03-05. */
export const dayOf = (at: Date): string => format(at, 'yyyy-MM-dd');

/** The same in the database, which may stand elsewhere: shifted by what the server's clock is ahead of UTC at that time of the year. */
export function daySql(at: SQLWrapper): ReturnType<typeof sql<string>> {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return sql<string>`to_char(${at} at time zone ${zone}, 'YYYY-MM-DD')`;
}

const DAY = 86_400_000;
/** So many weeks before an instant. */
export const weeksBefore = (now: Date, weeks: number): Date => new Date(now.getTime() - 7 * weeks * DAY);
