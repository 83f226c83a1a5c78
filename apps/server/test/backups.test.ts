import { jest } from '@jest/globals';
import {
  existsSync,
  readFileSync,
  readdirSync,
  rmSync,
  truncateSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { QUICK, folderOfOwn, runToEnd, startServer, type StartedServer } from './startedServer.ts';
import { freePort } from '../../../scripts/freePort.mjs';

jest.setTimeout(300_000);
const RESTORE = fileURLToPath(new URL('../dist/bundle/restore.js', import.meta.url));
let data: string;
beforeEach(() => (data = folderOfOwn()));
afterEach(() => rmSync(data, { recursive: true, force: true }));
/** Copies of a gym that began empty are small, and soon made. */
const EMPTY = { EURHYTHM_DEMO: '0' };
const fighter = { name: 'Pavo Nkemelu', gradeId: 'everybody', lead: 'left', note: '' };
const restore = (...args: string[]) =>
  spawnSync(process.execPath, [...QUICK, RESTORE, ...args], {
    env: { ...process.env, EURHYTHM_DATA: data },
    encoding: 'utf8',
  });
const start = () => freePort().then((port) => runToEnd({ EURHYTHM_DATA: data, PORT: String(port) }));

describe('copies of the gym', () => {
  let server: StartedServer;
  beforeAll(async () => {
    server = await startServer(undefined, { ...EMPTY, EURHYTHM_BACKUP_AFTER: '0' });
  });
  afterAll(() => server.stop());

  const theme = { title: 'Low kicks', from: '2026-03-02', until: '2026-03-08' };
  const themes = async () => (await server.call('GET', 'themes')).body.items;

  it('one is made each day while the server runs, opened, and brought back by the page', async () => {
    let items: any[] = [];
    for (let i = 0; i < 200 && items.length === 0; i++) {
      await new Promise((done) => setTimeout(done, 100));
      ({ items } = (await server.call('GET', 'backups')).body);
    }
    expect(items).toMatchObject([{ why: 'as every day', checked: true }]);
    await server.call('PUT', 'themes/low', theme);
    const { body: by } = await server.call('POST', 'backups');
    await server.call('DELETE', 'themes/low');
    expect((await server.call('POST', `backups/${by.name}/restore`)).status).toBe(400);
    const back = await server.call('POST', `backups/${by.name}/restore?sure=yes`);
    expect([back.status, back.body.why]).toEqual([200, 'before an older copy was brought back']);
    expect(await themes()).toMatchObject([theme]);
    expect((await server.call('GET', 'keeping')).body.audit[0].what).toMatch(/older copy/);
    expect((await server.call('POST', 'backups/none.ndjson.gz/restore?sure=yes')).status).toBe(404);
    expect((await server.call('GET', 'backups/..%2Feurhythm.lock')).status).toBe(404);
    // A copy that is spoilt afterwards changes nothing.
    const file = join(server.data, 'backups', by.name);
    writeFileSync(file, readFileSync(file).subarray(0, 500));
    const spoilt = await server.call('POST', `backups/${by.name}/restore?sure=yes`);
    expect([spoilt.status, spoilt.body.message]).toEqual([422, 'This copy is damaged.']);
    expect(await themes()).toMatchObject([theme]);
  });
  it('asked for many times at once are made once more at the most', async () => {
    const { items: before } = (await server.call('GET', 'backups')).body;
    const all = await Promise.all(Array.from({ length: 6 }, () => server.call('POST', 'backups')));
    expect(new Set(all.map(({ status }) => status))).toEqual(new Set([200]));
    const { items } = (await server.call('GET', 'backups')).body;
    expect(items.length - before.length).toBeLessThanOrEqual(2);
    for (const { body } of all) expect(items).toContainEqual(body);
  });
});

describe('a copy that is being made', () => {
  it('is dropped when the server is stopped meanwhile, and nothing of it is left', async () => {
    const server = await startServer(data, EMPTY);
    const asked = server.call('POST', 'backups');
    await server.call('GET', 'backups');
    const next = server.call('POST', 'backups');
    await server.call('GET', 'backups');
    const [answers] = await Promise.all([Promise.all([asked, next]), server.stop()]);
    expect(answers.map(({ status, body }) => [status, body.message])).toEqual([
      [503, expect.stringContaining('is being stopped')],
      [503, expect.stringContaining('is being stopped')],
    ]);
    expect(readdirSync(join(data, 'backups'))).toEqual([]);
  });
});

describe('a damaged database', () => {
  it('is named and set aside, nothing is put over it, and the copy of choice comes back', async () => {
    const server = await startServer(data, EMPTY);
    const { body: early } = await server.call('POST', 'backups');
    await server.call('PUT', 'fighters/pavo', fighter);
    await server.call('POST', 'backups');
    expect(restore().stderr).toContain('is in use by process');
    await server.stop();
    unlinkSync(join(data, 'database', 'PG_VERSION'));
    const first = await start();
    expect([first.code, first.said.trim()]).toEqual([
      1,
      expect.stringMatching(
        /is damaged: its file PG_VERSION is missing\. It was set aside, unchanged, as database\.damaged-.*“npm run restore” brings it back\.$/,
      ),
    ]);
    // It does not begin anew by itself.
    const second = await start();
    expect([second.code, second.said]).toEqual([1, expect.stringContaining('is gone. The last good copy')]);
    const { status, stdout } = restore();
    expect([status, stdout]).toEqual([0, expect.stringContaining('is back.')]);
    expect(readdirSync(data).filter((name) => name.startsWith('database.damaged-'))).toHaveLength(1);
    expect(restore('--list').stdout).toContain(early.name);
    expect(restore('none').stderr).toContain('There is no copy none');
    // What is replaced is kept: both ways can be gone.
    expect(restore(early.name).status).toBe(0);
    const again = await startServer(data, EMPTY);
    expect((await again.call('GET', 'fighters/pavo')).status).toBe(404);
    const before = (await again.call('GET', 'backups')).body.items.find(({ why }: any) =>
      /older copy/.test(why),
    );
    await again.call('POST', `backups/${before.name}/restore?sure=yes`);
    expect((await again.call('GET', 'fighters/pavo')).body).toMatchObject(fighter);
    await again.stop();
    // A file that is there and cannot be read is damage too; without a copy there is nothing to bring back.
    truncateSync(join(data, 'database', 'global', 'pg_control'), 10);
    rmSync(join(data, 'backups'), { recursive: true });
    const third = await start();
    expect([third.code, third.said]).toEqual([
      1,
      expect.stringMatching(/cannot be read.*There is no copy of it yet/s),
    ]);
    expect(existsSync(join(data, 'database'))).toBe(false);
    expect(restore().stderr).toContain('There is no copy in');
  });
});

describe('the demonstration', () => {
  it('is taken out in one press, but for what the gym needs of it', async () => {
    const server = await startServer(data);
    await server.call('PUT', 'fighters/pavo', { ...fighter, gradeId: 'ebb' });
    const { rounds } = (await server.call('GET', 'sessions/first-steps')).body;
    await server.call('PUT', 'sessions/own', { title: 'Own', lead: 'left', plannedFor: null, rounds });
    expect((await server.call('GET', 'keeping')).body.demo).toBe(true);
    expect((await server.call('DELETE', 'demo')).status).toBe(400);
    const { status, body } = await server.call('DELETE', 'demo?sure=yes');
    expect(status).toBe(200);
    expect(body.usedBy).toEqual(
      expect.arrayContaining([expect.stringMatching(/combo/), expect.stringMatching(/grade/)]),
    );
    expect((await server.call('GET', 'fighters')).body.items.map(({ id }: any) => id)).toEqual(['pavo']);
    expect((await server.call('GET', 'sessions')).body.items.map(({ id }: any) => id)).toEqual(['own']);
    expect((await server.call('GET', 'sessions/own/calls.vtt')).status).toBe(200);
    expect((await server.call('GET', 'today')).body).toMatchObject({ lastRun: null, themes: [] });
    expect((await server.call('GET', 'keeping')).body.demo).toBe(false);
    expect((await server.call('DELETE', 'demo?sure=yes')).status).toBe(200);
    await server.stop();
  });
  it('is left out of a gym that begins empty, in which everything can be begun', async () => {
    const server = await startServer(data, EMPTY);
    for (const list of ['combos', 'sessions', 'fighters', 'tests', 'themes'])
      expect([list, (await server.call('GET', list)).body.items]).toEqual([list, []]);
    const { grades } = (await server.call('GET', 'gym')).body;
    expect(grades).toEqual([expect.objectContaining({ id: fighter.gradeId })]);
    expect((await server.call('PUT', 'fighters/pavo', fighter)).status).toBe(200);
    await server.stop();
  });
});
