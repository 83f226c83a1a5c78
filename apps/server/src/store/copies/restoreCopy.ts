import { sql } from 'drizzle-orm';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import type { Database, Transaction } from '../database.ts';
import { MIGRATIONS } from '../migrations.ts';
import { COPY_FORMAT, type CopyHead } from './dumpTables.ts';
import { rowsOf } from './rowsOf.ts';

/** A copy that cannot be read or is not whole. */
export class BrokenCopy extends Error {}

/** Rows of one statement. */
const AT_ONCE = 500;

/** Reads the lines of a copy. @throws BrokenCopy with a sentence when something is missing or cannot be read. */
export function readCopy(text: string): { head: CopyHead; rows: ReadonlyMap<string, readonly string[]> } {
  const lines = text.split('\n').filter((line) => line !== '');
  const head = headOf(lines[0]);
  const rows = new Map<string, string[]>();
  let at = 1;
  for (const { name, rows: count } of head.tables) {
    rows.set(name, lines.slice(at, at + count));
    at += count;
  }
  if (at !== lines.length)
    throw new BrokenCopy(`This copy has ${lines.length - 1} rows instead of ${at - 1}.`);
  return { head, rows };
}

function headOf(line: string | undefined): CopyHead {
  try {
    const head = JSON.parse(line ?? '') as CopyHead;
    if (head.format === COPY_FORMAT && Array.isArray(head.tables)) return head;
  } catch {
    // reported below
  }
  throw new BrokenCopy('This is no copy of a gym.');
}

/**
 * Puts the database into the state of a copy, all or nothing: everything that is there goes, the tables are made as they were when the
 * copy was made, and filled. Newer migrations follow as at every start.
 */
export async function restoreCopy(database: Database, text: string): Promise<void> {
  const { head, rows } = readCopy(text);
  const all = readMigrationFiles({ migrationsFolder: MIGRATIONS });
  const had = all.filter(({ folderMillis }) => folderMillis <= head.migration);
  if (had.at(-1)?.folderMillis !== head.migration)
    throw new BrokenCopy(
      'This copy was made by a newer version of the server. Bring the server up to date first.',
    );
  await database.transaction(async (tx) => {
    await tx.execute(sql`drop schema if exists drizzle cascade`);
    await tx.execute(sql`drop schema public cascade`);
    await tx.execute(sql`create schema public`);
    await tx.execute(sql`create schema drizzle`);
    await tx.execute(
      sql`create table drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint)`,
    );
    for (const migration of had) {
      for (const statement of migration.sql) await tx.execute(sql.raw(statement));
      await tx.execute(
        sql`insert into drizzle.__drizzle_migrations (hash, created_at) values (${migration.hash}, ${migration.folderMillis})`,
      );
    }
    for (const name of await inOrderOfReferences(tx)) await fill(tx, name, rows.get(name) ?? []);
    for (const { name, rows: count } of head.tables) await mustHold(tx, name, count);
  });
}

async function fill(tx: Transaction, name: string, rows: readonly string[]): Promise<void> {
  const table = sql.identifier(name);
  // Migrations may have put rows there that the copy has too.
  await tx.execute(sql`delete from ${table}`);
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const part = `[${rows.slice(i, i + AT_ONCE).join(',')}]`;
    await tx.execute(
      sql`insert into ${table} select * from jsonb_populate_recordset(null::${table}, ${part}::jsonb)`,
    );
  }
}

async function mustHold(tx: Transaction, name: string, count: number): Promise<void> {
  const [found] = await rowsOf<{ n: number }>(
    tx,
    sql`select count(*)::int as n from ${sql.identifier(name)}`,
  );
  if (found?.n !== count)
    throw new BrokenCopy(`The table ${name} holds ${found?.n ?? 0} rows instead of ${count}.`);
}

/** The tables, each behind those that it refers to. */
async function inOrderOfReferences(tx: Transaction): Promise<string[]> {
  const names = await rowsOf<{ name: string }>(
    tx,
    sql`select tablename as name from pg_tables where schemaname = 'public' order by tablename`,
  );
  const references = await rowsOf<{ name: string; to: string }>(
    tx,
    sql`select from_table.relname as name, to_table.relname as to from pg_constraint
        join pg_class from_table on from_table.oid = conrelid
        join pg_class to_table on to_table.oid = confrelid
        where contype = 'f'`,
  );
  const ordered: string[] = [];
  const put = (name: string): void => {
    if (ordered.includes(name)) return;
    for (const { to } of references.filter((each) => each.name === name && each.to !== name)) put(to);
    if (!ordered.includes(name)) ordered.push(name);
  };
  for (const { name } of names) put(name);
  return ordered;
}
