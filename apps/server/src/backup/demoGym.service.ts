import { Injectable } from '@nestjs/common';
import { eq, inArray, like } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { kindOf } from '@eurhythm/core/rounds';
import type { RoundDto } from '@eurhythm/contract';
import { EMPTY_GYM_GRADE, EMPTY_GYM_NAME } from '../demo/emptyGym.ts';
import { COMBOS, FIGHTERS, GRADES, GYM_NAME, TESTS } from '../demo/saltmarsh.ts';
import { FULL_CLASS } from '../demo/saltmarshClass.ts';
import { SESSIONS } from '../demo/saltmarshSessions.ts';
import { DEMO_PREFIX } from '../demo/demoLog.ts';
import type { Database, Transaction } from '../store/database.ts';
import * as schema from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AuditService } from './audit.service.ts';
import { readGym, type WholeGymFile } from '../exchange/gymFile/readGym.ts';

/** What of the demonstration goes, by its lists. */
interface DemoThings {
  readonly runs: readonly string[];
  readonly attempts: readonly string[];
  readonly sessions: readonly string[];
  readonly fighters: readonly string[];
  readonly combos: readonly string[];
  readonly tests: readonly string[];
  readonly themes: readonly string[];
  readonly seasons: readonly string[];
  readonly gradingDays: readonly string[];
  readonly grades: readonly string[];
}

/** The demonstration gym, and taking it out. */
@Injectable()
export class DemoGymService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly audit: AuditService,
  ) {}

  /** Whether anybody of the demonstration is here. */
  async isHere(): Promise<boolean> {
    const [one] = await this.database
      .select({ id: schema.fighters.id })
      .from(schema.fighters)
      .where(
        inArray(
          schema.fighters.id,
          FIGHTERS.map(({ id }) => id),
        ),
      )
      .limit(1);
    return one !== undefined;
  }

  /**
   * Takes the demonstration out: its log, people, sessions, combos, tests, themes, seasons, gradings and grades, but for what the gym has changed, or
   * needs for things of its own. Tells what stays, in words. A second time changes nothing.
   */
  async takeOut(): Promise<string[]> {
    return this.database.transaction(async (tx) => {
      const gym = await readGym(tx, new Date());
      const touched = await touchedIds(tx);
      const things = demoThings(gym, touched);
      await remove(tx, schema.attempts, schema.attempts.id, things.attempts);
      for (const table of [schema.gradings, schema.goals, schema.recalls]) {
        await tx.delete(table).where(like(table.id, `${DEMO_PREFIX}%`));
        await remove(tx, table, table.fighterId, things.fighters);
      }
      await remove(tx, schema.shownMarks, schema.shownMarks.fighterId, things.fighters);
      await remove(tx, schema.roundResults, schema.roundResults.runId, things.runs);
      await remove(tx, schema.runs, schema.runs.id, things.runs);
      await remove(tx, schema.sessions, schema.sessions.id, things.sessions);
      await remove(tx, schema.themes, schema.themes.id, things.themes);
      await remove(tx, schema.seasons, schema.seasons.id, things.seasons);
      await remove(tx, schema.gradingDays, schema.gradingDays.id, things.gradingDays);
      await remove(tx, schema.fighters, schema.fighters.id, things.fighters);
      await remove(tx, schema.comboVersions, schema.comboVersions.comboId, things.combos);
      await remove(tx, schema.combos, schema.combos.id, things.combos);
      await remove(tx, schema.tests, schema.tests.id, things.tests);
      await removeGrades(tx, gym, things.grades);
      if (gym.gym?.name === GYM_NAME) await tx.update(schema.gyms).set({ name: EMPTY_GYM_NAME });
      const isChange = Object.values(things).some((ids) => ids.length > 0);
      if (isChange) await this.audit.note('The demonstration gym was taken out.', tx);
      return stays(gym, things);
    });
  }
}

async function remove(
  tx: Transaction,
  table: PgTable,
  column: PgColumn,
  ids: readonly string[],
): Promise<void> {
  if (ids.length > 0) await tx.delete(table).where(inArray(column, [...ids]));
}

/** Ids of things that were changed since they were brought in. */
async function touchedIds(tx: Transaction): Promise<ReadonlySet<string>> {
  const lists = await Promise.all(
    [
      schema.combos,
      schema.sessions,
      schema.fighters,
      schema.tests,
      schema.themes,
      schema.seasons,
      schema.gradingDays,
    ].map((table) => tx.select({ id: table.id, version: table.version }).from(table as typeof schema.combos)),
  );
  return new Set(
    lists
      .flat()
      .filter(({ version }) => version > 1)
      .map(({ id }) => id),
  );
}

const isDemoLog = (id: string): boolean => id.startsWith(DEMO_PREFIX);
const isOwn = ({ id }: { readonly id: string }): boolean => !isDemoLog(id);

interface Named {
  readonly id: string;
}

const idsOf = (all: readonly Named[]): ReadonlySet<string> => new Set(all.map(({ id }) => id));

/** What of the demonstration nothing of the gym's own needs: first what needs most, then what only that needed. */
function demoThings(gym: WholeGymFile, touched: ReadonlySet<string>): DemoThings {
  const goes = (all: readonly Named[], demo: readonly Named[], needed: Iterable<string>): string[] => {
    const [ours, stays] = [idsOf(demo), new Set(needed)];
    return all.map(({ id }) => id).filter((id) => ours.has(id) && !touched.has(id) && !stays.has(id));
  };
  const own = ownOf(gym);
  const sessions = goes(
    gym.sessions,
    [...SESSIONS, FULL_CLASS],
    [
      ...own.runs.map(({ sessionId }) => sessionId),
      // Somebody of the gym's own comes to it.
      ...gym.sheets.map(({ sessionId }) => sessionId),
    ],
  );
  const fighters = goes(gym.fighters, FIGHTERS, fightersNeeded(gym, own));
  const staying = {
    sessions: gym.sessions.filter(({ id }) => !sessions.includes(id)),
    fighters: gym.fighters.filter(({ id }) => !fighters.includes(id)),
  };
  const ownGrades = new Set(gym.grades.filter(({ id }) => !idsOf(GRADES).has(id)).map(({ id }) => id));
  const asked = gym.requirements
    .filter(({ gradeId }) => ownGrades.has(gradeId))
    .flatMap(({ requirements }) => requirements);
  const combos = goes(gym.combos, COMBOS, [
    ...asked.flatMap(({ comboId }) => comboId ?? []),
    ...[...staying.sessions, ...gym.library].flatMap(({ rounds }) => namedIn(rounds)),
    ...gym.techniques
      .filter(({ gradeId }) => ownGrades.has(gradeId))
      .flatMap(({ techniques }) => techniques.flatMap(({ comboId }) => comboId ?? [])),
  ]);
  const tested = [...own.attempts, ...own.goals, ...asked];
  return {
    runs: gym.runs.map(({ id }) => id).filter(isDemoLog),
    attempts: gym.attempts.map(({ id }) => id).filter(isDemoLog),
    sessions,
    fighters,
    combos,
    tests: goes(
      gym.tests,
      TESTS,
      tested.flatMap(({ testId }) => testId ?? []),
    ),
    themes: gym.themes.map(({ id }) => id).filter((id) => isDemoLog(id) && !touched.has(id)),
    seasons: gym.seasons.map(({ id }) => id).filter((id) => isDemoLog(id) && !touched.has(id)),
    gradingDays: gym.gradingDays.map(({ id }) => id).filter((id) => isDemoLog(id) && !touched.has(id)),
    grades: goes(gym.grades, GRADES, [
      ...gym.combos.filter(({ id }) => !combos.includes(id)).map(({ gradeId }) => gradeId),
      ...staying.fighters.map(({ gradeId }) => gradeId),
      ...staying.sessions.flatMap(({ groups = [] }) => groups.flatMap(({ gradeIds }) => gradeIds)),
    ]),
  };
}

/** What the gym logged itself. */
const ownOf = ({ runs, attempts, goals, gradings, recalls, results }: WholeGymFile) => ({
  runs: runs.filter(isOwn),
  attempts: attempts.filter(isOwn),
  goals: goals.filter(isOwn),
  learnt: [...gradings, ...recalls].filter(isOwn),
  results: results.filter(({ runId }) => !isDemoLog(runId)),
});

function fightersNeeded(gym: WholeGymFile, own: ReturnType<typeof ownOf>): string[] {
  const logged = [...own.learnt, ...own.goals, ...own.results, ...own.attempts];
  return [
    ...logged.map(({ fighterId }) => fighterId),
    ...own.runs.flatMap(({ fighterIds }) => fighterIds),
    ...gym.sheets.flatMap(({ sheet }) => sheet.present.map(({ fighterId }) => fighterId)),
  ];
}

function namedIn(rounds: readonly RoundDto[]): string[] {
  return rounds
    .flatMap(({ blocks }) => blocks)
    .flatMap((block) =>
      kindOf(block)
        .named(block)
        .map(({ comboId }) => comboId),
    );
}

/** Takes grades out with their lists and limits; a gym always has one. */
async function removeGrades(tx: Transaction, gym: WholeGymFile, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  if (ids.length === gym.grades.length)
    await tx
      .insert(schema.grades)
      .values({ ...EMPTY_GYM_GRADE, position: 0 })
      .onConflictDoNothing();
  for (const { code, move } of await tx.select().from(schema.moves))
    if (move.minGrade !== null && ids.includes(move.minGrade))
      await tx
        .update(schema.moves)
        .set({ move: { ...move, minGrade: null } })
        .where(eq(schema.moves.code, code));
  const school = gym.gym?.school;
  if (school)
    await tx
      .update(schema.gyms)
      .set({ school: { ...school, youth: school.youth.filter(({ gradeId }) => !ids.includes(gradeId)) } });
  await remove(tx, schema.grades, schema.grades.id, ids);
}

/** What of the demonstration stays, counted: the gym changed it, or needs it. */
function stays(gym: WholeGymFile, things: DemoThings): string[] {
  const left = (
    one: string,
    many: string,
    all: readonly { readonly id: string }[],
    demo: readonly { readonly id: string }[],
    gone: readonly string[],
  ): string[] => {
    const ids = new Set(demo.map(({ id }) => id));
    const n = all.filter(({ id }) => ids.has(id) && !gone.includes(id)).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? one : many}`];
  };
  return [
    ...left('fighter', 'fighters', gym.fighters, FIGHTERS, things.fighters),
    ...left('session', 'sessions', gym.sessions, [...SESSIONS, FULL_CLASS], things.sessions),
    ...left('combo', 'combos', gym.combos, COMBOS, things.combos),
    ...left('test', 'tests', gym.tests, TESTS, things.tests),
    ...left('grade', 'grades', gym.grades, GRADES, things.grades),
  ];
}
