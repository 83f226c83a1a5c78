/** Build step: writes an empty, migrated database, as the folder that a first start copies and as one file for databases in memory. */
import { rmSync, writeFileSync } from 'node:fs';

import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { EMPTY_DATABASE, EMPTY_DATABASE_FILE } from './store/emptyDatabase.ts';
import { MIGRATIONS } from './store/migrations.ts';
import { openFolder } from './store/open/openPglite.ts';

rmSync(EMPTY_DATABASE, { recursive: true, force: true });
const client = await openFolder(EMPTY_DATABASE);
await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
const file = await client.dumpDataDir('gzip');
await client.close();
writeFileSync(EMPTY_DATABASE_FILE, Buffer.from(await file.arrayBuffer()));
