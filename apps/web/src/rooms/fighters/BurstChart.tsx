import { ScatterChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import type { AttemptView } from '@eurhythm/contract';
import { useTheme } from '../../ui/useTheme.ts';
import { useDates } from '../../ui/dates.ts';
import { MEASURED_WORDS } from './replay/trialWords.ts';

register([ScatterChart, GridComponent, TooltipComponent, SVGRenderer]);

/** A colour token of the surface that the element stands on. */
function token(element: Element, name: string): string {
  return getComputedStyle(element).getPropertyValue(`--color-${name}`).trim();
}

/** Repetitions in ten seconds over time, one dot for each trial. */
export function BurstChart({ attempts, title }: { attempts: readonly AttemptView[]; title: string }) {
  const dates = useDates();
  const host = useRef<HTMLDivElement>(null);
  const theme = useTheme();
  useEffect(() => {
    const element = host.current!;
    const chart = init(element, null, { renderer: 'svg' });
    const [ink, quiet, rule] = ['ink', 'quiet', 'rule'].map((name) => token(element, name));
    const dots = (lead: 'left' | 'right') =>
      attempts
        .filter((attempt) => attempt.lead === lead)
        .map((attempt) => [Date.parse(attempt.at), attempt.count, MEASURED_WORDS[attempt.measured]]);
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: getComputedStyle(element).fontFamily, color: quiet },
      grid: { left: 44, right: 16, top: 18, bottom: 30 },
      tooltip: {
        formatter: ({ seriesName, value }: { seriesName: string; value: [number, number, string] }) =>
          `${value[1]} in ten seconds, ${seriesName}, ${value[2]}<br>${dates.tell(value[0], 'short time')}`,
      },
      xAxis: {
        type: 'time',
        boundaryGap: ['3%', '3%'],
        axisLine: { lineStyle: { color: ink } },
        axisLabel: { formatter: (at: number) => dates.tell(at, 'short'), hideOverlap: true, color: quiet },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        scale: true,
        minInterval: 1,
        axisLabel: { color: quiet },
        splitLine: { lineStyle: { color: rule } },
      },
      series: [
        { type: 'scatter', name: 'left lead', symbolSize: 11, data: dots('left'), itemStyle: { color: ink } },
        {
          type: 'scatter',
          name: 'right lead',
          symbolSize: 11,
          data: dots('right'),
          itemStyle: { color: token(element, 'canvas'), borderColor: ink, borderWidth: 2 },
        },
      ],
    });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [attempts, theme, dates]);
  const counts = attempts.map((attempt) => attempt.count);
  return (
    <div
      ref={host}
      className="h-72"
      role="img"
      aria-label={`${title}: ${attempts.length} trials, from ${Math.min(...counts)} to ${Math.max(...counts)} in ten seconds.`}
    />
  );
}
