import { daysOf, weeksAfter } from './dates.ts';

describe('weeks after a class', () => {
  it('keep the day and the time of the wall clock, also where the clock is changed', () => {
    const first = new Date(2026, 2, 17, 18, 30);
    const later = weeksAfter(first.toISOString(), 12).map((date) => new Date(date));
    expect(later).toHaveLength(12);
    later.forEach((date, i) => {
      expect([date.getDay(), date.getHours(), date.getMinutes()]).toEqual([2, 18, 30]);
      expect(new Date(date.getFullYear(), date.getMonth(), date.getDate() - 7 * (i + 1)).getDate()).toBe(17);
    });
  });
  it('go over the end of a year', () => {
    expect(weeksAfter('2026-12-29T12:00:00.000Z', 1)).toEqual(['2027-01-05T12:00:00.000Z']);
    expect(weeksAfter('2026-12-29T12:00:00.000Z', 0)).toEqual([]);
  });
});

describe('the days of a theme', () => {
  const march = new Date(2026, 2, 1);
  it.each([
    ['this week, when its month is shown', 'week', march, new Date(2026, 2, 12), '2026-03-09', '2026-03-15'],
    [
      'a Sunday belongs to the week before it',
      'week',
      march,
      new Date(2026, 2, 15),
      '2026-03-09',
      '2026-03-15',
    ],
    ['the first week of another month', 'week', march, new Date(2026, 6, 1), '2026-02-23', '2026-03-01'],
    ['a whole month', 'month', march, new Date(2026, 6, 1), '2026-03-01', '2026-03-31'],
    ['a February', 'month', new Date(2028, 1, 1), new Date(2026, 6, 1), '2028-02-01', '2028-02-29'],
  ] as const)('%s', (_, span, month, now, from, until) => {
    expect(daysOf(span, month, now, { weekStartsOn: 1 })).toEqual({ from, until });
  });
});
