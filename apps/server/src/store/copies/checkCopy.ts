import { readFileSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import * as schema from '../schema.ts';
import { EMPTY_DATABASE } from '../emptyDatabase.ts';
import { copyText } from './copyFolder.ts';
import { restoreCopy } from './restoreCopy.ts';

/** Opens a copy in a database of its own, in memory. @throws BrokenCopy when it does not hold what it says. */
export async function checkCopy(file: string): Promise<void> {
  const text = await copyText(file);
  const client = await PGlite.create({ loadDataDir: new Blob([readFileSync(EMPTY_DATABASE)]) });
  try {
    await restoreCopy(drizzle(client, { schema }), text);
  } finally {
    await client.close();
  }
}
