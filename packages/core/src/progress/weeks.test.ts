import { attendedByWeek, dayText, longAgoByWeek, mondayOf } from './weeks.ts';

describe('weeks', () => {
  it('begin on Monday', () => {
    for (const day of ['2026-03-02', '2026-03-05', '2026-03-08'])
      expect(dayText(mondayOf(day))).toBe('2026-03-02');
    expect(dayText(mondayOf('2026-03-09'))).toBe('2026-03-09');
  });
  it('of long ago are one value each in a picture, and the last year stays as it is', () => {
    const days = [
      { day: '2024-03-05', values: [20, 22] },
      { day: '2024-03-07', values: [25] },
      { day: '2025-06-01', values: [30, 31] },
      { day: '2026-03-05', values: [32] },
    ];
    expect(longAgoByWeek(days)).toEqual([{ day: '2024-03-04', values: [23] }, ...days.slice(2)]);
    expect(longAgoByWeek([])).toEqual([]);
  });
  it('tell how many came on average, and those without a class', () => {
    const classes = [
      { day: '2026-03-02', people: 8 },
      { day: '2026-03-08', people: 11 },
      { day: '2026-03-17', people: 4 },
      { day: '2026-04-17', people: 40 },
    ];
    expect(attendedByWeek(classes, '2026-03-18')).toEqual([
      { week: '2026-03-02', classes: 2, people: 9.5 },
      { week: '2026-03-09', classes: 0, people: 0 },
      { week: '2026-03-16', classes: 1, people: 4 },
    ]);
    expect(attendedByWeek([], '2026-03-18')).toEqual([]);
  });
});
