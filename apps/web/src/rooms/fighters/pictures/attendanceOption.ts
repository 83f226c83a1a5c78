import { bottomAxis, open, sideAxis } from './axes.ts';
import type { ChartInks } from './chartInks.ts';
import type { TextTable } from './textTable.ts';

/** A week, its Monday, and how many: classes of one fighter, or who came to a class on average. */
export interface AttendedWeek {
  readonly week: string;
  readonly count: number;
}

/** Bars by week; a week with nothing is an empty place. */
export function attendanceOption(
  weeks: readonly AttendedWeek[],
  inks: ChartInks,
  tellDay: (day: string) => string,
): Record<string, unknown> {
  return {
    grid: { left: 48, right: 12, top: 12, bottom: 26 },
    tooltip: { trigger: 'axis' },
    xAxis: bottomAxis(inks, {
      type: 'category',
      data: weeks.map(({ week }) => tellDay(`${week}T12:00:00`)),
    }),
    yAxis: sideAxis(inks, { minInterval: 1 }),
    series: [{ type: 'bar', data: weeks.map(({ count }) => count), itemStyle: open(inks.ink, inks.rule) }],
  };
}

export const attendanceTable = (weeks: readonly AttendedWeek[], what: string): TextTable => ({
  columns: ['week of', what],
  rows: weeks.map(({ week, count }) => [week, count]),
});
