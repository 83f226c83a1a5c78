import { Injectable } from '@nestjs/common';
import type { RunEventView } from '@eurhythm/contract';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { RUN_EVENT_KINDS, readRunEvent, type RunEvent } from '@eurhythm/core/run';
import type { Database, Transaction } from '../store/database.ts';
import { runEvents, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

/** Something to be put into the log of a run. */
export interface LogEntry {
  /** Made by the device, so that it is taken once. */
  readonly id: string;
  readonly kind: RunEventView['kind'];
  readonly at: Date;
  /** As the device reported it, where its clock was wrong. */
  readonly toldAt: Date | null;
  readonly data: Readonly<Record<string, unknown>>;
}

/** Everything that was done to a run, in the order in which the server took it. */
@Injectable()
export class RunLogService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** Puts something into the log, once; gives whether it is new. The run's row is locked, so that places follow each other. */
  async append(tx: Transaction, runId: string, entry: LogEntry): Promise<boolean> {
    await tx.select({ id: runs.id }).from(runs).where(eq(runs.id, runId)).for('update');
    return this.write(tx, runId, entry);
  }

  /** As `append`, where the run's row is locked already. */
  async write(tx: Transaction, runId: string, { id, kind, at, toldAt, data }: LogEntry): Promise<boolean> {
    const next = sql`(select coalesce(max(${runEvents.sequence}), 0) + 1 from ${runEvents} where ${runEvents.runId} = ${runId})`;
    const added = await tx
      .insert(runEvents)
      .values({ runId, sequence: next, id, kind, at, toldAt, receivedAt: new Date(), data })
      .onConflictDoNothing({ target: [runEvents.runId, runEvents.id] })
      .returning({ id: runEvents.id });
    return added.length > 0;
  }

  /** What was done to the run itself. */
  async movesOf(runId: string): Promise<RunEventView[]> {
    return this.viewsOf(this.database, runId);
  }

  /** The same as core reads it, within a transaction. */
  async eventsOf(tx: Transaction, runId: string): Promise<RunEvent[]> {
    return (await this.viewsOf(tx, runId)).flatMap((event) => readRunEvent(event) ?? []);
  }

  private async viewsOf(source: Database | Transaction, runId: string): Promise<RunEventView[]> {
    const rows = await source
      .select()
      .from(runEvents)
      .where(and(eq(runEvents.runId, runId), inArray(runEvents.kind, [...RUN_EVENT_KINDS])))
      .orderBy(asc(runEvents.sequence));
    return rows.map(eventView);
  }
}

export function eventView({
  id,
  sequence,
  kind,
  at,
  receivedAt,
  data,
}: typeof runEvents.$inferSelect): RunEventView {
  const { round, position, running, by, fighterId } = data as Partial<RunEventView>;
  return {
    id,
    sequence,
    kind,
    at: at.toISOString(),
    receivedAt: receivedAt.toISOString(),
    ...(round === undefined ? {} : { round }),
    ...(position === undefined ? {} : { position }),
    ...(running === undefined ? {} : { running }),
    ...(by === undefined ? {} : { by }),
    ...(fighterId === undefined ? {} : { fighterId }),
  };
}
