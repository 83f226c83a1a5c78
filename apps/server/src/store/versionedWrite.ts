import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { refuseStale } from '../http/refuse.ts';
import type { Database, Transaction } from './database.ts';

/** A change that was based on an older state; it takes its transaction back. */
class StaleWrite extends Error {
  readonly sent: object;

  constructor(sent: object) {
    super('based on an older state');
    this.sent = sent;
  }
}

/** How one thing is read and written inside a transaction. */
export interface VersionedRow {
  /** What is to be kept, as far as it makes a difference. */
  readonly sent: object;
  /** Makes it, unless it is there; whether it did. */
  insert(): Promise<boolean>;
  /** What is kept now, in the shape of `sent`, locked until the end of the transaction. */
  read(): Promise<{ readonly content: object; readonly version: number }>;
  update(version: number): Promise<void>;
}

/**
 * Makes or changes a thing, inside `refusingStale`. The same content again changes nothing, whatever it was based on; a change that was based on an
 * older state than the present one is refused with both. Gives whether anything was written.
 */
export async function writeVersioned(row: VersionedRow, basedOn: number | undefined): Promise<boolean> {
  if (await row.insert()) return true;
  const { content, version } = await row.read();
  if (isDeepStrictEqual(plain(content), plain(row.sent))) return false;
  if (basedOn !== undefined && basedOn !== version) throw new StaleWrite(row.sent);
  await row.update(version + 1);
  return true;
}

/**
 * Runs a transaction that may find its change too late; the refusal shows what stands now. That is read once the
 * transaction is over: the embedded database has one connection, which would wait for itself.
 */
export async function refusingStale<T>(work: () => Promise<T>, now: () => Promise<object>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof StaleWrite) throw refuseStale(await now(), error.sent);
    throw error;
  }
}

/** As JSON sees it: instances of classes are as good as what they hold, dates as their text, nothing as missing. */
function plain(value: object): unknown {
  return JSON.parse(JSON.stringify(value));
}

/** A table whose rows have a version and a key. */
type VersionedTable = PgTable & { readonly version: PgColumn };
type RowOf<T extends VersionedTable> = T['$inferSelect'];

/** What is to be kept of one thing, and where. */
export interface Saving<T extends VersionedTable> {
  /** The column that tells the thing, and what stands there. */
  readonly key: keyof T & keyof RowOf<T> & string;
  readonly id: string;
  readonly row: Partial<T['$inferInsert']>;
  /** Of a kept row or of the one to be kept: what makes a difference. */
  contentOf(row: RowOf<T>): object;
}

/** How a row of a table is read and written. */
export function versionedRow<T extends VersionedTable>(
  tx: Transaction,
  table: T,
  { key, id, row, contentOf }: Saving<T>,
): VersionedRow {
  const column = table[key] as PgColumn;
  const values = { ...row, [key]: id } as unknown as RowOf<T>;
  return {
    sent: contentOf(values),
    insert: async () => {
      const made = await tx
        .insert(table)
        .values(values as T['$inferInsert'])
        .onConflictDoNothing({ target: column })
        .returning({ id: column });
      return made.length > 0;
    },
    read: async () => {
      const [kept] = (await tx
        .select()
        .from(table as PgTable)
        .where(eq(column, id))
        .for('update')) as RowOf<T>[];
      return { content: contentOf(kept!), version: (kept as { version: number }).version };
    },
    update: async (version) => {
      await tx
        .update(table)
        .set({ ...row, version } as never)
        .where(eq(column, id));
    },
  };
}

/**
 * Makes or changes one thing in a transaction of its own. The same content again changes nothing. `now` gives what stands, for the
 * refusal of a change that came too late, and for the answer.
 */
export async function saveVersioned<T extends VersionedTable, V extends object>(
  database: Database,
  table: T,
  {
    basedOn,
    now,
    onlyChanges = false,
    ...saving
  }: Saving<T> & {
    readonly basedOn: number | undefined;
    /** Of a row that is there already. */
    readonly onlyChanges?: boolean;
    now(): Promise<V>;
  },
): Promise<V> {
  await refusingStale(
    () =>
      database.transaction((tx) => {
        const row = versionedRow(tx, table, saving);
        return writeVersioned(onlyChanges ? { ...row, insert: async () => false } : row, basedOn);
      }),
    now,
  );
  return now();
}
