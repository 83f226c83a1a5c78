import {
  betweenDates,
  course,
  courseNotes,
  evenCourses,
  evennessSentence,
  valueText,
  trendSentence,
  verdictSentence,
  type Compared,
  type Course,
  type TypicalError,
} from '@eurhythm/core/progress';
import { MEASURED } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { BetweenQuery, CourseView, EvennessView, VerdictView } from '@eurhythm/contract';
import { errorKey, type TestTrials } from './trials.service.ts';

type Errors = ReadonlyMap<string, TypicalError>;

/** Courses that were worked out, by their trials, and from what else. */
const known = new WeakMap<TestTrials['trials'], { readonly from: string; readonly course: Course | null }>();

/** A fighter's course in a test, with the gym's error of the way in which it was counted most. The same trials are worked out once a day. */
export function courseOf(
  { trials, better, testId }: TestTrials,
  errors: Errors,
  today: string,
): Course | null {
  const ways = MEASURED.map((way) => errors.get(errorKey(testId, way)) ?? null);
  const from = JSON.stringify([today, better, ways]);
  const kept = known.get(trials);
  if (kept?.from === from) return kept.course;
  const found = course(trials, { better, today, errorOf: (way) => ways[MEASURED.indexOf(way)] ?? null });
  known.set(trials, { from, course: found });
  return found;
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
  const textOf = valueText(kind);
  const values = days.flatMap((day) => day.values);
  const said = (compared: Compared | null): VerdictView | null =>
    compared && { ...compared, sentence: verdictSentence(compared, textOf) };
  const error = typicalError === null ? null : { error: typicalError, degreesOfFreedom: Infinity };
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
    trendSentence: trendSentence(found.trend, textOf),
    usual: found.usual,
    outliers: found.outliers,
    notes: courseNotes(found, textOf),
  };
}

/** How even the two leads are in each test that was done from both in the same way. */
export function evennessViews(all: readonly TestTrials[], errors: Errors, today: string): EvennessView[] {
  return [...groupBy(all, ({ testId }) => testId).values()].flatMap((both) => {
    const [left, right] = (['left', 'right'] as const).map((lead) => {
      const of = both.find((each) => each.lead === lead);
      return of ? courseOf(of, errors, today) : null;
    });
    const { testId, title, better } = both[0]!;
    const found = evenCourses(left!, right!, better);
    return found ? [{ testId, title, ...found, sentence: evennessSentence(found) }] : [];
  });
}
