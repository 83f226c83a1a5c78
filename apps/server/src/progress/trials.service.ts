import { Injectable } from '@nestjs/common';
import {
  worthwhileOf,
  type Better,
  type CourseTrial,
  type DaySpread,
  type TypicalError,
  type Worthwhile,
} from '@eurhythm/core/progress';
import type { Measured, TestSides, TrialKind } from '@eurhythm/core/speed';
import { and, asc, desc, eq, gte, inArray, ne, sql } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { attempts, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { TRIAL_VALUE } from '../assessments/trialValue.ts';
import { dayOf, localDay, weeksBefore } from './days.ts';
import { revisionOf, revisionOfGym } from './revisions.ts';

/** The trials of one fighter in one test from one lead. */
export interface TestTrials {
  readonly fighterId: string;
  readonly testId: string;
  readonly title: string;
  readonly kind: TrialKind;
  readonly unit: string | null;
  /** Of a burst. */
  readonly seconds: number;
  readonly sides: TestSides | null;
  readonly better: Better;
  /** A change below it is of no use. */
  readonly worthwhile: Worthwhile;
  readonly lead: 'left' | 'right';
  /** The oldest first. */
  readonly trials: readonly CourseTrial[];
}

/** A trial as the database puts it together: seconds of the epoch, what it came to, how it was counted. */
type TrialTuple = readonly [at: number, value: number, measured: Measured];

/** How much trials of a day differ over the gym, and how much days do beyond that; null where nobody repeated either. */
export interface GymError {
  readonly trial: TypicalError | null;
  readonly days: DaySpread | null;
}

/** By `errorKey`. */
export type GymErrors = ReadonlyMap<string, GymError>;

/** Trials as they were read; the same ones as long as none of them is another one. */
type Row = Pick<TestTrials, 'fighterId' | 'testId' | 'lead' | 'trials'>;

/** Whose trials are asked for, of which test, since when. */
interface Asked {
  readonly fighterId?: string;
  readonly testId?: string;
  readonly fighterIds?: readonly string[];
  readonly since?: Date;
}

const asksFor = ({ fighterId, testId, fighterIds, since }: Asked) => [
  fighterId === undefined ? undefined : eq(attempts.fighterId, fighterId),
  testId === undefined ? undefined : eq(attempts.testId, testId),
  fighterIds === undefined ? undefined : inArray(attempts.fighterId, [...fighterIds]),
  since === undefined ? undefined : gte(attempts.at, since),
];

/** So many askings are remembered: the fighters who are looked at on a day, and a class or two. */
const MOST_KEPT = 40;

/** The gym's typical error rests on the trials of a year. */
const GYM_WEEKS = 52;

/** The trials of the log as the core compares them. */
@Injectable()
export class TrialsService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** All trials of a fighter, by test and lead, the test with the most trials first. */
  async ofFighter(fighterId: string): Promise<TestTrials[]> {
    return (await this.read({ fighterId })).sort((a, b) => b.trials.length - a.trials.length);
  }

  /** The trials of one test by some since an instant, by fighter and lead. */
  ofTest(testId: string, fighterIds: readonly string[], since: Date): Promise<TestTrials[]> {
    return fighterIds.length === 0 ? Promise.resolve([]) : this.read({ testId, fighterIds, since });
  }

  /** All trials of some since an instant, by fighter, test and lead. */
  ofSome(fighterIds: readonly string[], since: Date): Promise<TestTrials[]> {
    return fighterIds.length === 0 ? Promise.resolve([]) : this.read({ fighterIds, since });
  }

  /** The tests with their trials since an instant, the most usual first. */
  async usualTests(since: Date): Promise<{ id: string; title: string; trials: number }[]> {
    const trials = sql<number>`count(*)`.mapWith(Number);
    return this.database
      .select({ id: tests.id, title: tests.title, trials })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(and(gte(attempts.at, since), ne(attempts.measured, 'self-reported')))
      .groupBy(tests.id)
      .orderBy(desc(trials), asc(tests.title));
  }

  /** What was asked for last, with its revision. */
  private readonly recent = new Map<string, { readonly from: string; readonly rows: readonly Row[] }>();

  private async read(asked: Asked): Promise<TestTrials[]> {
    const { fighterId, fighterIds = [fighterId!] } = asked;
    const from = await revisionOf(this.database, fighterIds);
    const key = JSON.stringify({ ...asked, since: asked.since && dayOf(asked.since) });
    const kept = this.recent.get(key);
    const rows = kept?.from === from ? kept.rows : await this.rowsOf(asked);
    // The one that was asked for longest ago goes first.
    this.recent.delete(key);
    this.recent.set(key, { from, rows });
    if (this.recent.size > MOST_KEPT) this.recent.delete(this.recent.keys().next().value!);
    const known = new Map((await this.database.select().from(tests)).map((test) => [test.id, test]));
    return rows.map((of) => {
      const test = known.get(of.testId)!;
      const { title, kind, unit, seconds, sides, direction: better } = test;
      return {
        ...of,
        title,
        kind,
        unit,
        seconds,
        sides,
        better,
        worthwhile: worthwhileOf(test, test.worthwhile),
      };
    });
  }

  private async rowsOf(asked: Asked): Promise<Row[]> {
    // A log of ten years has thousands of trials: they come as one text for each test and lead, not row by row.
    const rows = await this.database
      .select({
        fighterId: attempts.fighterId,
        testId: attempts.testId,
        lead: attempts.lead,
        trials: sql<
          TrialTuple[]
        >`json_agg(json_build_array(extract(epoch from ${attempts.at}), ${TRIAL_VALUE}, ${attempts.measured}) order by ${attempts.at}, ${attempts.id})`,
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(and(...asksFor(asked), sql`${TRIAL_VALUE} is not null`))
      .groupBy(attempts.fighterId, attempts.testId, attempts.lead);
    return rows.map(({ trials, ...of }) => ({
      ...of,
      trials: trials.map(([at, value, measured]) => ({ day: dayOf(new Date(1000 * at)), value, measured })),
    }));
  }

  /** The errors that were worked out last, for which day and revision. */
  private kept: { readonly from: string; readonly errors: GymErrors } | null = null;

  /** The typical error of every test and way of counting over the gym, by `errorKey`. */
  async gymErrors(now: Date): Promise<GymErrors> {
    const from = `${dayOf(now)} ${await revisionOfGym(this.database)}`;
    if (this.kept?.from === from) return this.kept.errors;
    const errors = await this.readErrors(now);
    this.kept = { from, errors };
    return errors;
  }

  private async readErrors(now: Date): Promise<GymErrors> {
    const days = this.database.$with('days').as(
      this.database
        .select({
          testId: attempts.testId,
          measured: attempts.measured,
          fighterId: attempts.fighterId,
          lead: attempts.lead,
          day: sql<Date>`${localDay(attempts.at)}`.as('of_day'),
          trials: sql<number>`count(*)`.as('trials'),
          middle: sql<number>`avg(${TRIAL_VALUE})`.as('middle'),
          spread: sql<number | null>`var_samp(${TRIAL_VALUE})`.as('spread'),
        })
        .from(attempts)
        .innerJoin(tests, eq(attempts.testId, tests.id))
        .where(
          and(
            gte(attempts.at, weeksBefore(now, GYM_WEEKS)),
            ne(attempts.measured, 'self-reported'),
            sql`${TRIAL_VALUE} is not null`,
          ),
        )
        .groupBy(attempts.testId, attempts.measured, attempts.fighterId, attempts.lead, sql`of_day`)
        // A day on which one trial is three times another has a slip in it, and says nothing of the error.
        .having(sql`max(${TRIAL_VALUE}) <= 3 * min(${TRIAL_VALUE})`),
    );
    const windows = this.database.$with('windows').as(
      this.database
        .select({
          testId: days.testId,
          measured: days.measured,
          window: sql<number>`floor(extract(epoch from ${days.day}) / ${WINDOW_SECONDS})`.as('of_window'),
          beyond: sql<number>`sum(${days.trials} - 1)`.as('beyond'),
          squares: sql<number>`sum((${days.trials} - 1) * coalesce(${days.spread}, 0))`.as('squares'),
          days: sql<number>`count(*)`.as('days'),
          daySquares: sql<number>`coalesce((count(*) - 1) * var_samp(${days.middle}), 0)`.as('day_squares'),
          shares: sql<number>`sum(1.0 / ${days.trials})`.as('shares'),
        })
        .from(days)
        .groupBy(days.testId, days.measured, days.fighterId, days.lead, sql`of_window`),
    );
    const several = sql`filter (where ${windows.days} > 1)`;
    const rows = await this.database
      .with(days, windows)
      .select({
        testId: windows.testId,
        measured: windows.measured,
        beyond: sql<number>`sum(${windows.beyond})`.mapWith(Number),
        squares: sql<number>`sum(${windows.squares})`.mapWith(Number),
        daysBeyond: sql<number>`coalesce(sum(${windows.days} - 1) ${several}, 0)`.mapWith(Number),
        daySquares: sql<number>`coalesce(sum(${windows.daySquares}) ${several}, 0)`.mapWith(Number),
        share:
          sql<number>`coalesce(sum(${windows.shares}) ${several} / sum(${windows.days}) ${several}, 1)`.mapWith(
            Number,
          ),
      })
      .from(windows)
      .groupBy(windows.testId, windows.measured);
    return new Map(rows.map((row) => [errorKey(row.testId, row.measured), gymError(row)]));
  }
}

/** Over four weeks the level of a fighter stays about the same. */
const WINDOW_SECONDS = 28 * 86_400;

interface ErrorSums {
  readonly beyond: number;
  readonly squares: number;
  readonly daysBeyond: number;
  readonly daySquares: number;
  /** The mean of one over the trials of a day. */
  readonly share: number;
}

function gymError({ beyond, squares, daysBeyond, daySquares, share }: ErrorSums): GymError {
  const ofTrials = beyond > 0 ? squares / beyond : null;
  const trial = ofTrials === null ? null : { error: Math.sqrt(ofTrials), degreesOfFreedom: beyond };
  const days =
    daysBeyond > 0 && ofTrials !== null
      ? { variance: Math.max(0, daySquares / daysBeyond - share * ofTrials), degreesOfFreedom: daysBeyond }
      : null;
  return { trial, days };
}

export const errorKey = (testId: string, measured: Measured): string => `${testId} ${measured}`;
