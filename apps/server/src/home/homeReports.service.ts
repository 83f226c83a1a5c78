import { Injectable, NotFoundException } from '@nestjs/common';
import { BURST_AT_HOME, readCodeOf, readHomeCode, type HomeCode } from '@eurhythm/core/home';
import type { HomeReportView } from '@eurhythm/contract';
import { and, desc, eq } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import { refuseField } from '../http/refuse.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import type { Database } from '../store/database.ts';
import { attempts, homeReports } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';

const GONE_SESSION = 'A session that is not here any more';
/** Bursts at home are a test of their own: nobody sees how they are done. */
const AT_HOME = 'Ten seconds at home';
/** Clocks of other devices go ahead a little; a code is never of tomorrow. */
const AHEAD_MS = 26 * 3_600_000;

type Row = typeof homeReports.$inferSelect;

/** What fighters say was done at home, from the code that they bring. */
@Injectable()
export class HomeReportsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly sessions: SessionsService,
    private readonly tests: AssessmentsService,
  ) {}

  /** Newest first. */
  async of(fighterId: string): Promise<HomeReportView[]> {
    const [rows, trials] = await Promise.all([
      this.database
        .select()
        .from(homeReports)
        .where(eq(homeReports.fighterId, fighterId))
        .orderBy(desc(homeReports.at), desc(homeReports.id)),
      this.database
        .select({ id: attempts.id, lead: attempts.lead, count: attempts.count })
        .from(attempts)
        .where(and(eq(attempts.fighterId, fighterId), eq(attempts.measured, 'self-reported')))
        .orderBy(attempts.id),
    ]);
    return rows.map((row) => ({
      ...row,
      at: row.at.toISOString(),
      bursts: trials
        .filter(({ id }) => id.startsWith(`${trialId(row.id)}-`))
        .map(({ lead, count }) => ({ lead, count })),
    }));
  }

  /** Takes a code into the log of a fighter; the same code again changes nothing. @throws 422 with a sentence at `code` */
  async take(fighterId: string, typed: string): Promise<HomeReportView> {
    const read = readCodeOf(await this.fighters.one(fighterId), typed);
    if (!read.ok) throw refuseField('code', read.message);
    const { report } = read;
    if (report.at > Date.now() + AHEAD_MS)
      throw refuseField('code', 'This code is of a day that is still to come: the clock at home was wrong.');
    await this.keep(fighterId, report);
    return (await this.of(fighterId)).find(({ id }) => id === report.code)!;
  }

  private async keep(fighterId: string, report: HomeCode): Promise<void> {
    const session = (await this.sessions.titles()).find(({ id }) => report.isOf('session', id));
    const { code: id, finished, rounds, effort, bursts } = report;
    const row: Row = {
      id,
      fighterId,
      sessionId: session?.id ?? null,
      title: session?.title ?? GONE_SESSION,
      at: new Date(report.at),
      finished,
      rounds,
      effort,
    };
    await this.database.insert(homeReports).values(row).onConflictDoNothing();
    for (const [i, { lead, count }] of bursts.entries())
      await this.tests.saveAttempt(
        `${trialId(id)}-${i}`,
        {
          fighterId,
          title: AT_HOME,
          seconds: BURST_AT_HOME,
          lead,
          instants: [],
          said: count,
          measured: 'self-reported',
          at: row.at.toISOString(),
        },
        0,
      );
  }

  /** Takes a report out, with its trials: it was typed at the wrong fighter, or is not believed. */
  async remove(fighterId: string, typed: string): Promise<void> {
    const read = readHomeCode(typed);
    const id = read.ok ? read.report.code : '';
    const ofIt = and(eq(homeReports.id, id), eq(homeReports.fighterId, fighterId));
    await this.database.transaction(async (tx) => {
      const gone = await tx.delete(homeReports).where(ofIt).returning({ id: homeReports.id });
      if (gone.length === 0) throw new NotFoundException('There is no such report.');
      const trials = await tx
        .select({ id: attempts.id })
        .from(attempts)
        .where(and(eq(attempts.fighterId, fighterId), eq(attempts.measured, 'self-reported')));
      const own = trials.map((trial) => trial.id).filter((each) => each.startsWith(`${trialId(id)}-`));
      await this.tests.takeOut(tx, own);
    });
  }
}

const trialId = (code: string): string => `home-${code}`;
