import type { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { getTableColumns } from 'drizzle-orm';
import { pgTable, text } from 'drizzle-orm/pg-core';
import type { GymFile } from '@eurhythm/contract';
import { eraseOwn } from '../../backup/erasePerson.ts';
import { beginEmptyGym } from '../../demo/emptyGym.ts';
import type { Database } from '../../store/database.ts';
import { MIGRATIONS } from '../../store/migrations.ts';
import { openInMemory } from '../../store/open/openPglite.ts';
import * as schema from '../../store/schema.ts';
import { planImport } from './planImport.ts';
import { readGym } from './readGym.ts';
import { ofFighter } from './selectFile.ts';
import { PARTS, part, type PartName } from './tableDescriptions.ts';
import { writeGym } from './writeGym.ts';

describe('the description of the tables', () => {
  it('has what is named before what names it, and knows its own fields', () => {
    const places = new Map(PARTS.map(({ name }, place) => [name, place]));
    for (const { name, refers, keys, person, table } of PARTS) {
      for (const to of Object.values(refers))
        if (to !== name) expect([name, to, places.get(to)! < places.get(name)!]).toEqual([name, to, true]);
      const fields = Object.keys(getTableColumns(table));
      expect(fields).toEqual(expect.arrayContaining([...keys, ...(person === null ? [] : [person])]));
    }
  });
});

describe('a table that is added to it', () => {
  const lockers = pgTable('lockers', {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id').notNull(),
    note: text('note').notNull(),
  });
  const name = 'lockers' as PartName;
  const more = { refers: { fighterId: 'fighters' }, person: 'fighterId' } as const;
  const parts = [...PARTS, part(name, 'lockers', lockers, more)];
  const now = new Date('2026-03-05T18:30:00Z');
  let client: PGlite;
  let database: Database;
  const itemsOf = (file: object | null): unknown => (file as Record<string, unknown>)['lockers'];
  const read = () => readGym(database, now, parts);
  const bringIn = async (more: object) => {
    const file = { ...(await read()), whole: false, ...more } as GymFile;
    const plan = await planImport(await read(), file, parts);
    if (plan.ok) await database.transaction((tx) => writeGym(tx, plan.write, parts));
    return plan;
  };

  beforeAll(async () => {
    client = await openInMemory();
    const made = drizzle(client, { schema });
    database = made;
    await migrate(made, { migrationsFolder: MIGRATIONS });
    await client.query(
      'create table lockers (id text primary key, fighter_id text not null references fighters (id), note text not null)',
    );
    await beginEmptyGym(database);
    const [grade] = await database.select().from(schema.grades).limit(1);
    for (const id of ['ada', 'bo'])
      await client.query(
        `insert into fighters (id, name, grade_id, lead, note, fit) values ($1, $1, $2, 'left', '', true)`,
        [id, grade!.id],
      );
  });
  afterAll(async () => {
    await client.close();
  });

  const own = { id: 'l1', fighterId: 'ada', note: 'left shin pad' };
  const other = { id: 'l2', fighterId: 'bo', note: '' };

  it('is imported, with what it would do reported before, and exported again', async () => {
    const plan = await bringIn({ lockers: [own, other] });
    expect(plan.ok && plan.report.parts.find((each) => each.name === 'lockers')).toMatchObject({ added: 2 });
    expect(itemsOf(await read())).toEqual([own, other]);
    await bringIn({ lockers: [{ ...own, note: 'both shin pads' }] });
    expect(itemsOf(ofFighter(await read(), 'ada', parts))).toEqual([{ ...own, note: 'both shin pads' }]);
  });
  it('is checked: it names somebody who is there', async () => {
    const plan = await bringIn({ lockers: [{ ...own, fighterId: 'nobody' }] });
    expect(plan).toEqual({
      ok: false,
      errors: [
        {
          field: 'lockers.0.fighterId',
          message: 'This fighter is neither in this file nor in the gym.',
        },
      ],
    });
  });
  it('is erased with the person, and nobody else’s', async () => {
    await database.transaction((tx) => eraseOwn(tx, 'ada', parts));
    const gym = await read();
    expect([itemsOf(gym), gym.fighters.map(({ id }) => id)]).toEqual([[other], ['bo']]);
  });
});
