import type { EvennessView } from '@eurhythm/contract';
import { bottomAxis } from './axes.ts';
import type { ChartInks } from './chartInks.ts';
import type { TextTable } from './textTable.ts';

/** As much of a custom drawing's tools as is used here. */
interface Pen {
  value(dimension: number): number;
  coord(point: readonly [number, number]): [number, number];
}

/** Half the height of an interval, in points. */
const HALF = 5;

/** How far the right lead is ahead of the left in each test: the interval as a bar, the difference as a dot, even as a line. */
export function leadsOption(leads: readonly EvennessView[], inks: ChartInks): Record<string, unknown> {
  const { ink, quiet, rule } = inks;
  const reach = Math.max(10, ...leads.flatMap(({ from, to }) => [Math.abs(from), Math.abs(to)]));
  const most = Math.ceil(reach / 10) * 10;
  return {
    grid: { left: 12, right: 24, top: 8, bottom: 28, containLabel: true },
    xAxis: bottomAxis(inks, {
      type: 'value',
      min: -most,
      max: most,
      axisLabel: {
        formatter: (value: number) =>
          value === 0 ? 'even' : `${value < 0 ? 'left' : 'right'} ${Math.abs(value)} %`,
      },
      splitLine: { lineStyle: { color: rule } },
    }),
    yAxis: {
      type: 'category',
      inverse: true,
      data: leads.map(({ title }) => title),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { color: ink },
    },
    series: [
      {
        type: 'custom',
        data: leads.map(({ from, to }, i) => [from, i, to]),
        encode: { x: [0, 2], y: 1 },
        renderItem: (_: unknown, pen: Pen) => {
          const row = pen.value(1);
          const [left, y] = pen.coord([pen.value(0), row]);
          const [right] = pen.coord([pen.value(2), row]);
          return {
            type: 'rect',
            shape: { x: left, y: y - HALF, width: Math.max(2, right - left), height: 2 * HALF },
            style: { fill: quiet, opacity: 0.45 },
          };
        },
      },
      {
        type: 'scatter',
        symbolSize: 11,
        itemStyle: { color: ink },
        data: leads.map(({ percent }, i) => [percent, i]),
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: ink, type: 'dashed' },
          data: [{ xAxis: 0 }],
        },
      },
    ],
  };
}

export const leadsTable = (leads: readonly EvennessView[]): TextTable => ({
  columns: ['test', 'right less left, %', 'from', 'to'],
  rows: leads.map(({ title, percent, from, to }) => [
    title,
    Number(percent.toFixed(1)),
    Number(from.toFixed(1)),
    Number(to.toFixed(1)),
  ]),
});
