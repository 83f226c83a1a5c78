import { Injectable } from '@nestjs/common';
import { summariseBurst, summariseTrials } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { TodayView } from '@eurhythm/contract';
import { asc, desc, eq, gte, isNotNull } from 'drizzle-orm';
import { format } from 'date-fns';
import { ThemesService } from '../calendar/themes.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { RunsService } from '../runs/runs.service.ts';
import { sessionSummary } from '../sessions/sessions.service.ts';
import type { Database } from '../store/openStore.ts';
import { attempts, roundResults, runs, sessions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

const HOUR = 3_600_000;
/** A session still counts as the next one this long after it should have begun. */
const LATE = 2 * HOUR;
const LATELY = 10 * 24 * HOUR;
const SHOWN_BURSTS = 4;

/** Answers "what is next, who is expected, and what changed since last time". */
@Injectable()
export class TodayService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly runs: RunsService,
    private readonly themes: ThemesService,
  ) {}

  async today(): Promise<TodayView> {
    const [next, themes, running, everybody, lastRun, bestBursts] = await Promise.all([
      this.next(),
      this.themes.of(format(new Date(), 'yyyy-MM-dd')),
      this.runs.running(),
      this.fighters.list(),
      this.lastRun(),
      this.bestBursts(),
    ]);
    return {
      next,
      themes,
      running,
      expected: everybody.filter((fighter) => fighter.fit),
      lastRun,
      bestBursts,
    };
  }

  private async next(): Promise<TodayView['next']> {
    const [planned] = await this.database
      .select()
      .from(sessions)
      .where(gte(sessions.plannedFor, new Date(Date.now() - LATE)))
      .orderBy(asc(sessions.plannedFor))
      .limit(1);
    if (planned) return sessionSummary(planned);
    const [any] = await this.database.select().from(sessions).orderBy(desc(sessions.updatedAt)).limit(1);
    return any ? sessionSummary(any) : null;
  }

  private async lastRun(): Promise<TodayView['lastRun']> {
    const [run] = await this.database
      .select()
      .from(runs)
      .where(isNotNull(runs.endedAt))
      .orderBy(desc(runs.startedAt))
      .limit(1);
    if (!run) return null;
    const results = await this.database.select().from(roundResults).where(eq(roundResults.runId, run.id));
    const count = (done: string): number => results.filter((result) => result.done === done).length;
    return {
      id: run.id,
      title: run.title,
      at: run.startedAt.toISOString(),
      finished: count('finished'),
      part: count('part'),
      satOut: count('sat-out'),
    };
  }

  /** Bursts of the last days that were the fighter's best so far, beside the best before. */
  private async bestBursts(): Promise<TodayView['bestBursts']> {
    const names = new Map((await this.fighters.list()).map((fighter) => [fighter.id, fighter.name]));
    const rows = await this.database.select().from(attempts).orderBy(asc(attempts.at));
    const kinds = groupBy(rows, (row) => `${row.fighterId}|${row.title}|${row.lead}|${row.seconds}`);
    const bests = [...kinds.values()].flatMap((same) => {
      const counts = same.map((row) => summariseBurst(row.instants, row.seconds).count);
      const newest = same.at(-1)!;
      const before = summariseTrials(counts.slice(0, -1), 'higher');
      if (!before || counts.at(-1)! <= before.best || newest.at.getTime() < Date.now() - LATELY) return [];
      return {
        fighterId: newest.fighterId,
        name: names.get(newest.fighterId) ?? '',
        title: newest.title,
        lead: newest.lead,
        count: counts.at(-1)!,
        before: before.best,
        trials: same.length,
        at: newest.at.toISOString(),
      };
    });
    return bests.sort((a, b) => b.at.localeCompare(a.at)).slice(0, SHOWN_BURSTS);
  }
}
