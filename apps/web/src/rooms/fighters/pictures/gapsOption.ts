import type { UsualGap } from '@eurhythm/core/speed';
import { bottomAxis, filled, open, sideAxis } from './axes.ts';
import type { ChartInks } from './chartInks.ts';
import type { TextTable } from './textTable.ts';

/** A gap with the limbs that it lies between. */
export interface NamedGap extends UsualGap {
  readonly name: string;
}

/** The gaps of a combo as they usually were, beside the line's, and the least of a body as a stroke across. */
export function gapsOption(gaps: readonly NamedGap[], inks: ChartInks): Record<string, unknown> {
  const { ink, canvas, front, quiet } = inks;
  const textOf = (value: number): string => `${value.toFixed(2)} s`;
  return {
    grid: { left: 58, right: 12, top: 34, bottom: 40 },
    legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: quiet } },
    tooltip: { trigger: 'axis', valueFormatter: textOf },
    xAxis: bottomAxis(inks, {
      type: 'category',
      data: gaps.map(({ name }) => name),
      axisLabel: { interval: 0, overflow: 'break', width: 90, hideOverlap: false },
    }),
    yAxis: sideAxis(inks, { axisLabel: { formatter: textOf } }),
    series: [
      { type: 'bar', name: 'usual', data: gaps.map(({ seconds }) => seconds), itemStyle: filled(front) },
      {
        type: 'bar',
        name: 'as the line',
        data: gaps.map(({ line }) => line),
        itemStyle: open(ink, canvas),
      },
      {
        type: 'scatter',
        name: 'least of a body',
        symbol: 'rect',
        symbolSize: [44, 3],
        itemStyle: { color: ink },
        data: gaps.map(({ least }) => least),
      },
    ],
  };
}

export const gapsTable = (gaps: readonly NamedGap[]): TextTable => ({
  columns: ['gap', 'usual, s', 'as the line, s', 'least of a body, s', 'times'],
  rows: gaps.map(({ name, seconds, line, least, times }, i) => [
    `${i + 1}: ${name}`,
    Number(seconds.toFixed(3)),
    Number(line.toFixed(3)),
    least === null ? '' : Number(least.toFixed(3)),
    times,
  ]),
});
