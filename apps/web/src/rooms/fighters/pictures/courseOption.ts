import { countedUnit, longAgoByWeek, middleOfDay, valueText } from '@eurhythm/core/progress';
import { sideText } from '@eurhythm/core/speed';
import { format } from 'date-fns';
import type { CourseView } from '@eurhythm/contract';
import { bottomAxis, sideAxis } from './axes.ts';
import type { ChartInks } from './chartInks.ts';
import { daysShown, noonOf, valuesShown } from './courseFrame.ts';
import { VERDICT_MARKS } from './courseText.ts';

/** Where a dot of the trials of one day lies beside the others, so that none hides another: some hours, in milliseconds. */
const BESIDE = 5 * 3_600_000;

/** With more trials a picture draws what is older than a year by weeks. */
const MANY = 800;
export const isDense = (courses: readonly CourseView[]): boolean =>
  courses.reduce((sum, { trials }) => sum + trials, 0) > MANY;

/** What a number counts that does not say it itself. */
const unitOf = (course: CourseView): string => countedUnit(course).trim();

/** Over more than a year and a half months stand along the bottom, else days. */
const YEARS_FROM = 550 * 86_400_000;
function isOfYears(courses: readonly CourseView[]): boolean {
  const days = courses.flatMap((course) => course.days.map(({ day }) => Date.parse(day)));
  return Math.max(...days) - Math.min(...days) > YEARS_FROM;
}

type CourseInks = Pick<ChartInks, 'ink' | 'quiet' | 'rule' | 'canvas'>;

/**
 * The trials of a test from its leads over time: filled and open dots, the usual range of each as a band, slips as crosses, and beside
 * the last day what the last month was worth.
 */
export function courseOption(
  courses: readonly CourseView[],
  inks: CourseInks,
  tellDay: (at: number) => string,
): Record<string, unknown> {
  const { quiet } = inks;
  const textOf = valueText(courses[0]!.kind, courses[0]!.unit);
  const drawn = isDense(courses) ? longAgoByWeek : (days: CourseView['days']) => days;
  return {
    grid: { left: 52, right: 44, top: 30, bottom: 30 },
    tooltip: {
      formatter: ({ seriesName, value }: { seriesName: string; value: [number, number] }) =>
        `${textOf(value[1])}${countedUnit(courses[0]!)}, ${seriesName}<br>${tellDay(value[0])}`,
    },
    xAxis: bottomAxis(inks, {
      type: 'time',
      ...daysShown(courses),
      minInterval: 86_400_000,
      axisLabel: {
        formatter: isOfYears(courses) ? (at: number) => format(at, 'MMM yyyy') : tellDay,
      },
    }),
    yAxis: sideAxis(inks, {
      ...valuesShown(courses),
      name: unitOf(courses[0]!),
      nameTextStyle: { color: quiet, align: 'left', padding: [0, 0, 0, -44] },
      axisLabel: { formatter: (value: number) => textOf(value) },
    }),
    series: courses.flatMap((course) => {
      const name = sideText(course.lead, courses[0]!.sides) || 'results';
      return [
        { name, ...dotsOf(course, drawn(course.days), inks) },
        { name: `${name}, left out`, ...slipsOf(course, quiet) },
      ];
    }),
  };
}

/** The trials of one lead, those of one day beside each other, and the band of what is usual. */
function dotsOf(
  course: CourseView,
  days: CourseView['days'],
  { ink, rule, canvas }: CourseInks,
): Record<string, unknown> {
  const { usual } = course;
  const symbols = {
    left: { color: ink },
    right: { color: canvas, borderColor: ink, borderWidth: 2 },
  } as const;
  const band = usual && {
    silent: true,
    itemStyle: { color: rule, opacity: 0.35 },
    label: { show: false },
    data: [[{ yAxis: usual.low }, { yAxis: usual.high }]],
  };
  return {
    type: 'scatter',
    symbolSize: 11,
    data: days.flatMap(({ day, values }) =>
      values.map((value, i) => [noonOf(day) + BESIDE * (i - (values.length - 1) / 2), value]),
    ),
    itemStyle: symbols[course.lead],
    ...markOf(course, ink),
    ...(band ? { markArea: band } : {}),
  };
}

function slipsOf({ usual, outliers }: CourseView, quiet: string): Record<string, unknown> {
  return {
    type: 'scatter',
    symbol: 'path://M0,0L10,10M10,0L0,10',
    symbolSize: 10,
    itemStyle: { color: 'transparent', borderColor: quiet, borderWidth: 2 },
    // A slip would squeeze all others together: it is listed, and drawn only where it is near.
    data: outliers
      .filter(({ value }) => usual && value < 2 * usual.high)
      .map(({ day, value }) => [noonOf(day), value]),
  };
}

/** The verdict of the last month, beside the dots of the last day. */
function markOf({ days, month, lead }: CourseView, ink: string): Record<string, unknown> {
  const last = days.reduce<CourseView['days'][number] | null>(
    (newest, each) => (newest && newest.day > each.day ? newest : each),
    null,
  );
  if (!month || !last) return {};
  const side = { left: 'L', right: 'R' }[lead];
  return {
    markPoint: {
      silent: true,
      symbol: 'circle',
      symbolSize: 1,
      itemStyle: { color: 'transparent' },
      label: {
        show: true,
        position: 'right',
        distance: 12,
        color: ink,
        fontSize: 14,
        fontWeight: 'bold',
        formatter: `${VERDICT_MARKS[month.verdict].sign} ${side}`,
      },
      data: [{ coord: [noonOf(last.day), middleOfDay(last)] }],
    },
  };
}
