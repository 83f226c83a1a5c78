import { Injectable, NotFoundException } from '@nestjs/common';
import { and, count, eq, getTableColumns, inArray, isNotNull, sql } from 'drizzle-orm';
import { PARTS, type Part } from '../exchange/gymFile/tableDescriptions.ts';
import type { Database, Transaction } from '../store/database.ts';
import {
  attempts,
  classSheets,
  fighters,
  removedAttempts,
  roundResults,
  runEvents,
  runs,
} from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AuditService } from './audit.service.ts';

/** Stands where somebody stood in the partners of a round. */
const NOBODY = 'gone';

/** Erases for good what is kept about a person. */
@Injectable()
export class PersonsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly audit: AuditService,
  ) {}

  /**
   * Erases a fighter: entry, marks, trials, places in sheets, runs and lists. Totals of the classes stay, counted without the
   * person. Erasing somebody who is not there (any more) is 404.
   */
  async erase(id: string): Promise<void> {
    await this.database.transaction(async (tx) => {
      const [there] = await tx.select({ id: fighters.id }).from(fighters).where(eq(fighters.id, id));
      if (!there) throw new NotFoundException('This fighter is not in the gym.');
      await keepTotals(tx, id);
      await tx.delete(runEvents).where(sql`${runEvents.data}->>'fighterId' = ${id}`);
      await leaveRuns(tx, id);
      await leaveSheets(tx, id);
      await leaveLists(tx, id);
      await eraseOwn(tx, id);
      await this.audit.note('The data of a person was erased.', tx);
    });
  }
}

/** What the description of the tables says is a person's own, those that name others first; the person's entry is the last. */
export async function eraseOwn(tx: Transaction, id: string, parts: readonly Part[] = PARTS): Promise<void> {
  // The ids of trials may hold the id of the person.
  const trials = tx.select({ id: attempts.id }).from(attempts).where(eq(attempts.fighterId, id));
  await tx.delete(removedAttempts).where(inArray(removedAttempts.id, trials));
  for (const { table, person } of parts.toReversed())
    if (person !== null) await tx.delete(table).where(eq(getTableColumns(table)[person]!, id));
}

/** Counts the person's marks into their runs. */
async function keepTotals(tx: Transaction, id: string): Promise<void> {
  const marks = await tx
    .select({ runId: roundResults.runId, done: roundResults.done, n: count() })
    .from(roundResults)
    .where(and(eq(roundResults.fighterId, id), isNotNull(roundResults.done)))
    .groupBy(roundResults.runId, roundResults.done);
  for (const { runId, done, n } of marks)
    await tx
      .update(runs)
      .set({
        gone: sql`${runs.gone} || jsonb_build_object(${done}::text, coalesce((${runs.gone}->>${done}::text)::int, 0) + ${n}::int)`,
      })
      .where(eq(runs.id, runId));
}

async function leaveRuns(tx: Transaction, id: string): Promise<void> {
  const held = await tx
    .select({ id: runs.id, fighterIds: runs.fighterIds, groupOf: runs.groupOf, partners: runs.partners })
    .from(runs)
    .where(sql`${runs.fighterIds} @> ${JSON.stringify([id])}::jsonb`);
  for (const run of held) {
    const { [id]: _, ...groupOf } = run.groupOf;
    const partners = run.partners.map(({ round, groups }) => ({
      round,
      groups: groups.map((group) => ({
        ...group,
        members: group.members.map((member) => (member === id ? NOBODY : member)),
      })),
    }));
    const fighterIds = run.fighterIds.filter((each) => each !== id);
    await tx.update(runs).set({ fighterIds, groupOf, partners }).where(eq(runs.id, run.id));
  }
}

async function leaveSheets(tx: Transaction, id: string): Promise<void> {
  const sheets = await tx.select().from(classSheets);
  for (const { sessionId, sheet, version } of sheets) {
    const present = sheet.present.filter(({ fighterId }) => fighterId !== id);
    if (present.length < sheet.present.length)
      await tx
        .update(classSheets)
        .set({ sheet: { ...sheet, present }, version: version + 1 })
        .where(eq(classSheets.sessionId, sessionId));
  }
}

/** Nobody has to be kept apart from somebody who is gone. */
async function leaveLists(tx: Transaction, id: string): Promise<void> {
  await tx
    .update(fighters)
    .set({ apart: sql`${fighters.apart} - ${id}::text` })
    .where(sql`${fighters.apart} @> ${JSON.stringify([id])}::jsonb`);
}
