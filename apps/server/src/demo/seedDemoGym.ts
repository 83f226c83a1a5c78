import { STARTER_NUMBERS, starterMovesFor } from '@eurhythm/core/moves';
import { sessionSeconds, unrollRounds } from '@eurhythm/core/plan';
import { STARTER_SCHOOL_SETTINGS } from '@eurhythm/contract';
import { addDays, endOfMonth, format, startOfMonth, startOfWeek } from 'date-fns';
import type { Database } from '../store/database.ts';
import { putRows } from '../store/putRows.ts';
import * as schema from '../store/schema.ts';
import { comboTestId } from '../assessments/assessmentIds.ts';
import { demoLog } from './demoLog.ts';
import { HEARD_COMBOS } from './heardTrials.ts';
import { COMBOS, FIGHTERS, GRADES, GYM_NAME, KIT, TESTS, YOUTH } from './saltmarsh.ts';
import { FULL_CLASS } from './saltmarshClass.ts';
import { REQUIREMENTS, demoGrades } from './saltmarshGrades.ts';
import { SESSIONS } from './saltmarshSessions.ts';
import { TECHNIQUES } from './saltmarshTechniques.ts';

const DAY = 86_400_000;
/** How long the first combo of each grade takes. */
const COMBO_TESTS = HEARD_COMBOS.map(({ line, called }) => ({
  id: comboTestId(line),
  title: called,
  kind: 'combo-time' as const,
  line,
  seconds: 10,
  direction: 'lower' as const,
}));
const ADULT_GRADES = GRADES.filter(({ band }) => band === 'adults').map(({ id }) => id);

/** Fills an empty database with the starter move book and the demo gym; all or nothing. */
export async function seedDemoGym(database: Database, now: Date): Promise<void> {
  const log = demoLog(now);
  await database.transaction(async (tx) => {
    await tx.insert(schema.gyms).values({
      id: 'gym',
      name: GYM_NAME,
      school: { ...STARTER_SCHOOL_SETTINGS, kit: KIT, repetitions: 2000, youth: YOUTH },
    });
    await tx.insert(schema.grades).values(GRADES.map((grade, position) => ({ ...grade, position })));
    await tx
      .insert(schema.moves)
      .values(starterMovesFor(ADULT_GRADES).map((move, position) => ({ code: move.code, position, move })));
    await tx.insert(schema.numbers).values([...STARTER_NUMBERS]);
    await tx.insert(schema.combos).values(COMBOS.map((combo) => ({ ...combo, updatedAt: now })));
    await tx
      .insert(schema.comboVersions)
      .values(COMBOS.map(({ id, ...combo }) => ({ comboId: id, at: now, combo })));
    await tx
      .insert(schema.techniqueLists)
      .values(Object.entries(TECHNIQUES).map(([gradeId, list]) => ({ gradeId, techniques: [...list] })));
    await tx.insert(schema.fighters).values(FIGHTERS.map(({ story: _, ...fighter }) => fighter));
    await tx.insert(schema.sessions).values(
      [...SESSIONS, FULL_CLASS].map(({ inDays, ...session }) => ({
        ...session,
        plannedFor: classTime(now, inDays),
        heldRounds: unrollRounds(session.rounds).length,
        seconds: sessionSeconds(session.rounds),
        updatedAt: now,
      })),
    );
    await tx.insert(schema.themes).values(themesAround(now));
    await tx.insert(schema.gradingDays).values(gradingAfter(now));
    await tx.insert(schema.seasons).values(seasonAround(now));
    await putRows(tx, schema.runs, log.runs);
    await putRows(tx, schema.runEvents, log.events);
    await putRows(tx, schema.runRounds, log.rounds);
    await putRows(tx, schema.runRoundCombos, log.combos);
    await putRows(tx, schema.roundResults, log.results);
    await tx
      .insert(schema.tests)
      .values([...TESTS.map(({ factor: _, isHeard: __, ...test }) => test), ...COMBO_TESTS]);
    await putRows(tx, schema.attempts, log.attempts);
    await tx
      .insert(schema.gradeRequirements)
      .values(Object.entries(REQUIREMENTS).map(([gradeId, list]) => ({ gradeId, requirements: [...list] })));
    const grading = demoGrades(now, new Set(log.combos.map(({ comboId }) => comboId)));
    await tx.insert(schema.shownMarks).values(grading.shown);
    await tx.insert(schema.gradings).values(grading.gradings);
    await tx.insert(schema.goals).values(grading.goals);
    await putRows(tx, schema.recalls, grading.recalls);
  });
}

/** Half past six in the evening, that many days from now; today's class is tomorrow's when it is over. */
function classTime(now: Date, inDays: number): Date {
  const at = new Date(now.getTime() + inDays * DAY);
  at.setHours(18, 30, 0, 0);
  return at.getTime() < now.getTime() ? new Date(at.getTime() + DAY) : at;
}

/** A theme for this week, from Monday, and one for the month around it. */
function themesAround(now: Date): (typeof schema.themes.$inferInsert)[] {
  const day = (date: Date): string => format(date, 'yyyy-MM-dd');
  const monday = startOfWeek(now, { weekStartsOn: 1 });
  return [
    { id: 'demo-week', title: 'Knees from both leads', from: day(monday), until: day(addDays(monday, 6)) },
    {
      id: 'demo-month',
      title: 'Clean before fast',
      from: day(startOfMonth(now)),
      until: day(endOfMonth(now)),
    },
  ];
}

/** Nine weeks from now those of Ebb and Slack are tested for the next grade. */
function gradingAfter(now: Date): typeof schema.gradingDays.$inferInsert {
  const next: Readonly<Record<string, string>> = { ebb: 'slack', slack: 'flood' };
  return {
    id: 'demo-grading',
    title: 'Grading of Ebb and Slack',
    day: format(addDays(startOfWeek(now, { weekStartsOn: 1 }), 7 * WEEKS_TO_GRADING + 5), 'yyyy-MM-dd'),
    candidates: FIGHTERS.flatMap(({ id, gradeId }) => {
      const grade = next[gradeId];
      return grade ? [{ fighterId: id, gradeId: grade }] : [];
    }),
  };
}
const WEEKS_TO_GRADING = 9;

/** The season that leads to it began three weeks ago. */
function seasonAround(now: Date): typeof schema.seasons.$inferInsert {
  const grading = gradingAfter(now);
  return {
    id: 'demo-season',
    title: 'To the next grading',
    from: format(addDays(startOfWeek(now, { weekStartsOn: 1 }), -21), 'yyyy-MM-dd'),
    until: grading.day,
    gradingDayId: grading.id,
    gradeIds: ['ebb', 'slack'],
    classes: [
      { weekday: 1, time: '19:00' },
      { weekday: 4, time: '19:00' },
    ],
    minutes: 60,
    edits: [],
  };
}
