import { checkCopy } from '../copies/checkCopy.ts';
import type { CopyFolder } from '../copies/copyFolder.ts';
import { dumpTables, newestMigration } from '../copies/dumpTables.ts';
import type { Database } from '../database.ts';
import { newestOfServer } from '../migrations.ts';

/** Brings the tables to the newest migration, with a copy of them before; nothing is done where they are. */
export async function bringUpToDate(
  database: Database,
  copies: CopyFolder,
  migrate: () => Promise<unknown>,
): Promise<void> {
  const has = await newestMigration(database);
  if (has !== null && has >= newestOfServer()) return;
  if (has !== null) {
    const now = new Date();
    await copies.keep(
      await dumpTables(database, 'before-migration', now),
      'before-migration',
      now,
      checkCopy,
    );
  }
  await migrate();
}
