import { fileURLToPath } from 'node:url';
import { readMigrationFiles } from 'drizzle-orm/migrator';

/** Every step that the tables went through, as SQL. */
export const MIGRATIONS = fileURLToPath(new URL('../../migrations', import.meta.url));

/** When the newest migration of this server was written. */
export function newestOfServer(): number {
  return readMigrationFiles({ migrationsFolder: MIGRATIONS }).at(-1)!.folderMillis;
}
