import { createHash } from 'node:crypto';
import { GoneException, Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { countOf, type EarlierCount } from '@eurhythm/core/speed';
import type {
  AttemptPage,
  AttemptView,
  BestBurstView,
  PageQuery,
  SaveAttemptDto,
  SaveTestDto,
  TestView,
  TrialsView,
} from '@eurhythm/contract';
import { and, asc, desc, eq, gte, inArray, ne, sql } from 'drizzle-orm';
import { doneAt, type ClockOffset, type DoneAt } from '../house/deviceClock.ts';
import { pageLength, pageOf } from '../house/pages.ts';
import { refuseField } from '../house/refuse.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { attempts, fighters, removedAttempts, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

/** What is measured, and every trial of it. */
@Injectable()
export class TestsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
  ) {}

  list(): Promise<TestView[]> {
    return this.database.select().from(tests).orderBy(asc(tests.title), asc(tests.seconds));
  }

  /** Makes or changes a test; the same request again changes nothing. */
  save(id: string, test: SaveTestDto, basedOn?: number): Promise<TestView> {
    return saveVersioned(this.database, tests, {
      key: 'id',
      id,
      row: saveable(test),
      contentOf: saveable,
      basedOn,
      now: () => this.one(id),
    });
  }

  /** Writes the lines of tests anew as part of a larger change. */
  async changeLines(tx: Transaction, change: (line: string) => string | null): Promise<void> {
    for (const { id, line: before, version } of await tx.select().from(tests).for('update')) {
      const line = before === null ? null : change(before);
      if (line === null) continue;
      await tx
        .update(tests)
        .set({ line, version: version + 1 })
        .where(eq(tests.id, id));
    }
  }

  /**
   * Keeps a trial, and gives it with when it was done; the same request again changes nothing. @throws 410 where it was taken
   * out: it stays out.
   */
  async saveAttempt(
    id: string,
    attempt: SaveAttemptDto,
    offset: ClockOffset,
  ): Promise<DoneAt & { readonly kept: AttemptView }> {
    const [fighter] = await this.fighters.some([attempt.fighterId]);
    if (!fighter) throw new UnprocessableEntityException('This fighter is not in the gym.');
    const test = await this.testOf(attempt);
    const { fighterId, lead, instants, said = null, measured = 'taps' } = attempt;
    const count = countOf(attempt, test.seconds);
    const done = doneAt(attempt.at, offset);
    const runId = attempt.runId ?? null;
    const row = { fighterId, runId, testId: test.id, lead, instants, said, measured, count, ...done };
    return this.database.transaction(async (tx) => {
      const [removed] = await tx.select().from(removedAttempts).where(eq(removedAttempts.id, id));
      if (removed) throw new GoneException('This trial was taken out; it stays out.');
      const [before] = await tx.select().from(attempts).where(eq(attempts.id, id)).for('update');
      // What was heard stays with a trial that is counted again by hand.
      const heard = attempt.heard ?? before?.heard ?? null;
      const kept = { id, ...row, heard, history: earlierCounts(before, row) };
      await tx.insert(attempts).values(kept).onConflictDoUpdate({ target: attempts.id, set: kept });
      return { kept: attemptView(kept, test), ...done };
    });
  }

  /** The test that is named, or the burst of a title and a length. */
  private async testOf({ testId, title = '', seconds = 0 }: SaveAttemptDto): Promise<TestView> {
    if (testId === undefined) {
      const id = burstId(title, seconds);
      await this.database
        .insert(tests)
        .values({ id, title, kind: 'burst', line: null, seconds, direction: 'higher' })
        .onConflictDoNothing();
      return this.one(id);
    }
    return this.one(testId);
  }

  private async one(id: string): Promise<TestView> {
    const [test] = await this.database.select().from(tests).where(eq(tests.id, id));
    if (!test) throw refuseField('testId', 'This test does not exist. Choose another one.');
    return test;
  }

  async attempt(id: string): Promise<AttemptView> {
    const [row] = await this.database
      .select()
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(eq(attempts.id, id));
    if (!row) throw new NotFoundException('This trial does not exist.');
    return attemptView(row.attempts, row.tests);
  }

  /** Takes a trial out for good. */
  async removeAttempt(id: string): Promise<void> {
    await this.database.transaction(async (tx) => {
      await tx.insert(removedAttempts).values({ id, at: new Date() }).onConflictDoNothing();
      await tx.delete(attempts).where(eq(attempts.id, id));
    });
  }

  /** Takes trials out as part of a larger change; they may come again. */
  async takeOut(tx: Transaction, ids: readonly string[]): Promise<void> {
    if (ids.length > 0) await tx.delete(attempts).where(inArray(attempts.id, [...ids]));
  }

  /** The newest trials of a fighter, in the order of their times. */
  async newestOf(fighterId: string, most: number): Promise<AttemptView[]> {
    const rows = await this.database
      .select()
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(eq(attempts.fighterId, fighterId))
      .orderBy(desc(attempts.at), desc(attempts.id))
      .limit(most);
    return rows.map((row) => attemptView(row.attempts, row.tests)).reverse();
  }

  /** A page of a fighter's trials, newest first. */
  async pageOf(fighterId: string, query: PageQuery): Promise<AttemptPage> {
    await this.fighters.one(fighterId);
    const length = pageLength(query);
    const after =
      query.after === undefined
        ? undefined
        : sql`(${attempts.at}, ${attempts.id}) < (select at, id from attempts where id = ${query.after})`;
    const rows = await this.database
      .select()
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(and(eq(attempts.fighterId, fighterId), after))
      .orderBy(desc(attempts.at), desc(attempts.id))
      .limit(length + 1);
    return pageOf(
      rows.map((row) => attemptView(row.attempts, row.tests)),
      length,
    );
  }

  /** Best, median and number of trials of each test and lead of a fighter, what was told apart from what was seen, in the order in which they were first done. */
  async trialsOf(fighterId: string): Promise<TrialsView[]> {
    const first = sql<Date>`min(${attempts.at})`;
    const told = sql<boolean>`(${attempts.measured} = 'self-reported')`;
    return this.database
      .select({
        testId: tests.id,
        title: tests.title,
        lead: attempts.lead,
        best: sql<number>`case when ${tests.direction} = 'higher' then max(${attempts.count}) else min(${attempts.count}) end`.mapWith(
          Number,
        ),
        median: sql<number>`percentile_cont(0.5) within group (order by ${attempts.count})`.mapWith(Number),
        trials: sql<number>`count(*)`.mapWith(Number),
        isSelfReported: told.mapWith(Boolean),
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(eq(attempts.fighterId, fighterId))
      .groupBy(tests.id, tests.title, tests.direction, attempts.lead, told)
      .orderBy(first, attempts.lead);
  }

  /** Newest trials since an instant that were better than all before them, the newest first. */
  async bestSince(since: Date, most: number): Promise<BestBurstView[]> {
    const newest = this.database.$with('newest').as(
      this.database
        .selectDistinctOn([attempts.fighterId, attempts.testId, attempts.lead])
        .from(attempts)
        .where(and(gte(attempts.at, since), ne(attempts.measured, 'self-reported')))
        .orderBy(attempts.fighterId, attempts.testId, attempts.lead, desc(attempts.at), desc(attempts.id)),
    );
    // Only of those who did something lately is looked at what was before.
    const same = sql`from ${attempts} old where old.fighter_id = ${newest.fighterId} and old.test_id = ${newest.testId} and old.lead = ${newest.lead} and old.measured <> 'self-reported'`;
    const before = sql<number>`(select max(old.count) ${same} and (old.at, old.id) < (${newest.at}, ${newest.id}))`;
    const rows = await this.database
      .with(newest)
      .select({
        fighterId: newest.fighterId,
        name: fighters.name,
        title: tests.title,
        lead: newest.lead,
        count: newest.count,
        before,
        trials: sql<number>`(select count(*) ${same})`,
        at: newest.at,
      })
      .from(newest)
      .innerJoin(fighters, eq(newest.fighterId, fighters.id))
      .innerJoin(tests, eq(newest.testId, tests.id))
      .where(and(eq(tests.direction, 'higher'), sql`${newest.count} > ${before}`))
      .orderBy(desc(newest.at))
      .limit(most);
    return rows.map((row) => ({
      ...row,
      before: Number(row.before),
      trials: Number(row.trials),
      at: row.at.toISOString(),
    }));
  }
}

/** Id of the burst of a title and a length: the same for everybody who means the same. */
export function burstId(title: string, seconds: number): string {
  return `burst-${createHash('md5').update(`${title}/${seconds}`).digest('hex')}`;
}

type AttemptRow = typeof attempts.$inferSelect;

/** What a trial said before it says something else. */
function earlierCounts(
  before: AttemptRow | undefined,
  { count, measured }: Pick<AttemptRow, 'count' | 'measured'>,
): EarlierCount[] {
  if (!before) return [];
  if (before.count === count && before.measured === measured) return before.history;
  return [...before.history, { count: before.count, measured: before.measured, at: before.at.toISOString() }];
}

function saveable({ title, kind, line, seconds, direction }: SaveTestDto): SaveTestDto {
  return { title, kind, line, seconds, direction };
}

function attemptView(row: AttemptRow, { title, seconds }: TestView): AttemptView {
  const perSecond = row.count / seconds;
  const first = row.history[0]?.count ?? null;
  return { ...row, title, seconds, at: row.at.toISOString(), first, perSecond };
}
