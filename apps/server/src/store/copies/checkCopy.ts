import { drizzle } from 'drizzle-orm/pglite';
import * as schema from '../schema.ts';
import { openInMemory } from '../open/openPglite.ts';
import { copyText } from './copyFolder.ts';
import { restoreCopy } from './restoreCopy.ts';

/** Opens a copy in a database of its own, which goes again. @throws BrokenCopy when it does not hold what it says. */
export async function checkCopy(file: string): Promise<void> {
  const text = await copyText(file);
  const client = await openInMemory();
  try {
    await restoreCopy(drizzle(client, { schema }), text);
  } finally {
    await client.close();
  }
}
