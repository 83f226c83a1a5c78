import type { Course } from './trials/course.ts';
import type { Better } from './trials/dayTrials.ts';

export interface Goal {
  readonly value: number;
  /** Days like 2026-03-05. */
  readonly by: string;
  readonly setOn: string;
}

export interface GoalNow {
  readonly state: 'reached' | 'on the way' | 'not on the way' | 'open' | 'over';
  /** The first day since it was set on which the middle of the trials was there. */
  readonly reachedOn: string | null;
  /** What the trend comes to on the day, and its interval; null without a trend. */
  readonly expected: { readonly value: number; readonly from: number; readonly to: number } | null;
}

const DAY = 86_400_000;
const PER_DAYS = 28;

/**
 * A goal against what was done since and the trend. It is reached by a day of which half the trials are there: one lucky trial is no
 * goal. "On the way" where the whole interval of the trend gets there, "not on the way" where none of it does.
 *
 * @example
 * goalNow({ value: 25, by: '2026-06-01', setOn: '2026-03-01' }, null, 'higher', '2026-04-01').state // 'open'
 */
export function goalNow(goal: Goal, course: Course | null, better: Better, today: string): GoalNow {
  const isThere = (value: number): boolean =>
    better === 'higher' ? value >= goal.value : value <= goal.value;
  const since = (course?.days ?? []).filter(({ day }) => day >= goal.setOn);
  const reachedOn =
    since.find(({ values }) => 2 * values.filter(isThere).length >= values.length)?.day ?? null;
  const slope = course?.trend ?? null;
  const ahead = Math.max(0, (Date.parse(goal.by) - Date.parse(today)) / DAY / PER_DAYS);
  const then = (perFourWeeks: number): number => slope!.level + perFourWeeks * ahead;
  const expected = slope && {
    value: then(slope.perFourWeeks),
    from: then(slope.from),
    to: then(slope.to),
  };
  if (reachedOn !== null) return { state: 'reached', reachedOn, expected };
  if (today > goal.by) return { state: 'over', reachedOn, expected };
  if (!expected) return { state: 'open', reachedOn, expected };
  const there = [expected.from, expected.to].filter(isThere).length;
  return { state: there === 2 ? 'on the way' : there === 0 ? 'not on the way' : 'open', reachedOn, expected };
}
