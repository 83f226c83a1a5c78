import { howMany } from '@eurhythm/core/units';
import { GoneException, Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { DONE, type MarkResultDto, type ResultView } from '@eurhythm/contract';
import { marksAt, runState } from '@eurhythm/core/run';
import { and, asc, count, eq, isNotNull, sql } from 'drizzle-orm';
import { pressedAt, type ClockOffset } from '../http/deviceClock.ts';
import type { Database, Transaction } from '../store/database.ts';
import { roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { RunLogService } from './runLog.service.ts';

type ResultRow = typeof roundResults.$inferSelect;
/** A mark that stands. */
type Standing = ResultRow & { readonly done: NonNullable<ResultRow['done']> };

/** How each fighter's rounds were done. Whatever order the presses come in, the newest press of a fighter in a round stands. */
@Injectable()
export class MarksService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly log: RunLogService,
  ) {}

  /** The marks of a run that stand, by their times. */
  async of(runId: string): Promise<ResultView[]> {
    const rows = await this.database
      .select()
      .from(roundResults)
      .where(and(eq(roundResults.runId, runId), isNotNull(roundResults.done)))
      .orderBy(asc(roundResults.at));
    return rows.filter(stands).map(resultView);
  }

  /** How many rounds of a run were marked how, by everybody who was in it. */
  async counts(runId: string): Promise<Readonly<Partial<Record<string, number>>>> {
    const rows = await this.database
      .select({ done: roundResults.done, n: count() })
      .from(roundResults)
      .where(eq(roundResults.runId, runId))
      .groupBy(roundResults.done);
    const [run] = await this.database.select({ gone: runs.gone }).from(runs).where(eq(runs.id, runId));
    const gone = run?.gone ?? {};
    const marked = Object.fromEntries(rows.map(({ done, n }) => [done ?? '', n]));
    return Object.fromEntries(DONE.map((done) => [done, (marked[done] ?? 0) + (gone[done] ?? 0)] as const));
  }

  /**
   * Marks one fighter's round, and gives the mark that stands then: a press that comes late stands only where nobody pressed
   * after it. The same request again changes nothing. @throws 410 where a newer press has taken the mark back.
   */
  async mark(runId: string, id: string, result: MarkResultDto, offset: ClockOffset): Promise<ResultView> {
    const { round, fighterId, done, at: sent } = result;
    const quality = result.quality ?? null;
    const [seconds, lead, comboId] = [result.seconds ?? null, result.lead ?? null, result.comboId ?? null];
    const { at, toldAt } = pressedAt(sent, offset);
    const row = { id, done, quality, seconds, lead, comboId, at };
    const standing = await this.database.transaction(async (tx) => {
      // No more of the run is read than is asked for, and in the same step that locks it: a press is stored at once.
      const [run] = await tx
        .select({
          fighterIds: runs.fighterIds,
          rounds: sql<number>`jsonb_array_length(${runs.rounds})`.mapWith(Number),
        })
        .from(runs)
        .where(eq(runs.id, runId))
        .for('update');
      if (!run) throw new NotFoundException('This run does not exist.');
      if (!run.fighterIds.includes(fighterId))
        throw new UnprocessableEntityException('This fighter is not in the run.');
      if (round >= run.rounds)
        throw new UnprocessableEntityException(`This run has ${howMany(run.rounds, 'round')}.`);
      const data = { resultId: id, round, fighterId, done, quality, seconds, lead, comboId };
      await this.log.write(tx, runId, { id: eventIdOf(id, result), kind: 'mark', at, toldAt, data });
      const place = { runId, round, fighterId };
      const [now] = await tx
        .insert(roundResults)
        .values({ ...place, ...row })
        .onConflictDoUpdate({
          target: [roundResults.runId, roundResults.round, roundResults.fighterId],
          set: row,
          setWhere: IS_NEWER,
        })
        .returning();
      return now ?? (await tx.select().from(roundResults).where(placeOf(place)))[0]!;
    });
    if (!stands(standing))
      throw new GoneException('This mark was taken back after it was pressed; it stays taken back.');
    return resultView(standing);
  }

  /**
   * Brings the marks to what the log of the run says since a bell rang, all were clean, or somebody came or left: who the bell
   * finished is decided by {@link marksAt}, whatever order the events came in. A press that was made before the bell and comes
   * later says more, so the bell's marks are as old as the run.
   */
  async settle(tx: Transaction, runId: string): Promise<void> {
    const [run] = await tx.select().from(runs).where(eq(runs.id, runId)).for('update');
    const rows = await tx.select().from(roundResults).where(eq(roundResults.runId, runId));
    const isBells = (row: ResultRow): boolean => row.at.getTime() === run!.startedAt.getTime();
    const state = runState(await this.log.eventsOf(tx, runId));
    const marks = marksAt(
      state,
      run!.fighterIds,
      rows.filter(stands).filter((row) => !isBells(row)),
    );
    const wanted = new Set(marks.map(placeKey));
    const before = new Map(rows.map((row) => [placeKey(row), row]));
    for (const row of rows)
      if (isBells(row) && !wanted.has(placeKey(row))) await tx.delete(roundResults).where(placeOf(row));
    const changed = marks.flatMap(({ round, fighterId, done, quality = null }) => {
      const kept = before.get(placeKey({ round, fighterId }));
      if (kept && kept.done === done && kept.quality === quality) return [];
      const id = kept?.id ?? `bell-${round}-${fighterId}`.slice(0, 64);
      return [{ id, runId, round, fighterId, done, quality, at: kept?.at ?? run!.startedAt }];
    });
    if (changed.length === 0) return;
    await tx
      .insert(roundResults)
      .values(changed)
      .onConflictDoUpdate({
        target: [roundResults.runId, roundResults.round, roundResults.fighterId],
        set: { done: sql`excluded.done`, quality: sql`excluded.quality` },
      });
  }

  /** Takes a mark back; it stays back when it is sent again. Taking back what is not there changes nothing. */
  async unmark(runId: string, id: string): Promise<void> {
    await this.database.transaction(async (tx) => {
      const [kept] = await tx
        .select()
        .from(roundResults)
        .where(and(eq(roundResults.runId, runId), eq(roundResults.id, id), isNotNull(roundResults.done)))
        .for('update');
      if (!kept) return;
      // Never before the press that it takes back, whatever the clocks say.
      const at = new Date(Math.max(Date.now(), kept.at.getTime()));
      await tx
        .update(roundResults)
        .set({ done: null, quality: null, seconds: null, lead: null, comboId: null, at })
        .where(placeOf(kept));
      const data = { resultId: id, round: kept.round, fighterId: kept.fighterId, done: null };
      await this.log.append(tx, runId, {
        id: `${id}@back@${at.toISOString()}`,
        kind: 'mark',
        at,
        toldAt: null,
        data,
      });
    });
  }
}

/** The place of a mark: a fighter has one in each round of a run. */
function placeOf({ runId, round, fighterId }: Pick<ResultRow, 'runId' | 'round' | 'fighterId'>) {
  return and(
    eq(roundResults.runId, runId),
    eq(roundResults.round, round),
    eq(roundResults.fighterId, fighterId),
  );
}

function placeKey({ round, fighterId }: Pick<ResultRow, 'round' | 'fighterId'>): string {
  return `${round}/${fighterId}`;
}

/** Whether a press comes after what is kept; one at the instant of a taking back does not. */
const IS_NEWER = sql`case when ${roundResults.done} is null then excluded.at > ${roundResults.at} else excluded.at >= ${roundResults.at} end`;

function stands(row: ResultRow): row is Standing {
  return row.done !== null;
}

/** The same press is one event however often it comes; another press of the same mark is another one. */
function eventIdOf(id: string, { at, done, quality, comboId }: MarkResultDto): string {
  return `${id}@${at}@${done}-${quality ?? ''}${comboId ? `-${comboId}` : ''}`;
}

function resultView(row: Standing): ResultView {
  return { ...row, at: row.at.toISOString() };
}
