import { Injectable } from '@nestjs/common';
import type { Better, CourseTrial, TypicalError } from '@eurhythm/core/progress';
import type { Measured, TrialKind } from '@eurhythm/core/speed';
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
  readonly better: Better;
  readonly lead: 'left' | 'right';
  /** The oldest first. */
  readonly trials: readonly CourseTrial[];
}

/** A trial as the database puts it together: seconds of the epoch, what it came to, how it was counted. */
type TrialTuple = readonly [at: number, value: number, measured: Measured];

/** Typical errors by `errorKey`. */
type Errors = ReadonlyMap<string, TypicalError>;

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
      const { title, kind, direction: better } = known.get(of.testId)!;
      return { ...of, title, kind, better };
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
  private kept: { readonly from: string; readonly errors: Errors } | null = null;

  /** The typical error of every test and way of counting over the gym, by `errorKey`. */
  async gymErrors(now: Date): Promise<Errors> {
    const from = `${dayOf(now)} ${await revisionOfGym(this.database)}`;
    if (this.kept?.from === from) return this.kept.errors;
    const errors = await this.readErrors(now);
    this.kept = { from, errors };
    return errors;
  }

  private async readErrors(now: Date): Promise<Errors> {
    const day = localDay(attempts.at);
    const days = this.database.$with('days').as(
      this.database
        .select({
          testId: attempts.testId,
          measured: attempts.measured,
          beyond: sql<number>`count(*) - 1`.as('beyond'),
          spread: sql<number>`var_samp(${TRIAL_VALUE})`.as('spread'),
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
        .groupBy(attempts.testId, attempts.measured, attempts.fighterId, attempts.lead, day)
        // A day on which one trial is three times another has a slip in it, and says nothing of the error.
        .having(sql`count(*) > 1 and max(${TRIAL_VALUE}) <= 3 * min(${TRIAL_VALUE})`),
    );
    const rows = await this.database
      .with(days)
      .select({
        testId: days.testId,
        measured: days.measured,
        degreesOfFreedom: sql<number>`sum(${days.beyond})`.mapWith(Number),
        variance: sql<number>`sum(${days.beyond} * ${days.spread}) / sum(${days.beyond})`.mapWith(Number),
      })
      .from(days)
      .groupBy(days.testId, days.measured);
    return new Map(
      rows.map(({ testId, measured, degreesOfFreedom, variance }) => [
        errorKey(testId, measured),
        { error: Math.sqrt(variance), degreesOfFreedom },
      ]),
    );
  }
}

export const errorKey = (testId: string, measured: Measured): string => `${testId} ${measured}`;
