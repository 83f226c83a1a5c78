import { WORK_LIMBS } from '@eurhythm/core/rounds';
import type { VolumeView } from '@eurhythm/contract';
import { bottomAxis, filled, open, sideAxis } from './axes.ts';
import type { ChartInks } from './chartInks.ts';
import { LIMB_WORDS } from './limbWords.ts';
import type { TextTable } from './textTable.ts';

type Weeks = VolumeView['weeks'];
type TellDay = (day: string) => string;

const noon = (week: string): string => `${week}T12:00:00`;

/** Strikes of each week, limb on limb: hands filled, legs open, and a line for what was planned. */
export function volumeOption(weeks: Weeks, inks: ChartInks, tellDay: TellDay): Record<string, unknown> {
  const { ink, quiet, canvas, front, rear } = inks;
  const looks = {
    'left-hand': filled(front),
    'right-hand': filled(rear),
    'left-leg': open(front, canvas),
    'right-leg': open(rear, canvas),
  };
  return {
    grid: { left: 48, right: 12, top: 34, bottom: 26 },
    legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: quiet } },
    tooltip: { trigger: 'axis' },
    xAxis: bottomAxis(inks, { type: 'category', data: weeks.map(({ week }) => tellDay(noon(week))) }),
    yAxis: sideAxis(inks),
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
  };
}

export function volumeTable(weeks: Weeks): TextTable {
  return {
    columns: ['week of', ...WORK_LIMBS.map((limb) => LIMB_WORDS[limb]), 'done', 'planned', 'classes'],
    rows: weeks.map(({ week, limbs, done, planned, classes }) => [
      week,
      ...WORK_LIMBS.map((limb) => limbs[limb]),
      done,
      planned,
      classes,
    ]),
  };
}
