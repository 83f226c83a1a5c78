import { classDays } from '../simulation/index.ts';
import { course } from './trials/course.ts';
import { goalNow } from './goals.ts';

const TODAY = '2026-06-01';
const of = (values: readonly number[][]) => {
  const first = new Date(Date.parse(TODAY) - (values.length - 1) * 7 * 86_400_000).toISOString().slice(0, 10);
  const trials = classDays(first, values.length, 7).flatMap((day, i) =>
    values[i]!.map((value) => ({ day, value, measured: 'taps' as const })),
  );
  return course(trials, {
    better: 'higher',
    today: TODAY,
    errorOf: () => ({ error: 1, degreesOfFreedom: 300 }),
  });
};
const goal = (value: number, by = '2026-08-01', setOn = '2026-03-01') => ({ value, by, setOn });
const rising = of(Array.from({ length: 10 }, (_, i) => [18 + i / 2, 18 + i / 2]));

describe('goalNow', () => {
  it('is reached by a day of which half the trials are there, and not by one lucky trial', () => {
    const lucky = of([[20, 20, 20], [20, 25, 20], [21, 20, 20]]); // prettier-ignore
    expect(goalNow(goal(25), lucky, 'higher', TODAY).state).not.toBe('reached');
    const done = of([[20, 20], [25, 25], [22, 22]]); // prettier-ignore
    expect(goalNow(goal(25), done, 'higher', TODAY)).toMatchObject({
      state: 'reached',
      reachedOn: '2026-05-25',
    });
  });

  it('counts only what was done since it was set', () => {
    expect(goalNow(goal(18), rising, 'higher', TODAY).reachedOn).toBe('2026-03-30');
    expect(goalNow(goal(18, '2026-08-01', '2026-05-20'), rising, 'higher', TODAY).reachedOn).toBe(
      '2026-05-25',
    );
  });

  it('is held against the whole interval of the trend', () => {
    expect(goalNow(goal(26), rising, 'higher', TODAY).state).toBe('on the way');
    expect(goalNow(goal(40), rising, 'higher', TODAY).state).toBe('not on the way');
  });

  it('is over after its day, and open where nothing is known', () => {
    expect(goalNow(goal(40, '2026-05-01'), rising, 'higher', TODAY).state).toBe('over');
    expect(goalNow(goal(40), null, 'higher', TODAY)).toEqual({
      state: 'open',
      reachedOn: null,
      expected: null,
    });
  });
});
