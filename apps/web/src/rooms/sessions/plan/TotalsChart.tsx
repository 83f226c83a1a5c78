import { BarChart } from 'echarts/charts';
import { GridComponent, TitleComponent, TooltipComponent } from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef, useState } from 'react';
import type { SessionTotals } from '@eurhythm/core/plan';
import { clockText } from '@eurhythm/core/units';
import { usePlanned } from './usePlanned.ts';
import { useTheme } from '../../../ui/theme/useTheme.ts';

register([BarChart, GridComponent, TitleComponent, TooltipComponent, SVGRenderer]);

const PHASE_NAMES: Readonly<Record<string, string>> = { 'warm-up': 'warm-up', conditioning: 'condition' };

/** Strikes by limb and by height, and the time of each phase, of the whole session. */
export function TotalsChart() {
  const planned = usePlanned();
  const host = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  const [isSeen, setSeen] = useState(false);
  useEffect(() => {
    const element = host.current!;
    const made = init(element, null, { renderer: 'svg' });
    chart.current = made;
    const size = new ResizeObserver(() => made.resize());
    size.observe(element);
    const sight = new IntersectionObserver(([entry]) => setSeen(entry!.isIntersecting));
    sight.observe(element);
    return () => {
      size.disconnect();
      sight.disconnect();
      made.dispose();
    };
  }, []);
  const theme = useTheme();
  // Out of sight it waits: a key pressed at the top of a long page does not draw what is below it.
  useEffect(() => {
    if (isSeen) chart.current?.setOption(totals(host.current!, planned), { notMerge: true });
  }, [planned, isSeen, theme]);
  return <div ref={host} className="h-60" role="img" aria-label={text(planned)} />;
}

function text({ strikes: { limbs, levels }, phases }: SessionTotals): string {
  const list = (counts: Readonly<Record<string, number>>): string =>
    Object.entries(counts)
      .map(([name, n]) => `${name.replace('-', ' ')} ${n}`)
      .join(', ');
  return `Strikes: ${list(limbs)}. Heights: ${list(levels)}. Time: ${phases.map(({ phase, seconds }) => `${phase} ${clockText(seconds)}`).join(', ')}.`;
}

interface Bars {
  readonly title: string;
  readonly names: readonly string[];
  readonly values: readonly number[];
  readonly text: (value: number) => string;
}

const barsOf = ({ strikes: { limbs, levels }, phases }: SessionTotals): readonly Bars[] => [
  {
    title: 'strikes by limb',
    names: ['left hand', 'right hand', 'left leg', 'right leg'],
    values: Object.values(limbs),
    text: String,
  },
  { title: 'by height', names: Object.keys(levels), values: Object.values(levels), text: String },
  {
    title: 'time by phase',
    names: phases.map(({ phase }) => PHASE_NAMES[phase] ?? phase),
    values: phases.map(({ seconds }) => seconds),
    text: clockText,
  },
];

function totals(element: Element, planned: SessionTotals) {
  const token = (name: string): string =>
    getComputedStyle(element).getPropertyValue(`--color-${name}`).trim();
  const [ink, quiet] = [token('ink'), token('quiet')];
  const bars = barsOf(planned);
  const places = [
    { left: '11%', width: '18%' },
    { left: '40%', width: '17%' },
    { left: '71%', width: '21%' },
  ];
  const colours = [token('front'), token('rear'), token('tape')];
  return {
    animation: false,
    textStyle: { fontFamily: getComputedStyle(element).fontFamily, color: ink },
    title: bars.map(({ title }, i) => ({
      text: title,
      left: places[i]!.left,
      top: 2,
      textStyle: { fontSize: 14, color: quiet, fontWeight: 600 },
    })),
    grid: places.map((place) => ({ ...place, top: 30, bottom: 8 })),
    xAxis: bars.map((_, i) => ({ gridIndex: i, type: 'value', show: false })),
    yAxis: bars.map(({ names }, i) => ({
      gridIndex: i,
      type: 'category',
      inverse: true,
      data: names,
      axisTick: { show: false },
      axisLine: { lineStyle: { color: ink } },
      axisLabel: { color: ink, fontSize: 13 },
    })),
    series: bars.map(({ values, text }, i) => ({
      type: 'bar',
      xAxisIndex: i,
      yAxisIndex: i,
      data: values,
      barMaxWidth: 22,
      itemStyle: { color: colours[i], borderColor: ink, borderWidth: 1 },
      label: {
        show: true,
        position: 'right',
        color: ink,
        fontSize: 13,
        formatter: ({ value }: { value: number }) => text(value),
      },
    })),
  };
}
