/** Build step: writes an empty, migrated database that a first start loads instead of initialising one. */
import { writeFileSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { EMPTY_DATABASE } from './store/emptyDatabase.ts';
import { MIGRATIONS } from './store/migrations.ts';

const client = await PGlite.create();
await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
const dump = await client.dumpDataDir('gzip');
writeFileSync(EMPTY_DATABASE, Buffer.from(await dump.arrayBuffer()));
await client.close();
