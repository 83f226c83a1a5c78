import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import { drizzle as drizzlePostgres } from 'drizzle-orm/node-postgres';
import { migrate as migratePostgres } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema.ts';

/** The rows, wherever they are kept. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface Store {
  readonly database: Database;
  close(): Promise<void>;
}

export const MIGRATIONS = fileURLToPath(new URL('../../migrations', import.meta.url));

/** An empty, migrated database made at build time: loading it is several times faster than initialising a new one. */
export const EMPTY_DATABASE = fileURLToPath(new URL('../../dist/empty-database.tgz', import.meta.url));

/** Opens the PostgreSQL server at `url`, or the embedded database in `folder`, and brings its schema up to date. */
export async function openStore(folder: string, url: string | undefined): Promise<Store> {
  if (url !== undefined) {
    const pool = new pg.Pool({ connectionString: url });
    // A connection that is lost while nobody uses it is replaced by the next one that is asked for.
    pool.on('error', (error) => console.error('A connection to the database was lost:', error.message));
    const database = drizzlePostgres(pool, { schema });
    await migratePostgres(database, { migrationsFolder: MIGRATIONS });
    return { database, close: () => pool.end() };
  }
  const dataDir = join(folder, 'database');
  const isNew = !existsSync(join(dataDir, 'PG_VERSION'));
  mkdirSync(dataDir, { recursive: true });
  const loadDataDir =
    isNew && existsSync(EMPTY_DATABASE) ? new Blob([readFileSync(EMPTY_DATABASE)]) : undefined;
  const client = await PGlite.create({ dataDir, loadDataDir });
  const database = drizzlePglite(client, { schema });
  await migratePglite(database, { migrationsFolder: MIGRATIONS });
  return { database, close: () => client.close() };
}
