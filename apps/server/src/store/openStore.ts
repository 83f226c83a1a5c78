import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import { drizzle as drizzlePostgres } from 'drizzle-orm/node-postgres';
import { migrate as migratePostgres } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { checkCopy } from './copies/checkCopy.ts';
import { CopyFolder } from './copies/copyFolder.ts';
import { dumpTables, newestMigration } from './copies/dumpTables.ts';
import type { Database } from './database.ts';
import { DamagedDatabase } from './damagedDatabase.ts';
import { EMPTY_DATABASE } from './emptyDatabase.ts';
import { MIGRATIONS, newestOfServer } from './migrations.ts';
import * as schema from './schema.ts';

export interface Store {
  readonly database: Database;
  /** Brings the tables up to date, with a copy of them before, and does what a first start does; one server after the other. */
  prepare(begin: (database: Database) => Promise<unknown>): Promise<void>;
  close(): Promise<void>;
}

/** Where a store is opened. */
export interface StoreWish {
  /** The data folder. */
  readonly folder: string;
  /** Of a PostgreSQL server; undefined for the embedded database. */
  readonly url: string | undefined;
  /** Whether an empty database may be begun where there was one before: a copy is brought back into it. */
  readonly isRestoring?: boolean;
}

/** Opens the PostgreSQL server at `url`, or the embedded database in the folder. @throws DamagedDatabase */
export function openStore(wish: StoreWish): Promise<Store> {
  const copies = new CopyFolder(wish.folder);
  return wish.url === undefined ? openEmbedded(wish, copies) : openPostgres(wish.url, copies);
}

/** Servers that begin on one database at the same time bring it up to date one after the other. */
const STARTING = 20_261_127;

async function openPostgres(url: string, copies: CopyFolder): Promise<Store> {
  // Nobody waits longer for a connection than a page would.
  const pool = new pg.Pool({ connectionString: url, connectionTimeoutMillis: 5000 });
  // A connection that is lost while nobody uses it is replaced by the next one that is asked for.
  pool.on('error', (error) => console.error('A connection to the database was lost:', error.message));
  // One that is lost between two statements of a transaction is told by the next one of them.
  pool.on('connect', (client) => client.on('error', () => {}));
  const database = drizzlePostgres(pool, { schema });
  try {
    await database.execute(sql`select 1`);
  } catch (error) {
    await pool.end();
    throw error;
  }
  return {
    database,
    prepare: async (begin) => {
      const client = await pool.connect();
      try {
        await client.query('select pg_advisory_lock($1)', [STARTING]);
        await copyBefore(database, copies);
        await migratePostgres(database, { migrationsFolder: MIGRATIONS });
        await begin(database);
      } finally {
        await client.query('select pg_advisory_unlock($1)', [STARTING]).catch(() => {});
        client.release();
      }
    },
    close: () => pool.end(),
  };
}

async function openEmbedded({ folder, isRestoring }: StoreWish, copies: CopyFolder): Promise<Store> {
  const dataDir = join(folder, 'database');
  const isNew = !existsSync(dataDir) || readdirSync(dataDir).length === 0;
  if (isNew && !isRestoring && (await hadOne(folder, copies)))
    throw new DamagedDatabase(folder, 'it is not there', null);
  mkdirSync(dataDir, { recursive: true });
  const client = isNew ? await newDatabase(dataDir) : await oldDatabase(folder, dataDir);
  const database = drizzlePglite(client, { schema });
  return {
    database,
    prepare: async (begin) => {
      await copyBefore(database, copies);
      await migratePglite(database, { migrationsFolder: MIGRATIONS });
      await begin(database);
    },
    close: () => client.close(),
  };
}

/** Whether there was a database here before: its copies, or what was set aside of it, say so. */
async function hadOne(folder: string, copies: CopyFolder): Promise<boolean> {
  return readdirSync(folder).some((name) => name.startsWith(SET_ASIDE)) || (await copies.list()).length > 0;
}

function newDatabase(dataDir: string): Promise<PGlite> {
  const loadDataDir = existsSync(EMPTY_DATABASE) ? new Blob([readFileSync(EMPTY_DATABASE)]) : undefined;
  return PGlite.create({ dataDir, loadDataDir });
}

/** Files without which a database is none. */
const NEEDED = ['PG_VERSION', 'global/pg_control', 'base', 'pg_wal'];

/** Opens a database that is there; one that is damaged is set aside, so that nothing writes over it. */
async function oldDatabase(folder: string, dataDir: string): Promise<PGlite> {
  const missing = NEEDED.find((name) => !existsSync(join(dataDir, name)));
  if (missing !== undefined) throw setAside(folder, dataDir, `its file ${missing} is missing`);
  let client: PGlite | null = null;
  try {
    client = await PGlite.create({ dataDir });
    await readEverything(client);
    return client;
  } catch (error) {
    await client?.close().catch(() => {});
    if (isNoDamage(error)) throw error;
    throw setAside(
      folder,
      dataDir,
      `it cannot be read: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
}

/** Reads every row of every table once. */
async function readEverything(client: PGlite): Promise<void> {
  const { rows } = await client.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public'`,
  );
  for (const { name } of rows) await client.query(`select count(t.*) from "${name}" t`);
}

/** What hinders opening and is no damage: no room, no right to read. */
function isNoDamage(error: unknown): boolean {
  const { code } = error as { code?: string };
  return code === 'EACCES' || code === 'EPERM' || code === 'ENOSPC' || code === 'EMFILE';
}

const SET_ASIDE = 'database.damaged-';

function setAside(folder: string, dataDir: string, why: string): DamagedDatabase {
  const aside = `${SET_ASIDE}${new Date().toISOString().replace(/[:.]/g, '-')}`;
  renameSync(dataDir, join(folder, aside));
  return new DamagedDatabase(folder, why, aside);
}

/** A copy of tables that are about to be changed; none of tables that are new or up to date. */
async function copyBefore(database: Database, copies: CopyFolder): Promise<void> {
  const has = await newestMigration(database);
  if (has === null || has >= newestOfServer()) return;
  const now = new Date();
  await copies.keep(await dumpTables(database, 'before-migration', now), 'before-migration', now, checkCopy);
}
