import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { WORK_LIMBS } from '@eurhythm/core/rounds';
import type { VolumeView } from '@eurhythm/contract';
import { useDates } from '../../../ui/dates.ts';
import { useTheme } from '../../../ui/useTheme.ts';
import { inksOf } from './chartInks.ts';
import { LIMB_WORDS } from './limbWords.ts';

register([BarChart, LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

/** Strikes of each week, limb on limb: hands filled, legs open, and a line for what was planned. */
export function VolumeChart({ weeks }: Pick<VolumeView, 'weeks'>) {
  const dates = useDates();
  const host = useRef<HTMLDivElement>(null);
  const theme = useTheme();
  useEffect(() => {
    const element = host.current!;
    const { ink, quiet, rule, canvas, font, front, rear } = inksOf(element);
    const chart = init(element, null, { renderer: 'svg' });
    const filled = (color: string) => ({ color, borderColor: color, borderWidth: 1.5 });
    const open = (color: string) => ({ ...filled(color), color: canvas });
    const looks = {
      'left-hand': filled(front),
      'right-hand': filled(rear),
      'left-leg': open(front),
      'right-leg': open(rear),
    };
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: font, color: quiet },
      grid: { left: 48, right: 12, top: 34, bottom: 26 },
      legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: quiet } },
      tooltip: { trigger: 'axis' },
      xAxis: {
        type: 'category',
        data: weeks.map(({ week }) => dates.tell(`${week}T12:00:00`, 'short')),
        axisLine: { lineStyle: { color: ink } },
        axisLabel: { color: quiet, hideOverlap: true },
      },
      yAxis: { type: 'value', axisLabel: { color: quiet }, splitLine: { lineStyle: { color: rule } } },
      series: [
        ...WORK_LIMBS.map((limb) => ({
          type: 'bar',
          stack: 'done',
          name: LIMB_WORDS[limb],
          data: weeks.map(({ limbs }) => limbs[limb]),
          itemStyle: looks[limb],
        })),
        {
          type: 'line',
          name: 'planned',
          data: weeks.map(({ planned }) => planned),
          step: 'middle',
          symbol: 'none',
          lineStyle: { color: ink, width: 1.5, type: 'dashed' },
          itemStyle: { color: ink },
        },
      ],
    });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [weeks, theme, dates]);
  const done = weeks.reduce((sum, week) => sum + week.done, 0);
  return (
    <div
      ref={host}
      className="h-52"
      role="img"
      aria-label={`Strikes by limb: ${weeks.length} weeks, ${done} in all.`}
    />
  );
}
