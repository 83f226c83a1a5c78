import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type * as schema from './schema.ts';

/** The rows, wherever they are kept. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

/** What runs inside one transaction: it reads and writes all or nothing. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
