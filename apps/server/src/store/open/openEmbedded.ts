import { existsSync, readdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { bringUpToDate } from './bringUpToDate.ts';
import type { CopyFolder } from '../copies/copyFolder.ts';
import { DamagedDatabase } from './damagedDatabase.ts';
import { layEmptyDatabase } from '../emptyDatabase.ts';
import { MIGRATIONS } from '../migrations.ts';
import { openFolder } from './openPglite.ts';
import type { Store, StoreWish } from '../store.ts';
import * as schema from '../schema.ts';

/** Opens the embedded database in the data folder, a new one where there is none. @throws DamagedDatabase */
export async function openEmbedded({ folder, isRestoring }: StoreWish, copies: CopyFolder): Promise<Store> {
  const dataDir = join(folder, 'database');
  const isNew = !existsSync(dataDir) || readdirSync(dataDir).length === 0;
  if (isNew && !isRestoring && (await hadOne(folder, copies)))
    throw new DamagedDatabase(folder, 'it is not there', null);
  if (isNew) layEmptyDatabase(dataDir);
  const client = isNew ? await openFolder(dataDir) : await oldDatabase(folder, dataDir);
  const database = drizzle(client, { schema });
  return {
    database,
    shared: null,
    prepare: async (begin) => {
      await bringUpToDate(database, copies, () => migrate(database, { migrationsFolder: MIGRATIONS }));
      await begin(database);
    },
    close: () => client.close(),
  };
}

/** Whether there was a database here before: its copies, or what was set aside of it, say so. */
async function hadOne(folder: string, copies: CopyFolder): Promise<boolean> {
  return readdirSync(folder).some((name) => name.startsWith(SET_ASIDE)) || (await copies.list()).length > 0;
}

/** Files without which a database is none. */
const NEEDED = ['PG_VERSION', 'global/pg_control', 'base', 'pg_wal'];

/** Opens a database that is there; one that is damaged is set aside, so that nothing writes over it. */
async function oldDatabase(folder: string, dataDir: string): Promise<PGlite> {
  const missing = NEEDED.find((name) => !existsSync(join(dataDir, name)));
  if (missing !== undefined) throw setAside(folder, dataDir, `its file ${missing} is missing`);
  let client: PGlite | null = null;
  try {
    client = await openFolder(dataDir);
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
  // In one statement: planning each costs more than reading what a gym has.
  const counts = rows.map(({ name }) => `select count(t.*) from "${name}" t`);
  if (counts.length > 0) await client.query(counts.join(' union all '));
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
