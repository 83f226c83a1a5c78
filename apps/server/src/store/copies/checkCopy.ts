import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { drizzle } from 'drizzle-orm/pglite';
import * as schema from '../schema.ts';
import { layEmptyDatabase } from '../emptyDatabase.ts';
import { copyText } from './copyFolder.ts';
import { openFolder } from '../openFolder.ts';
import { restoreCopy } from './restoreCopy.ts';

/** Opens a copy in a database of its own, which goes again. @throws BrokenCopy when it does not hold what it says. */
export async function checkCopy(file: string): Promise<void> {
  const text = await copyText(file);
  const folder = mkdtempSync(join(tmpdir(), 'eurhythm-copy-'));
  const dataDir = join(folder, 'database');
  layEmptyDatabase(dataDir);
  const client = await openFolder(dataDir);
  try {
    await restoreCopy(drizzle(client, { schema }), text);
  } finally {
    await client.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
