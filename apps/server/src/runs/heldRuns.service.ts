import { Injectable } from '@nestjs/common';
import type { LastRunView, LastTrained, PageQuery, RunPage } from '@eurhythm/contract';
import { desc, eq, inArray, isNotNull, max, sql } from 'drizzle-orm';
import { pageLength, pageOf } from '../http/pages.ts';
import type { Database } from '../store/database.ts';
import { runRoundCombos, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { MarksService } from './marks.service.ts';

/** What is asked of all runs together. */
@Injectable()
export class HeldRunsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly marks: MarksService,
  ) {}

  /** A page of all runs, newest first. */
  async page(query: PageQuery): Promise<RunPage> {
    const length = pageLength(query);
    const after =
      query.after === undefined
        ? undefined
        : sql`(${runs.startedAt}, ${runs.id}) < (select started_at, id from runs where id = ${query.after})`;
    const rows = await this.database
      .select({
        id: runs.id,
        sessionId: runs.sessionId,
        title: runs.title,
        startedAt: runs.startedAt,
        endedAt: runs.endedAt,
        fighters: sql<number>`jsonb_array_length(${runs.fighterIds})`.mapWith(Number),
      })
      .from(runs)
      .where(after)
      .orderBy(desc(runs.startedAt), desc(runs.id))
      .limit(length + 1);
    const items = rows.map((row) => ({
      ...row,
      startedAt: row.startedAt.toISOString(),
      endedAt: row.endedAt?.toISOString() ?? null,
    }));
    return pageOf(items, length);
  }

  /** When each combo was last in a session that was held. */
  async lastTrained(): Promise<LastTrained> {
    const rows = await this.database
      .select({ comboId: runRoundCombos.comboId, at: max(runs.startedAt) })
      .from(runRoundCombos)
      .innerJoin(runs, eq(runRoundCombos.runId, runs.id))
      .groupBy(runRoundCombos.comboId);
    return Object.fromEntries(rows.flatMap(({ comboId, at }) => (at ? [[comboId, at.toISOString()]] : [])));
  }

  /** The combos of the last classes that were held, the last one first. */
  async combosOfLast(classes: number): Promise<string[][]> {
    const last = await this.database
      .select({ id: runs.id })
      .from(runs)
      .where(isNotNull(runs.endedAt))
      .orderBy(desc(runs.startedAt))
      .limit(classes);
    const rows = await this.database
      .selectDistinct({ runId: runRoundCombos.runId, comboId: runRoundCombos.comboId })
      .from(runRoundCombos)
      .where(
        inArray(
          runRoundCombos.runId,
          last.map(({ id }) => id),
        ),
      );
    return last.map(({ id }) => rows.filter(({ runId }) => runId === id).map(({ comboId }) => comboId));
  }

  /** The run that has not ended, the newest if there are several. */
  async running(): Promise<{ id: string; title: string } | null> {
    const [newest] = await this.database
      .select({ id: runs.id, title: runs.title, endedAt: runs.endedAt })
      .from(runs)
      .orderBy(desc(runs.startedAt))
      .limit(1);
    return newest && newest.endedAt === null ? { id: newest.id, title: newest.title } : null;
  }

  /** The run that was held last, and how its rounds were marked; null before the first. */
  async last(): Promise<LastRunView | null> {
    const [run] = await this.database
      .select({ id: runs.id, title: runs.title, startedAt: runs.startedAt })
      .from(runs)
      .where(isNotNull(runs.endedAt))
      .orderBy(desc(runs.startedAt))
      .limit(1);
    if (!run) return null;
    const marks = await this.marks.counts(run.id);
    return {
      id: run.id,
      title: run.title,
      at: run.startedAt.toISOString(),
      finished: marks['finished'] ?? 0,
      part: marks['part'] ?? 0,
      satOut: marks['sat-out'] ?? 0,
    };
  }
}
