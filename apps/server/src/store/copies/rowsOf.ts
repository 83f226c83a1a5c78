import type { SQL } from 'drizzle-orm';
import type { Database, Transaction } from '../database.ts';

/** The rows that a statement gives, whichever database runs it. */
export async function rowsOf<T>(from: Database | Transaction, statement: SQL): Promise<T[]> {
  const result = (await from.execute(statement)) as unknown as { readonly rows: T[] };
  return result.rows;
}
