import { inArray, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { fighterRevisions, tests } from '../store/schema.ts';

/**
 * A text that is another one whenever a trial, a mark or the lead of one of these was written, or a test asks for something else. To
 * be read before what is kept under it: what is written in between then belongs to the next one.
 */
export const revisionOf = (database: Database, fighterIds: readonly string[]): Promise<string> =>
  revision(database, inArray(fighterRevisions.fighterId, [...fighterIds]));

/** The same of everybody. */
export const revisionOfGym = (database: Database): Promise<string> => revision(database, undefined);

async function revision(database: Database, whose: SQL | undefined): Promise<string> {
  const id = fighterRevisions.fighterId;
  const [row] = await database
    .select({
      of: sql<string>`concat(md5(string_agg(${id} || ' ' || ${fighterRevisions.revision}, ',' order by ${id})), ' ', (select sum(${tests.version}) from ${tests}))`,
    })
    .from(fighterRevisions)
    .where(whose);
  return row!.of;
}
