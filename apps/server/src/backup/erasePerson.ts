/** Erases what is kept about a person, in every table that has any of it. */
import { and, count, eq, getTableColumns, gt, isNotNull, sql } from 'drizzle-orm';
import { PARTS, type Part } from '../exchange/gymFile/tableDescriptions.ts';
import type { Database, Transaction } from '../store/database.ts';
import { rowsOf } from '../store/copies/rowsOf.ts';
import { goneMark } from '../store/goneMark.ts';
import {
  classSheets,
  erasedPeople,
  fighters,
  gradingDays,
  roundResults,
  runEvents,
  runs,
} from '../store/schema.ts';

/** Stands where somebody stood in the partners of a round. */
const NOBODY = 'gone';

/** Erases entry, marks, trials, places in sheets, runs and lists; totals of the classes stay, counted without the person. */
export async function erasePerson(tx: Transaction, id: string): Promise<void> {
  await keepTotals(tx, id);
  await tx.delete(runEvents).where(sql`${runEvents.data}->>'fighterId' = ${id}`);
  await leaveRuns(tx, id);
  await leaveSheets(tx, id);
  await leaveLists(tx, id);
  await leaveGradingDays(tx, id);
  await eraseOwn(tx, id);
  await tx
    .insert(erasedPeople)
    .values({ mark: goneMark(id), at: new Date() })
    .onConflictDoUpdate({ target: erasedPeople.mark, set: { at: new Date() } });
}

export type ErasedPerson = typeof erasedPeople.$inferSelect;

/** Whose data was erased, by their marks; nobody where the tables are older than that is kept. */
export async function erasedIn(database: Database): Promise<ErasedPerson[]> {
  const [known] = await rowsOf<{ name: string | null }>(
    database,
    sql`select to_regclass('public.erased_people')::text as name`,
  );
  return known?.name ? database.select().from(erasedPeople) : [];
}

/**
 * Erases those again whom an older copy brought back, and goes on to know of them; gives how many that were. Whoever came back to the
 * gym before the copy was made stays.
 */
export function forgetAgain(
  database: Database,
  erased: readonly ErasedPerson[],
  copiedAt: Date,
): Promise<number> {
  return database.transaction(async (tx) => {
    if (erased.length > 0)
      await tx
        .insert(erasedPeople)
        .values([...erased])
        .onConflictDoNothing();
    const marks = new Set(erased.filter(({ at }) => at > copiedAt).map(({ mark }) => mark));
    const back = (await tx.select({ id: fighters.id }).from(fighters)).filter(({ id }) =>
      marks.has(goneMark(id)),
    );
    for (const { id } of back) await erasePerson(tx, id);
    return back.length;
  });
}

/** Of how many people data was erased after an instant. */
export async function erasedSince(database: Database, at: Date): Promise<number> {
  const [found] = await database.select({ n: count() }).from(erasedPeople).where(gt(erasedPeople.at, at));
  return found?.n ?? 0;
}

/** What the description of the tables says is a person's own, those that name others first; the person's entry is the last. */
export async function eraseOwn(tx: Transaction, id: string, parts: readonly Part[] = PARTS): Promise<void> {
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

/** Who is gone is no candidate any more. */
async function leaveGradingDays(tx: Transaction, id: string): Promise<void> {
  for (const { id: day, candidates, version } of await tx.select().from(gradingDays)) {
    const left = candidates.filter(({ fighterId }) => fighterId !== id);
    if (left.length < candidates.length)
      await tx
        .update(gradingDays)
        .set({ candidates: left, version: version + 1 })
        .where(eq(gradingDays.id, day));
  }
}

/** Nobody has to be kept apart from somebody who is gone. */
async function leaveLists(tx: Transaction, id: string): Promise<void> {
  await tx
    .update(fighters)
    .set({ apart: sql`${fighters.apart} - ${id}::text` })
    .where(sql`${fighters.apart} @> ${JSON.stringify([id])}::jsonb`);
}
