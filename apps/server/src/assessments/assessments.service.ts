import {
  ConflictException,
  GoneException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { countOf, evaluateTrial, type HeardTrial } from '@eurhythm/core/speed';
import type { Lead } from '@eurhythm/core/moves';
import type {
  AttemptPage,
  AttemptView,
  PageQuery,
  SaveAttemptDto,
  SaveTestDto,
  TestView,
  TrialsView,
} from '@eurhythm/contract';
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { doneAt, type ClockOffset, type DoneAt } from '../http/deviceClock.ts';
import { pageLength, pageOf } from '../http/pages.ts';
import { refuseField } from '../http/refuse.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { attempts, recordings, removedAttempts, tests } from '../store/schema.ts';
import { goneMark } from '../store/goneMark.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { burstId, ownTestId } from './assessmentIds.ts';
import { attemptView, earlierCounts, saveable, valueOf } from './attemptRow.ts';
import { TRIAL_VALUE } from './trialValue.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

/** What is measured, and every trial of it. */
@Injectable()
export class AssessmentsService {
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
    const count = countOf(attempt, test);
    const value = valueOf(test, attempt);
    const done = doneAt(attempt.at, offset);
    const runId = attempt.runId ?? null;
    const row = { fighterId, runId, testId: test.id, lead, instants, said, measured, count, value, ...done };
    return this.database.transaction(async (tx) => {
      const [removed] = await tx
        .select()
        .from(removedAttempts)
        .where(eq(removedAttempts.id, goneMark(id)));
      if (removed) throw new GoneException('This trial was taken out; it stays out.');
      const [before] = await tx.select().from(attempts).where(eq(attempts.id, id)).for('update');
      // What was heard stays with a trial that is counted again by hand.
      const heard = attempt.heard ?? before?.heard ?? null;
      const kept = { id, ...row, heard, history: earlierCounts(before, row) };
      await tx.insert(attempts).values(kept).onConflictDoUpdate({ target: attempts.id, set: kept });
      return { kept: attemptView(kept, test, null), ...done };
    });
  }

  /**
   * Works a trial out again from what is kept of it, as the detector and the matcher are now; what it said before stays in its
   * history. @throws 409 where somebody counted it by hand, or nothing was heard of it.
   */
  async workOutAgain(
    id: string,
    heardAnew: (heard: HeardTrial) => Promise<HeardTrial>,
  ): Promise<AttemptView> {
    const before = await this.attempt(id);
    if (!before.heard)
      throw new ConflictException('Nothing was heard of this trial that could be worked out again.');
    if (before.measured === 'by-hand')
      throw new ConflictException('Somebody counted this trial by hand; that number stays.');
    const heard = await heardAnew(before.heard);
    const { instants, value } = evaluateTrial(before, heard);
    await this.database.transaction(async (tx) => {
      const [row] = await tx.select().from(attempts).where(eq(attempts.id, id)).for('update');
      if (!row) throw new NotFoundException('This trial does not exist.');
      const count = countOf({ instants }, before);
      const history = earlierCounts(row, { count, value, measured: row.measured, heard });
      await tx
        .update(attempts)
        .set({ instants: [...instants], value, count, heard, history })
        .where(eq(attempts.id, id));
    });
    return this.attempt(id);
  }

  /** The test that is named, or that of a kind, a line, a title and a length, which is made where there is none. */
  private async testOf(attempt: SaveAttemptDto): Promise<TestView> {
    const { testId, title = '', seconds = 0, kind = 'burst', line = null } = attempt;
    if (testId !== undefined) return this.one(testId);
    const id = kind === 'burst' ? burstId(title, seconds) : ownTestId(kind, line ?? title);
    const direction = kind === 'burst' ? 'higher' : 'lower';
    await this.database
      .insert(tests)
      .values({ id, title, kind, line, seconds, direction })
      .onConflictDoNothing();
    return this.one(id);
  }

  private async one(id: string): Promise<TestView> {
    const [test] = await this.database.select().from(tests).where(eq(tests.id, id));
    if (!test) throw refuseField('testId', 'This test does not exist. Choose another one.');
    return test;
  }

  async attempt(id: string): Promise<AttemptView> {
    const [row] = await this.viewed().where(eq(attempts.id, id));
    if (!row) throw new NotFoundException('This trial does not exist.');
    return attemptView(row.attempts, row.tests, row.recorded);
  }

  /** Trials with their tests, and how much sound is kept of each. */
  private viewed() {
    return this.database
      .select({ attempts, tests, recorded: recordings.seconds })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .leftJoin(recordings, eq(recordings.attemptId, attempts.id))
      .$dynamic();
  }

  /** Takes a trial out for good. */
  async removeAttempt(id: string): Promise<void> {
    await this.database.transaction(async (tx) => {
      await tx
        .insert(removedAttempts)
        .values({ id: goneMark(id), at: new Date() })
        .onConflictDoNothing();
      await tx.delete(attempts).where(eq(attempts.id, id));
    });
  }

  /** Takes trials out as part of a larger change; they may come again. */
  async takeOut(tx: Transaction, ids: readonly string[]): Promise<void> {
    if (ids.length > 0) await tx.delete(attempts).where(inArray(attempts.id, [...ids]));
  }

  /** The newest trials of a fighter, in the order of their times. */
  async newestOf(fighterId: string, most: number): Promise<AttemptView[]> {
    const rows = await this.viewed()
      .where(eq(attempts.fighterId, fighterId))
      .orderBy(desc(attempts.at), desc(attempts.id))
      .limit(most);
    return rows.map((row) => attemptView(row.attempts, row.tests, row.recorded)).reverse();
  }

  /** How many a fighter did in the bursts of some runs. */
  async inRuns(
    fighterId: string,
    runIds: readonly string[],
  ): Promise<
    {
      readonly runId: string | null;
      readonly title: string;
      readonly count: number;
      readonly lead: Lead;
      readonly at: Date;
    }[]
  > {
    const { runId, count, lead, at } = attempts;
    return this.database
      .select({ runId, title: tests.title, count, lead, at })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(and(eq(attempts.fighterId, fighterId), inArray(runId, [...runIds]), eq(tests.kind, 'burst')))
      .orderBy(asc(attempts.at), asc(attempts.id));
  }

  /** A page of a fighter's trials, newest first. */
  async pageOf(fighterId: string, query: PageQuery): Promise<AttemptPage> {
    await this.fighters.one(fighterId);
    const length = pageLength(query);
    const after =
      query.after === undefined
        ? undefined
        : sql`(${attempts.at}, ${attempts.id}) < (select at, id from attempts where id = ${query.after})`;
    const rows = await this.viewed()
      .where(and(eq(attempts.fighterId, fighterId), after))
      .orderBy(desc(attempts.at), desc(attempts.id))
      .limit(length + 1);
    return pageOf(
      rows.map((row) => attemptView(row.attempts, row.tests, row.recorded)),
      length,
    );
  }

  /** Best, median and number of trials of each test and lead of a fighter, what was told apart from what was seen, in the order in which they were first done. */
  async trialsOf(fighterId: string): Promise<TrialsView[]> {
    const first = sql<Date>`min(${attempts.at})`;
    const selfReported = sql<boolean>`(${attempts.measured} = 'self-reported')`;
    return this.database
      .select({
        testId: tests.id,
        title: tests.title,
        kind: tests.kind,
        lead: attempts.lead,
        best: sql<number>`case when ${tests.direction} = 'higher' then max(${TRIAL_VALUE}) else min(${TRIAL_VALUE}) end`.mapWith(
          Number,
        ),
        median: sql<number>`percentile_cont(0.5) within group (order by ${TRIAL_VALUE})`.mapWith(Number),
        trials: sql<number>`count(*)`.mapWith(Number),
        isSelfReported: selfReported.mapWith(Boolean),
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(and(eq(attempts.fighterId, fighterId), sql`${TRIAL_VALUE} is not null`))
      .groupBy(tests.id, tests.title, tests.kind, tests.direction, attempts.lead, selfReported)
      .orderBy(first, attempts.lead);
  }
}
