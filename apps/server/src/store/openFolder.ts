import { PGlite } from '@electric-sql/pglite';

/**
 * Pages kept in the database's own memory. It shares the process with what asks, and the system keeps the files' pages too: the
 * 128 MB that it takes by itself cost a tenth of a second at each start and nothing is read faster for them.
 */
const MEMORY = '8MB';

/** Opens the embedded database that stands in a folder, or makes one there. */
export function openFolder(dataDir: string): Promise<PGlite> {
  return PGlite.create({
    dataDir,
    startParams: [...PGlite.defaultStartParams, '-c', `shared_buffers=${MEMORY}`],
  });
}
