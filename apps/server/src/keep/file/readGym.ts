import { GYM_FILE_FORMAT, GYM_FILE_VERSION, type FileGym, type GymFile } from '@eurhythm/contract';
import { asc, getTableColumns } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database, Transaction } from '../../store/database.ts';
import { gyms } from '../../store/schema.ts';
import { PARTS, plain, type Item, type Part, type PartName } from './gymParts.ts';

/** A file in which no list is missing. */
export type WholeGymFile = Required<GymFile>;

/** Everything that the gym has, as a file. */
export async function readGym(from: Database | Transaction, now: Date): Promise<WholeGymFile> {
  const [row] = await from.select().from(gyms);
  const lists: Partial<Record<PartName, readonly Item[]>> = {};
  for (const part of PARTS) lists[part.name] = (await rowsOf(from, part)).map((each) => part.fromRow(each));
  const gym: FileGym | null = row
    ? {
        name: row.name,
        noticeAcceptedAt: row.noticeAcceptedAt?.toISOString() ?? null,
        school: row.school,
      }
    : null;
  return plain({
    format: GYM_FILE_FORMAT,
    version: GYM_FILE_VERSION,
    madeAt: now.toISOString(),
    whole: true,
    gym,
    ...lists,
  }) as unknown as WholeGymFile;
}

/** The rows of a table in an order that stays. */
async function rowsOf(
  from: Database | Transaction,
  { table, keys, inOrder }: Part,
): Promise<Record<string, unknown>[]> {
  const columns = getTableColumns(table);
  const order = inOrder ? ['position'] : keys;
  return from
    .select()
    .from(table as PgTable)
    .orderBy(...order.map((key) => asc(columns[key]!)));
}
