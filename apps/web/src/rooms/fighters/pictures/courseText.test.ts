import type { CourseView } from '@eurhythm/contract';
import { courseCsv } from './courseText.ts';
import { courseOption } from './courseOption.ts';

const course = {
  lead: 'left',
  kind: 'burst',
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

  it('are thinned and known by years where there are ten years of them', () => {
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
    expect(xAxis.axisLabel.formatter(Date.parse('2020-01-01T12:00:00'))).toBe('2020');
  });
});
