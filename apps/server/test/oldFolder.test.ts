import { jest } from '@jest/globals';
import { cpSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { starterMovesFor } from '../../../packages/core/src/moves/index.ts';
import { folderOfOwn, startServer, type StartedServer } from './startedServer.ts';

/** A gym as the version before runs were logs kept it: its rows, and what it reported about two fighters. */
const GYM = JSON.parse(readFileSync(fileURLToPath(new URL('./gymOfBefore.json', import.meta.url)), 'utf8'));
/** Migrations that this version had. */
const HAD = 7;
const MIGRATIONS = fileURLToPath(new URL('../migrations', import.meta.url));

async function folderOfBefore(): Promise<string> {
  const folder = folderOfOwn();
  const migrations = join(folder, 'migrations');
  cpSync(MIGRATIONS, migrations, { recursive: true });
  const journal = join(migrations, 'meta/_journal.json');
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8'));
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, HAD) }));
  const client = await PGlite.create({ dataDir: join(folder, 'database') });
  await migrate(drizzle(client), { migrationsFolder: migrations });
  await client.exec('SET session_replication_role = replica');
  for (const [table, rows] of Object.entries(GYM.rows)) {
    await client.exec(`DELETE FROM "${table}"`);
    await client.query(`INSERT INTO "${table}" SELECT * FROM json_populate_recordset(NULL::"${table}", $1)`, [
      JSON.stringify(rows),
    ]);
  }
  await client.close();
  return folder;
}

jest.setTimeout(300_000);
let folder: string;
let server: StartedServer;
const get = async (path: string) => (await server.call('GET', path)).body;
beforeAll(async () => {
  folder = await folderOfBefore();
  server = await startServer(folder);
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('a data folder of the version before', () => {
  it.each(Object.keys(GYM.logs))('shows the same log of %s', async (id) => {
    const before = GYM.logs[id];
    const log = await get(`fighters/${id}/log`);
    expect(log.fighter).toMatchObject(before.fighter);
    expect(log.attempts).toMatchObject(before.attempts);
    expect(log.bursts).toMatchObject(before.bursts);
    expect(log.rounds).toMatchObject(
      // That each hears of his own group's combo is what has changed.
      before.rounds.map((round: { runId: string }) =>
        round.runId === 'old-run' ? { ...round, combos: expect.any(Array) } : round,
      ),
    );
  });
  it('names the combo of each fighter’s own group', async () => {
    const [first, second] = Object.keys(GYM.logs);
    const combosOf = async (id: string): Promise<string[]> =>
      (await get(`fighters/${id}/log`)).rounds.find((each: { runId: string }) => each.runId === 'old-run')
        .combos;
    expect(await combosOf(first!)).toEqual(['Flood 4']);
    expect(await combosOf(second!)).toEqual(['Ebb 1']);
  });
  it('comes back to where a run stood', async () => {
    const { events, results } = await get('runs/old-run');
    expect(events).toMatchObject([
      { kind: 'start', round: 0, position: 0 },
      { kind: 'hold', round: GYM.clock.round, position: GYM.clock.position },
      { kind: 'tempo', round: GYM.clock.round, position: 4, by: 6 },
    ]);
    expect(results).toHaveLength(2);
    expect((await get('runs/old-open')).events.at(-1)).toMatchObject({ kind: 'go-on', position: 3 });
    expect((await get('runs/old-run/plan')).rounds).toHaveLength(2);
  });
  it('has a grade instead of a position for each move, and a part in the rules for those of the starter book', async () => {
    const { items } = await get('moves');
    const byCode = new Map(items.map((move: { code: string }) => [move.code, move]));
    expect(byCode.get('scoop')).toMatchObject({ minGrade: 'flood', role: null });
    expect(byCode.get('jab')).toMatchObject({ minGrade: null });
    // Moves that came into the starter book since are not put into a gym's own.
    const old = starterMovesFor(['ebb', 'slack', 'flood', 'spring']).filter(({ code }) => byCode.has(code));
    expect(old.length).toBeGreaterThanOrEqual(60);
    for (const { code, role, minGrade } of old) expect(byCode.get(code)).toMatchObject({ role, minGrade });
  });
  it('has tests for what was timed, and takes more of it', async () => {
    const { items } = await get('tests');
    const own = items.find((test: { title: string }) => test.title === 'Own words of a burst');
    expect(own).toMatchObject({ kind: 'burst', seconds: 20, direction: 'higher' });
    const attempt = { fighterId: 'dario', runId: 'old-run', testId: own.id, lead: 'left', instants: [1] };
    const at = '2026-03-06T18:30:00.000Z';
    const { status, body } = await server.call('PUT', 'attempts/new', { ...attempt, at });
    expect([status, body.title, body.seconds]).toEqual([200, 'Own words of a burst', 20]);
  });
  it('lists its sessions with their lengths', async () => {
    const { items } = await get('sessions');
    expect(items.find((each: { id: string }) => each.id === 'old-lanes')).toMatchObject({
      rounds: 2,
      seconds: 120,
    });
  });
  it('opens once more as it was left', async () => {
    const before = await get('fighters/dario/log');
    await server.stop();
    server = await startServer(folder);
    expect(await get('fighters/dario/log')).toEqual(before);
  });
});
