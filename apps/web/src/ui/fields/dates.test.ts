import { STARTER_DATES } from '@eurhythm/core/units';
import { datesBy } from './dates.ts';

const at = new Date(2026, 2, 5, 18, 30);

describe('dates', () => {
  it.each([
    ['day-first', '24', 'Thu 5 Mar, 18:30', '5 March 2026'],
    ['month-first', '12', 'Thu Mar 5, 6:30 pm', 'March 5, 2026'],
    ['year-first', '24', 'Thu 03-05, 18:30', '2026-03-05'],
  ] as const)('are written %s by a clock of %s hours', (dayOrder, clock, short, long) => {
    const dates = datesBy({ ...STARTER_DATES, dayOrder, clock });
    expect(dates.tell(at, 'EEE short, time')).toBe(short);
    expect(dates.tell(at.toISOString(), 'long-dated')).toBe(long);
    expect(dates.inSentence('Goal reached on 2026-03-05: 31 of 40.')).toBe(
      `Goal reached on ${long}: 31 of 40.`,
    );
  });
  it('take the time as it is typed, by either clock', () => {
    const { typed } = datesBy(STARTER_DATES);
    for (const time of ['18:30', '6:30 pm', '6:30PM']) expect(typed(time, at)).toEqual(at);
    expect(typed('7 am', at)?.getHours()).toBe(7);
    expect(typed('half past', at)).toBeNull();
    expect(typed('25:00', at)).toBeNull();
  });
  it('begin the week where the gym does', () =>
    expect(
      (['monday', 'sunday', 'saturday'] as const).map(
        (weekBegins) => datesBy({ ...STARTER_DATES, weekBegins }).week.weekStartsOn,
      ),
    ).toEqual([1, 0, 6]));
});
