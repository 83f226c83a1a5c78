/** Build step: writes an empty, migrated database that a first start copies instead of initialising one. */
import { rmSync } from 'node:fs';

import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { EMPTY_DATABASE } from './store/emptyDatabase.ts';
import { MIGRATIONS } from './store/migrations.ts';
import { openFolder } from './store/openFolder.ts';

rmSync(EMPTY_DATABASE, { recursive: true, force: true });
const client = await openFolder(EMPTY_DATABASE);
await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
await client.close();
