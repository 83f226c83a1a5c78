import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { getTableName, is } from 'drizzle-orm';
import { PgTable } from 'drizzle-orm/pg-core';
import * as schema from './schema.ts';

const SOURCE = fileURLToPath(new URL('../', import.meta.url));
const TABLES = Object.entries(schema).flatMap(([name, table]) =>
  is(table, PgTable) ? [[name, getTableName(table)] as const] : [],
);

/** Folders of the server whose files write a table, and how often. The demo writes everything, once, into an empty gym, and what is kept or taken away is all of it. */
function writersOf(table: string): string[] {
  const writes = new RegExp(
    `\\.(insert|update|delete)\\(${table}\\)|Versioned\\(this\\.database, ${table},|versionedRow\\(tx, ${table},`,
  );
  return readdirSync(SOURCE, { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && !['demo', 'backup', 'exchange'].includes(entry.name))
    .map(({ name }) => name)
    .filter((folder) =>
      readdirSync(`${SOURCE}${folder}`).some(
        (file) =>
          /(?<!\.test)\.ts$/.test(file) && writes.test(readFileSync(`${SOURCE}${folder}/${file}`, 'utf8')),
      ),
    );
}

/** Written by what keeps and erases, by the database itself, or by the package with which servers talk to one another. */
const BY_OTHERS = ['auditLines', 'erasedPeople', 'fighterRevisions', 'hallMessages'];

describe('each table', () => {
  it('is known', () => expect(TABLES.length).toBeGreaterThan(15));
  it.each(TABLES)('%s (%s) has one module that writes it', (name) => {
    expect(writersOf(name)).toHaveLength(BY_OTHERS.includes(name) ? 0 : 1);
  });
});
