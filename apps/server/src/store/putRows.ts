import { getTableColumns, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Transaction } from './database.ts';

/** Rows of one statement. */
const AT_ONCE = 2000;

/**
 * Puts many rows into a table, each statement with one parameter for all of its rows: several times faster than one for each value.
 * A field that a row leaves out is empty, except where all leave it out: then it is what the table gives it.
 */
export async function putRows<T extends PgTable>(
  tx: Transaction,
  table: T,
  rows: readonly T['$inferInsert'][],
): Promise<void> {
  const used = Object.entries(getTableColumns(table)).filter(([field]) =>
    rows.some((row) => (row as Readonly<Record<string, unknown>>)[field] !== undefined),
  );
  const names = sql.join(
    used.map(([, { name }]) => sql.identifier(name)),
    sql`, `,
  );
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const part = rows
      .slice(i, i + AT_ONCE)
      .map((row: Readonly<Record<string, unknown>>) =>
        Object.fromEntries(used.map(([field, { name }]) => [name, row[field]])),
      );
    await tx.execute(
      sql`insert into ${table} (${names}) select ${names} from jsonb_populate_recordset(null::${table}, ${JSON.stringify(part)}::jsonb)`,
    );
  }
}
