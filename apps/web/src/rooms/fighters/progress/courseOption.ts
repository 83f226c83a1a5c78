import type { CourseView } from '@eurhythm/contract';
import type { ChartInks } from './chartInks.ts';
import { toldValue } from '@eurhythm/core/progress';

/** Where a dot of the trials of one day lies beside the others, so that none hides another: some hours, in milliseconds. */
const BESIDE = 5 * 3_600_000;

const at = (day: string): number => Date.parse(`${day}T12:00:00`);

/** The trials of a test from its leads over time: filled and open dots, the usual range of each as a band, slips as crosses. */
export function courseOption(
  courses: readonly CourseView[],
  { ink, quiet, rule, canvas, font }: Pick<ChartInks, 'ink' | 'quiet' | 'rule' | 'canvas' | 'font'>,
  tellDay: (at: number) => string,
): Record<string, unknown> {
  const told = toldValue(courses[0]!.kind);
  const symbols = {
    left: { color: ink },
    right: { color: canvas, borderColor: ink, borderWidth: 2 },
  } as const;
  return {
    animation: false,
    textStyle: { fontFamily: font, color: quiet },
    grid: { left: 52, right: 18, top: 18, bottom: 30 },
    tooltip: {
      formatter: ({ seriesName, value }: { seriesName: string; value: [number, number] }) =>
        `${told(value[1])}, ${seriesName}<br>${tellDay(value[0])}`,
    },
    xAxis: {
      type: 'time',
      boundaryGap: ['3%', '3%'],
      axisLine: { lineStyle: { color: ink } },
      axisLabel: { formatter: tellDay, hideOverlap: true, color: quiet },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      scale: true,
      axisLabel: { color: quiet, formatter: (value: number) => told(value) },
      splitLine: { lineStyle: { color: rule } },
    },
    series: courses.flatMap(({ lead, days, usual, aside }) => [
      {
        type: 'scatter',
        name: `${lead} lead`,
        symbolSize: 11,
        data: days.flatMap(({ day, values }) =>
          values.map((value, i) => [at(day) + BESIDE * (i - (values.length - 1) / 2), value]),
        ),
        itemStyle: symbols[lead],
        ...(usual
          ? {
              markArea: {
                silent: true,
                itemStyle: { color: rule, opacity: 0.35 },
                label: { show: false },
                data: [[{ yAxis: usual.low }, { yAxis: usual.high }]],
              },
            }
          : {}),
      },
      {
        type: 'scatter',
        name: `${lead} lead, left out`,
        symbol: 'path://M0,0L10,10M10,0L0,10',
        symbolSize: 10,
        itemStyle: { color: 'transparent', borderColor: quiet, borderWidth: 2 },
        // A slip would squeeze all others together: it is listed, and drawn only where it is near.
        data: aside
          .filter(({ value }) => usual && value < 2 * usual.high)
          .map(({ day, value }) => [at(day), value]),
      },
    ]),
  };
}
