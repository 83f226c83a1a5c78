import { existsSync, readFileSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { EMPTY_DATABASE_FILE } from '../emptyDatabase.ts';

/**
 * Pages kept in the database's own memory. It shares the process with what asks, and the system keeps the files' pages too: the
 * 128 MB that it takes by itself cost a tenth of a second at each start and nothing is read faster for them.
 */
const MEMORY = '8MB';

const START = [...PGlite.defaultStartParams, '-c', `shared_buffers=${MEMORY}`];

/** Opens the embedded database that stands in a folder, or makes one there. */
export function openFolder(dataDir: string): Promise<PGlite> {
  return PGlite.create({ dataDir, startParams: START });
}

/** Opens an empty, migrated database in memory: it touches no disk, and is gone when it is closed. Without the built one it has no tables yet. */
export function openInMemory(): Promise<PGlite> {
  const empty = existsSync(EMPTY_DATABASE_FILE)
    ? { loadDataDir: new Blob([readFileSync(EMPTY_DATABASE_FILE)], { type: 'application/x-gzip' }) }
    : {};
  return PGlite.create({ ...empty, startParams: START });
}
