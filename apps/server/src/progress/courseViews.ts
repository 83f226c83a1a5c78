import {
  betweenDates,
  course,
  countedUnit,
  courseNotes,
  evenCourses,
  evennessSentence,
  valueText,
  trendSentence,
  verdictSentence,
  whyApart,
  type Compared,
  type Course,
} from '@eurhythm/core/progress';
import { MEASURED, type Measured } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { BetweenQuery, CourseView, EvennessView, VerdictView } from '@eurhythm/contract';
import { errorKey, type GymError, type GymErrors, type TestTrials } from './trials.service.ts';

/** Courses that were worked out, by their trials, and from what else. */
const known = new WeakMap<TestTrials['trials'], { readonly from: string; readonly course: Course | null }>();

/** A fighter's course in a test, with the gym's error of the way in which it was counted most. The same trials are worked out once a day. */
export function courseOf(
  { trials, better, testId, worthwhile }: TestTrials,
  errors: GymErrors,
  today: string,
): Course | null {
  const ofWay = (way: Measured): GymError | undefined => errors.get(errorKey(testId, way));
  const from = JSON.stringify([today, better, worthwhile, MEASURED.map(ofWay)]);
  const kept = known.get(trials);
  if (kept?.from === from) return kept.course;
  const errorOf = (way: Measured) => ofWay(way)?.trial ?? null;
  const spreadOf = (way: Measured) => ofWay(way)?.days ?? null;
  const found = course(trials, { better, today, errorOf, spreadOf, worthwhile });
  known.set(trials, { from, course: found });
  return found;
}

/** As the page shows it. */
export function courseView(
  of: TestTrials,
  errors: GymErrors,
  today: string,
  { from, to }: BetweenQuery,
): CourseView | null {
  const found = courseOf(of, errors, today);
  if (!found) return null;
  const { testId, title, kind, unit, seconds, sides, lead, better, worthwhile } = of;
  const { days, typicalError } = found;
  const textOf = valueText(kind, unit);
  const values = days.flatMap((day) => day.values);
  const said = (compared: Compared | null): VerdictView | null =>
    compared && { ...compared, sentence: verdictSentence(compared, textOf, countedUnit(of)) };
  const error = typicalError === null ? null : { error: typicalError, degreesOfFreedom: Infinity };
  const asked = from !== undefined && to !== undefined;
  return {
    testId,
    title,
    kind,
    unit,
    seconds,
    sides,
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
    between: asked
      ? said(betweenDates(days, { better, worthwhile, typicalError: error, spread: found.spread }, from, to))
      : null,
    trend: found.trend,
    trendSentence: trendSentence(found.trend, textOf),
    usual: found.usual,
    outliers: found.outliers,
    notes: [
      ...[whyApart(found.month?.verdict ?? null, found.trend?.way ?? null)].filter((why) => why !== ''),
      ...courseNotes(found, textOf),
    ],
  };
}

/** How even the two leads are in each test that was done from both in the same way. */
export function evennessViews(all: readonly TestTrials[], errors: GymErrors, today: string): EvennessView[] {
  return [...groupBy(all, ({ testId }) => testId).values()].flatMap((both) => {
    const [left, right] = (['left', 'right'] as const).map((lead) => {
      const of = both.find((each) => each.lead === lead);
      return of ? courseOf(of, errors, today) : null;
    });
    const { testId, title, sides, better } = both[0]!;
    const found = evenCourses(left!, right!, better);
    return found ? [{ testId, title, ...found, sentence: evennessSentence(found, sides) }] : [];
  });
}
