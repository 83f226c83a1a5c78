import type { CourseView } from '@eurhythm/contract';
import { courseCsv } from './courseText.ts';
import { daysShown, valuesShown } from './courseFrame.ts';
import { courseOption } from './courseOption.ts';

const course = {
  lead: 'left',
  kind: 'burst',
  seconds: 10,
  measured: 'taps',
  days: [
    { day: '2026-03-12', values: [24] },
    { day: '2026-03-05', values: [22, 23] },
  ],
  usual: { low: 21, high: 25 },
  outliers: [{ day: '2026-03-12', value: 230 }],
} as unknown as CourseView;

describe('the trials of a test', () => {
  it('go into a table in the order of their days', () => {
    expect(courseCsv([course]).split('\r\n')).toEqual([
      'day,lead,trial,value,measured',
      '2026-03-05,left,1,22,taps',
      '2026-03-05,left,2,23,taps',
      '2026-03-12,left,1,24,taps',
    ]);
  });

  it('stand in the picture side by side, and a slip does not squeeze them', () => {
    const inks = { ink: '#000', quiet: '#666', rule: '#ccc', canvas: '#fff', font: 'x' };
    const { series } = courseOption([course], inks, String) as { series: { data: number[][] }[] };
    expect(series[0]!.data).toHaveLength(3);
    expect(new Set(series[0]!.data.map(([when]) => when)).size).toBe(3);
    expect(series[1]!.data).toEqual([]);
  });

  it('have the verdict of the month beside the last day', () => {
    const inks = { ink: '#000', quiet: '#666', rule: '#ccc', canvas: '#fff' };
    const month = { verdict: 'faster' } as CourseView['month'];
    const { series } = courseOption([{ ...course, month }], inks, String) as {
      series: { markPoint?: { label: { formatter: string }; data: { coord: number[] }[] } }[];
    };
    expect(series[0]!.markPoint!.label.formatter).toBe('▲ L');
    expect(series[0]!.markPoint!.data[0]!.coord).toEqual([Date.parse('2026-03-12T12:00:00'), 24]);
  });

  it('are thinned and known by months and years where there are ten years of them', () => {
    const days = Array.from({ length: 1500 }, (_, i) => ({
      day: new Date(Date.parse('2016-03-01') + 2 * i * 86_400_000).toISOString().slice(0, 10),
      values: [20],
    }));
    const inks = { ink: '#000', quiet: '#666', rule: '#ccc', canvas: '#fff' };
    const long = { ...course, days, trials: days.length } as CourseView;
    const { series, xAxis } = courseOption([long], inks, String) as {
      series: { data: number[][] }[];
      xAxis: { axisLabel: { formatter(at: number): string } };
    };
    expect(series[0]!.data.length).toBeLessThan(700);
    expect(xAxis.axisLabel.formatter(Date.parse('2020-01-01T12:00:00'))).toBe('Jan 2020');
  });
});

describe('the frame of a course', () => {
  const of = (...values: number[]) => [
    {
      ...course,
      usual: null,
      days: values.map((value, i) => ({ day: `2026-03-0${1 + i}`, values: [value] })),
    },
  ];
  it('shows one trial at its date, within four weeks', () => {
    const { min, max } = daysShown(of(22));
    expect((max - min) / 86_400_000).toBe(28);
    expect(new Date((min + max) / 2).getDate()).toBe(1);
  });
  it('is wide enough that noise looks like noise, and has round lines', () => {
    expect(valuesShown(of(22))).toEqual({ min: 16, max: 28, interval: 2 });
    expect(valuesShown(of(1.34, 1.38))).toEqual({ min: 1, max: 1.8, interval: 0.2 });
  });
  it('holds every trial, however far they lie apart', () => {
    const { min, max } = valuesShown(of(10, 44));
    expect(min).toBeLessThanOrEqual(10);
    expect(max).toBeGreaterThanOrEqual(44);
    expect(valuesShown(of(0, 0)).max).toBeGreaterThan(0);
  });
});
