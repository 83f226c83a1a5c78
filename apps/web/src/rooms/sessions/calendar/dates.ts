import { addDays, addWeeks, endOfMonth, format, isSameMonth, startOfWeek } from 'date-fns';
import type { Dates } from '../../../ui/fields/dates.ts';

/** The same instant of the wall clock in each of the next weeks, also where the clock is changed in between. */
export function weeksAfter(plannedFor: string, weeks: number): string[] {
  return Array.from({ length: weeks }, (_, i) => addWeeks(new Date(plannedFor), i + 1).toISOString());
}

/** The days of a theme as a coach would begin it: this week from its first day, or the whole month. */
export function daysOf(
  span: 'week' | 'month',
  month: Date,
  now: Date,
  week: Dates['week'],
): { from: string; until: string } {
  const start = span === 'month' ? month : startOfWeek(isSameMonth(now, month) ? now : month, week);
  const end = span === 'month' ? endOfMonth(month) : addDays(start, 6);
  return { from: format(start, 'yyyy-MM-dd'), until: format(end, 'yyyy-MM-dd') };
}
