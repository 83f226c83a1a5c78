import type { EvennessView, VolumeView } from '@eurhythm/contract';
import { attendanceOption, attendanceTable } from './attendanceOption.ts';
import { comboGaps } from './comboGaps.ts';
import { gapsOption, gapsTable, type NamedGap } from './gapsOption.ts';
import { leadsOption, leadsTable } from './leadsOption.ts';
import { csvOf } from './textTable.ts';
import { volumeOption, volumeTable } from './volumeOption.ts';

const inks = {
  ...{ ink: '#111', quiet: '#666', rule: '#ccc', canvas: '#fff', front: '#b50', rear: '#066', font: 'x' },
};
type Series = { name?: string; type: string; data: unknown[]; itemStyle?: { color: string } }[];
const seriesOf = (option: Record<string, unknown>): Series => option['series'] as Series;

const limbs = { 'left-hand': 4, 'right-hand': 3, 'left-leg': 2, 'right-leg': 1 };
const weeks: VolumeView['weeks'] = [
  { week: '2026-03-02', planned: 12, done: 10, limbs, classes: 2 },
  { week: '2026-03-09', planned: 0, done: 0, limbs: { ...limbs, 'left-hand': 0 }, classes: 0 },
];

describe('a table to take away', () => {
  it('keeps commas and quotes, and is no formula', () => {
    expect(
      csvOf({
        columns: ['a', 'b'],
        rows: [
          ['x, "y"', 1],
          ['=SUM(A1)', -2],
        ],
      }),
    ).toBe('a,b\r\n"x, ""y""",1\r\n\'=SUM(A1),-2');
  });
});

describe('the picture of volume', () => {
  it('tells hands and legs apart without colour', () => {
    const series = seriesOf(volumeOption(weeks, inks, String));
    const colours = series.filter(({ type }) => type === 'bar').map(({ itemStyle }) => itemStyle!.color);
    expect(colours).toEqual([inks.front, inks.rear, inks.canvas, inks.canvas]);
    expect(series.at(-1)).toMatchObject({ name: 'planned', data: [12, 0] });
  });
  it('is a table too', () => {
    expect(volumeTable(weeks).rows[0]).toEqual(['2026-03-02', 4, 3, 2, 1, 10, 12, 2]);
  });
});

describe('the picture of who came', () => {
  it('keeps the place of a week without a class', () => {
    const came = weeks.map(({ week, classes }) => ({ week, count: classes }));
    expect(seriesOf(attendanceOption(came, inks, String))[0]!.data).toEqual([2, 0]);
    expect(attendanceTable(came, 'classes').rows).toEqual([
      ['2026-03-02', 2],
      ['2026-03-09', 0],
    ]);
  });
});

describe('the picture of the leads', () => {
  const leads = [
    {
      testId: 't',
      title: 'Two straights',
      percent: -12.34,
      from: -18,
      to: -6,
      behind: 'right',
      chance: 0.001,
      sentence: '',
    },
  ] satisfies EvennessView[];
  it('reaches as far as the widest interval, to both sides alike', () => {
    expect(leadsOption(leads, inks)['xAxis']).toMatchObject({ min: -20, max: 20 });
    expect(leadsTable(leads).rows).toEqual([['Two straights', -12.3, -18, -6]]);
  });
});

describe('the picture of gaps', () => {
  const gaps: NamedGap[] = [
    { from: 0, to: 1, seconds: 0.4, line: 0.3, least: 0.2, times: 8, name: 'left hand → right hand' },
    { from: 1, to: 2, seconds: 0.5, line: 0.6, least: null, times: 7, name: 'right hand → left leg' },
  ];
  it('has the usual gap, that of the line and the least of a body', () => {
    expect(seriesOf(gapsOption(gaps, inks)).map(({ name, data }) => [name, data])).toEqual([
      ['usual', [0.4, 0.5]],
      ['as the line', [0.3, 0.6]],
      ['least of a body', [0.2, null]],
    ]);
    expect(gapsTable(gaps).rows[1]).toEqual(['2: right hand → left leg', 0.5, 0.6, '', 7]);
  });

  const heard = (gap: number, late: number) => ({
    ...{ source: 'file' as const, device: '', latency: 0, detector: null, starts: [0, 2] },
    due: [1, 1 + gap, 4, 4 + gap],
    onsets: [1, 1 + gap + late, 4, 4 + gap + late].map((at) => ({ at })),
  });
  it('have no limbs while the book is still on its way', () => {
    const found = comboGaps([heard(0.5, 0.1)], { line: '1 2', lead: 'left', book: undefined, factor: 1.25 });
    expect(found.gaps.map(({ name, seconds }) => [name, Math.round(10 * seconds) / 10])).toEqual([
      ['? → ?', 0.6],
    ]);
    expect(found.costliest).toBe(0);
  });
});
