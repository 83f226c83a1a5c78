import { getTableName, sql } from 'drizzle-orm';
import type { Database } from '../database.ts';
import { fighterRevisions } from '../schema.ts';
import { rowsOf } from './rowsOf.ts';

export const COPY_FORMAT = 'eurhythm copy';

/** The first line of a copy: which tables follow, with how many rows, and by which migration they were made. */
export interface CopyHead {
  readonly format: typeof COPY_FORMAT;
  readonly madeAt: string;
  readonly why: string;
  /** When the newest migration was written, by which it is reported among those of the server. */
  readonly migration: number;
  readonly tables: readonly { readonly name: string; readonly rows: number }[];
}

/** The newest migration of a database; null for one that has none yet. */
export async function newestMigration(database: Database): Promise<number | null> {
  const [known] = await rowsOf<{ known: string | null }>(
    database,
    sql`select to_regclass('drizzle.__drizzle_migrations')::text as known`,
  );
  if (!known?.known) return null;
  const [newest] = await rowsOf<{ at: string | number | null }>(
    database,
    sql`select max(created_at) as at from drizzle.__drizzle_migrations`,
  );
  return newest?.at === null || newest === undefined ? null : Number(newest.at);
}

/**
 * Every table of the database as lines of JSON, whatever version of the server made it: the head, then the rows of each table. One view
 * of everything, while others go on to write.
 */
export async function dumpTables(database: Database, why: string, now: Date): Promise<string[]> {
  const migration = await newestMigration(database);
  return database.transaction(
    async (tx) => {
      const tables = await rowsOf<{ name: string }>(
        tx,
        sql`select tablename as name from pg_tables where schemaname = 'public' and tablename <> ${getTableName(fighterRevisions)} order by tablename`,
      );
      const counts: { name: string; rows: number }[] = [];
      const lines: string[] = [];
      for (const { name } of tables) {
        const rows = await rowsOf<{ row: string }>(
          tx,
          sql`select to_jsonb(t)::text as row from ${sql.identifier(name)} t`,
        );
        counts.push({ name, rows: rows.length });
        for (const { row } of rows) lines.push(row);
      }
      const head: CopyHead = {
        format: COPY_FORMAT,
        madeAt: now.toISOString(),
        why,
        migration: migration ?? 0,
        tables: counts,
      };
      return [JSON.stringify(head), ...lines];
    },
    { isolationLevel: 'repeatable read' },
  );
}
