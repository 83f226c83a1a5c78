/** Build step: writes an empty, migrated database that a first start copies instead of initialising one. */
import { rmSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { EMPTY_DATABASE } from './store/emptyDatabase.ts';
import { MIGRATIONS } from './store/migrations.ts';

rmSync(EMPTY_DATABASE, { recursive: true, force: true });
const client = await PGlite.create({ dataDir: EMPTY_DATABASE });
await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
await client.close();
