import {
  betweenDates,
  course,
  courseNotes,
  evenness,
  trendSentence,
  verdictSentence,
  type Compared,
  type Course,
  type ToldValue,
  type TypicalError,
} from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import type { BetweenQuery, CourseView, EvennessView, VerdictView } from '@eurhythm/contract';
import { errorKey, type TestTrials } from './trials.service.ts';

type Errors = ReadonlyMap<string, TypicalError>;

/** How a value of a test is told: a count, or seconds. */
export const toldValue =
  (kind: TestTrials['kind']): ToldValue =>
  (value) =>
    kind === 'burst' ? String(Math.round(10 * value) / 10) : `${value.toFixed(value < 0.1 ? 3 : 2)} s`;

/** A fighter's course in a test, with the gym's error of the way in which it was counted most. */
export function courseOf(
  { trials, better, testId }: TestTrials,
  errors: Errors,
  today: string,
): Course | null {
  return course(trials, { better, today, errorOf: (way) => errors.get(errorKey(testId, way)) ?? null });
}

/** As the page shows it. */
export function courseView(
  of: TestTrials,
  errors: Errors,
  today: string,
  { from, to }: BetweenQuery,
): CourseView | null {
  const found = courseOf(of, errors, today);
  if (!found) return null;
  const { testId, title, kind, lead, better } = of;
  const { days, typicalError } = found;
  const told = toldValue(kind);
  const values = days.flatMap((day) => day.values);
  const said = (compared: Compared | null): VerdictView | null =>
    compared && { ...compared, sentence: verdictSentence(compared, told) };
  const error = typicalError === null ? null : { error: typicalError, freedom: Infinity };
  const asked = from !== undefined && to !== undefined;
  return {
    testId,
    title,
    kind,
    lead,
    better,
    measured: found.measured,
    otherWays: found.otherWays,
    days,
    trials: values.length,
    best: better === 'higher' ? Math.max(...values) : Math.min(...values),
    typicalError,
    learning: found.learning,
    last: said(found.last),
    month: said(found.month),
    between: asked ? said(betweenDates(days, better, error, from, to)) : null,
    trend: found.trend,
    trendSentence: trendSentence(found.trend, told),
    usual: found.usual,
    aside: found.aside,
    notes: courseNotes(found, told),
  };
}

/** Days of the leads are held against each other over so many of the last days of each. */
const LATEST = 6;

/** How even the two leads are in each test that was done from both in the same way. */
export function evennessViews(courses: readonly CourseView[]): EvennessView[] {
  return [...groupBy(courses, ({ testId }) => testId).values()].flatMap((both) => {
    const [left, right] = (['left', 'right'] as const).map((lead) => both.find((each) => each.lead === lead));
    if (!left || !right || left.measured !== right.measured) return [];
    const valuesOf = ({ days }: CourseView): number[] =>
      days.slice(-LATEST).flatMap(({ values }) => [...values]);
    const error = Math.max(left.typicalError ?? 0, right.typicalError ?? 0) || null;
    const { testId, title, better } = left;
    const found = evenness({ left: valuesOf(left), right: valuesOf(right) }, error, better);
    if (!found) return [];
    const by = `${Math.abs(found.percent).toFixed(0)} %`;
    const ends = [Math.abs(found.from), Math.abs(found.to)]
      .sort((a, b) => a - b)
      .map((end) => end.toFixed(0));
    const least = found.behind ? ends[0]! : '0';
    const range = `${least} to ${ends[1]!} % in nine of ten cases, ${found.trials.left} and ${found.trials.right} trials`;
    const sentence = found.behind
      ? `The ${found.behind} lead is behind by ${by} (${range}): begin and end with it, and give it one round more.`
      : `No real difference: ${by} (${range}).`;
    return [{ testId, title, ...found, sentence }];
  });
}
