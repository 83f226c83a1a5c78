import { keptSchool } from '../../gym/keptSchool.ts';
import { GYM_FILE_FORMAT, GYM_FILE_VERSION, type FileGym, type GymFile } from '@eurhythm/contract';
import { asc, getTableColumns } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database, Transaction } from '../../store/database.ts';
import { gyms } from '../../store/schema.ts';
import { AT_ONCE, letOthers } from '../../backup/letOthers.ts';
import { PARTS, plain, type Item, type Part, type PartName } from './tableDescriptions.ts';

/** A file in which no list is missing. */
export type WholeGymFile = Required<GymFile>;

/** Everything that the gym has, as a file. */
export async function readGym(
  from: Database | Transaction,
  now: Date,
  parts: readonly Part[] = PARTS,
): Promise<WholeGymFile> {
  const [row] = await from.select().from(gyms);
  const lists: Partial<Record<PartName, readonly Item[]>> = {};
  for (const part of parts) lists[part.name] = await itemsOfPart(from, part);
  const gym: FileGym | null = row
    ? {
        name: row.name,
        noticeAcceptedAt: row.noticeAcceptedAt?.toISOString() ?? null,
        school: row.school && keptSchool(row.school),
      }
    : null;
  return {
    format: GYM_FILE_FORMAT,
    version: GYM_FILE_VERSION,
    madeAt: now.toISOString(),
    whole: true,
    gym: plain(gym),
    ...lists,
  } as unknown as WholeGymFile;
}

/** The things of a list in an order that stays, fetched some at a time. */
async function itemsOfPart(from: Database | Transaction, part: Part): Promise<Item[]> {
  const { table, keys, inOrder } = part;
  const columns = getTableColumns(table);
  const order = (inOrder ? ['position', ...keys] : keys).map((key) => asc(columns[key]!));
  const items: Item[] = [];
  for (;;) {
    const rows = await from
      .select()
      .from(table as PgTable)
      .orderBy(...order)
      .limit(AT_ONCE)
      .offset(items.length);
    items.push(...rows.map((row) => plain(part.fromRow(row))));
    if (rows.length < AT_ONCE) return items;
    await letOthers();
  }
}
