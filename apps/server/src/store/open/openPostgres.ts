import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { bringUpToDate } from './bringUpToDate.ts';
import type { CopyFolder } from '../copies/copyFolder.ts';
import { MIGRATIONS } from '../migrations.ts';
import type { Store } from '../store.ts';
import * as schema from '../schema.ts';

/** Servers that begin on one database at the same time bring it up to date one after the other. */
const STARTING = 20_261_127;

/** Opens the PostgreSQL server at an address. */
export async function openPostgres(url: string, copies: CopyFolder): Promise<Store> {
  // Nobody waits longer for a connection than a page would.
  const pool = new pg.Pool({ connectionString: url, connectionTimeoutMillis: 5000 });
  // A connection that is lost while nobody uses it is replaced by the next one that is asked for.
  pool.on('error', (error) => console.error('A connection to the database was lost:', error.message));
  // One that is lost between two statements of a transaction is known by the next one of them.
  pool.on('connect', (client) => client.on('error', () => {}));
  const database = drizzle(pool, { schema });
  try {
    await database.execute(sql`select 1`);
  } catch (error) {
    await pool.end();
    throw error;
  }
  return {
    database,
    shared: pool,
    prepare: async (begin) => {
      const client = await pool.connect();
      try {
        await client.query('select pg_advisory_lock($1)', [STARTING]);
        await bringUpToDate(database, copies, () => migrate(database, { migrationsFolder: MIGRATIONS }));
        await begin(database);
      } finally {
        await client.query('select pg_advisory_unlock($1)', [STARTING]).catch(() => {});
        client.release();
      }
    },
    close: () => pool.end(),
  };
}
