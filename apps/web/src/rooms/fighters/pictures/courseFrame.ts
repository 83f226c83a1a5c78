import type { CourseView } from '@eurhythm/contract';

const DAY = 86_400_000;
/** A picture of a course shows at least so many days, so that a single one stands at its date. */
const LEAST_DAYS = 28;
/** Room at either end, as a part of what is shown. */
const ROOM = 0.04;
/** A picture of values shows at least this part of their middle, so that a trial's own noise looks as small as it is. */
const LEAST_PART = 0.4;
/** Lines across a picture, about. */
const LINES = 5;

export const noonOf = (day: string): number => Date.parse(`${day}T12:00:00`);

/** From when to when the courses are shown, in milliseconds of the epoch. */
export function daysShown(courses: readonly CourseView[]): { readonly min: number; readonly max: number } {
  const days = courses.flatMap((course) => course.days.map(({ day }) => noonOf(day)));
  const [first, last] = [Math.min(...days), Math.max(...days)];
  const room = Math.max(ROOM * (last - first), (LEAST_DAYS * DAY - (last - first)) / 2, DAY);
  return { min: first - room, max: last + room };
}

/** From which value to which the courses are shown, with round lines between them. */
export function valuesShown(courses: readonly CourseView[]): {
  readonly min: number;
  readonly max: number;
  readonly interval: number;
} {
  const values = courses.flatMap(({ days, usual }) => [
    ...days.flatMap((day) => day.values),
    ...(usual ? [usual.low, usual.high] : []),
  ]);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const middle = (low + high) / 2;
  const half = Math.max((high - low) / 2, (LEAST_PART * middle) / 2);
  const interval = roundStep((2 * half) / LINES);
  const min = Math.max(0, Math.floor((middle - half) / interval) * interval);
  const max = Math.max(Math.ceil((middle + half) / interval) * interval, min + interval);
  return { min: tidy(min), max: tidy(max), interval };
}

/** The next of 1, 2, 5, 10 … and their tenths. */
function roundStep(least: number): number {
  if (least <= 0) return 1;
  const ten = 10 ** Math.floor(Math.log10(least));
  return tidy(ten * [1, 2, 5, 10].find((step) => step * ten >= least * (1 - 1e-9))!);
}

const tidy = (value: number): number => Number(value.toPrecision(12));
