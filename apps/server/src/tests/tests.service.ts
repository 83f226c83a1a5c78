import { createHash } from 'node:crypto';
import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { summariseBurst } from '@eurhythm/core/speed';
import type {
  AttemptView,
  BestBurstView,
  SaveAttemptDto,
  SaveTestDto,
  TestView,
  TrialsView,
} from '@eurhythm/contract';
import { asc, desc, eq, sql } from 'drizzle-orm';
import { refuseField } from '../house/refuse.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import type { Database } from '../store/openStore.ts';
import { attempts, fighters, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

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
  async save(id: string, { title, kind, line, seconds, direction }: SaveTestDto): Promise<TestView> {
    const row = { title, kind, line, seconds, direction };
    await this.database
      .insert(tests)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: tests.id, set: row });
    return { id, ...row };
  }

  /** Keeps a trial; the same request again changes nothing. */
  async saveAttempt(id: string, attempt: SaveAttemptDto): Promise<AttemptView> {
    const [fighter] = await this.fighters.some([attempt.fighterId]);
    if (!fighter) throw new UnprocessableEntityException('This fighter is not in the gym.');
    const test = await this.testOf(attempt);
    const { fighterId, lead, instants } = attempt;
    const { count } = summariseBurst(instants, test.seconds);
    const runId = attempt.runId ?? null;
    const row = { fighterId, runId, testId: test.id, lead, instants, count, at: new Date(attempt.at) };
    await this.database
      .insert(attempts)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: attempts.id, set: row });
    return attemptView({ id, ...row }, test);
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

  async removeAttempt(id: string): Promise<void> {
    await this.database.delete(attempts).where(eq(attempts.id, id));
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

  /** Best, median and number of trials of each test and lead of a fighter, in the order in which they were first done. */
  async trialsOf(fighterId: string): Promise<TrialsView[]> {
    const first = sql<Date>`min(${attempts.at})`;
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
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(eq(attempts.fighterId, fighterId))
      .groupBy(tests.id, tests.title, tests.direction, attempts.lead)
      .orderBy(first, attempts.lead);
  }

  /** Newest trials since an instant that were better than all before them, the newest first. */
  async bestSince(since: Date, most: number): Promise<BestBurstView[]> {
    const ranked = this.database.$with('ranked').as(
      this.database
        .select({
          fighterId: attempts.fighterId,
          testId: attempts.testId,
          lead: attempts.lead,
          count: attempts.count,
          at: attempts.at,
          before:
            sql<number>`max(${attempts.count}) over (partition by ${attempts.fighterId}, ${attempts.testId}, ${attempts.lead} order by ${attempts.at}, ${attempts.id} rows between unbounded preceding and 1 preceding)`.as(
              'before',
            ),
          newer:
            sql<number>`row_number() over (partition by ${attempts.fighterId}, ${attempts.testId}, ${attempts.lead} order by ${attempts.at} desc, ${attempts.id} desc)`.as(
              'newer',
            ),
          trials:
            sql<number>`count(*) over (partition by ${attempts.fighterId}, ${attempts.testId}, ${attempts.lead})`.as(
              'trials',
            ),
        })
        .from(attempts),
    );
    const rows = await this.database
      .with(ranked)
      .select({
        fighterId: ranked.fighterId,
        name: fighters.name,
        title: tests.title,
        lead: ranked.lead,
        count: ranked.count,
        before: ranked.before,
        trials: ranked.trials,
        at: ranked.at,
      })
      .from(ranked)
      .innerJoin(fighters, eq(ranked.fighterId, fighters.id))
      .innerJoin(tests, eq(ranked.testId, tests.id))
      .where(
        sql`${ranked.newer} = 1 and ${ranked.count} > ${ranked.before} and ${ranked.at} >= ${since.toISOString()}::timestamptz and ${tests.direction} = 'higher'`,
      )
      .orderBy(desc(ranked.at))
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

function attemptView(row: AttemptRow, { title, seconds }: TestView): AttemptView {
  const perSecond = row.count / seconds;
  return { ...row, title, seconds, at: row.at.toISOString(), perSecond };
}
