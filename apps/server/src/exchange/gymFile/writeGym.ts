import { countOf } from '@eurhythm/core/speed';
import type { FileAttempt, FileGym, FileRun, FileTest } from '@eurhythm/contract';
import { eq, getTableColumns, notInArray, sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { trainedIn } from '../../runs/trained.ts';
import { combos, gyms, moves, numbers, runRoundCombos, runRounds } from '../../store/schema.ts';
import type { Transaction } from '../../store/database.ts';
import { PARTS, keyOf, type Item, type Part, type PartName } from './tableDescriptions.ts';

/** What is to be written of one list. */
export interface PartToWrite {
  readonly name: PartName;
  readonly added: readonly Item[];
  readonly changed: readonly Item[];
  /** Every thing of the list as it will be, in order; for lists in which the place tells something. */
  readonly all: readonly Item[];
}

/** All that is to be written, worked out beforehand. */
export interface GymToWrite {
  /** Null where the gym's own settings stay. */
  readonly gym: FileGym | null;
  /** The whole number map; null where it stays. */
  readonly numbers: readonly Item[] | null;
  readonly parts: readonly PartToWrite[];
  /** Lengths of the tests, from which the counts of trials follow. */
  readonly tests: readonly FileTest[];
}

/** Rows of one statement. */
const AT_ONCE = 200;

/** Writes it all, in the order in which things name each other. */
export async function writeGym(
  tx: Transaction,
  { gym, numbers: map, parts, tests }: GymToWrite,
  described: readonly Part[] = PARTS,
): Promise<void> {
  if (gym) await writeSettings(tx, gym);
  for (const part of described) {
    if (part.name === 'numbers') {
      if (map) await writeNumbers(tx, part, map);
      continue;
    }
    const found = parts.find(({ name }) => name === part.name);
    if (found) await writePart(tx, part, found, tests);
  }
}

async function writeSettings(tx: Transaction, { name, noticeAcceptedAt, school }: FileGym): Promise<void> {
  const row = {
    name,
    school,
    noticeAcceptedAt: noticeAcceptedAt === null ? null : new Date(noticeAcceptedAt),
  };
  await tx
    .insert(gyms)
    .values({ id: 'gym', ...row })
    .onConflictDoUpdate({ target: gyms.id, set: { ...row, version: sql`${gyms.version} + 1` } });
}

async function writeNumbers(tx: Transaction, part: Part, map: readonly Item[]): Promise<void> {
  const kept = map.map(({ number }) => number as number);
  await tx.delete(numbers).where(kept.length > 0 ? notInArray(numbers.number, kept) : undefined);
  await upsert(tx, part, map.map(part.toRow));
  await tx.update(gyms).set({ numbersVersion: sql`${gyms.numbersVersion} + 1` });
}

async function writePart(
  tx: Transaction,
  part: Part,
  { added, changed, all }: PartToWrite,
  tests: readonly FileTest[],
): Promise<void> {
  if (added.length + changed.length === 0) return;
  const places = new Map(all.map((item, place) => [keyOf(part, item), place]));
  const known = new Map(tests.map((test) => [test.id, test]));
  const rows = [...added, ...changed].map((item) => ({
    ...part.toRow(item),
    ...(part.inOrder ? { position: places.get(keyOf(part, item)) } : {}),
    ...(part.name === 'attempts' ? counted(item as unknown as FileAttempt, known) : {}),
  }));
  // Out of the way first: a number stands only once in a grade at any time.
  if (part.name === 'combos')
    for (const { id } of changed)
      await tx
        .update(combos)
        .set({ number: sql`-${combos.number}` })
        .where(eq(combos.id, id as string));
  await upsert(tx, part, rows);
  if (part.name === 'grades') await tx.update(gyms).set({ gradesVersion: sql`${gyms.gradesVersion} + 1` });
  if (part.name === 'moves') await placeMoves(tx, places);
  if (part.name === 'runs') await writeTrained(tx, added as unknown as readonly FileRun[]);
}

function counted({ testId, ...trial }: FileAttempt, tests: ReadonlyMap<string, FileTest>): { count: number } {
  return { count: countOf(trial, tests.get(testId) ?? { kind: 'burst', seconds: 0 }) };
}

/** The moves stand in the order of their list. */
async function placeMoves(tx: Transaction, places: ReadonlyMap<string, number>): Promise<void> {
  for (const [code, position] of places) await tx.update(moves).set({ position }).where(eq(moves.code, code));
}

/** What was trained in a run follows from its rounds. */
async function writeTrained(tx: Transaction, runs: readonly FileRun[]): Promise<void> {
  for (const { id, rounds } of runs) {
    const trained = trainedIn(id, rounds);
    if (trained.rounds.length > 0) await tx.insert(runRounds).values(trained.rounds).onConflictDoNothing();
    if (trained.combos.length > 0)
      await tx.insert(runRoundCombos).values(trained.combos).onConflictDoNothing();
  }
}

/** Writes rows, new ones and changed ones alike. */
async function upsert(
  tx: Transaction,
  { table, keys }: Part,
  rows: readonly Record<string, unknown>[],
): Promise<void> {
  const columns: Record<string, PgColumn> = getTableColumns(table);
  const given = new Set(rows.flatMap((row) => Object.keys(row)));
  const set: Record<string, SQL> = Object.fromEntries(
    [...given]
      .filter((key) => !keys.includes(key))
      .map((key) => [key, sql.raw(`excluded."${columns[key]!.name}"`)]),
  );
  if (columns['version']) set['version'] = sql`${columns['version']} + 1`;
  const target = keys.map((key) => columns[key]!);
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const insert = tx.insert(table).values(rows.slice(i, i + AT_ONCE) as never[]);
    await (Object.keys(set).length > 0
      ? insert.onConflictDoUpdate({ target, set: set as never })
      : insert.onConflictDoNothing());
  }
}
