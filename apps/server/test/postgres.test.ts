import { jest } from '@jest/globals';
import pg from 'pg';
import { POSTGRES, databaseOfOwn, folderOfOwn, runToEnd, startServer } from './startedServer.ts';
import { freePort } from '../../../scripts/freePort.mjs';

jest.setTimeout(300_000);
const health = (base: string): Promise<number> => fetch(`${base}/api/fighters`).then(({ status }) => status);
const combo = (number: number, title: string) => ({
  ...{ gradeId: 'ebb', number, title, line: '1 2', bpm: 80, beatsPerBar: 4, notes: '', bothLeads: true },
});

const open: { stop(): Promise<void> }[] = [];
const started = async (url: string) => {
  const server = await startServer(folderOfOwn(), { DATABASE_URL: url });
  open.push(server);
  return server;
};
afterEach(async () => {
  for (const server of open.splice(0)) await server.stop();
});

describe('on a PostgreSQL server', () => {
  it('two first starts at once both come up, and serve the same class', async () => {
    const { url, drop } = await databaseOfOwn();
    const servers = await Promise.all([1, 2].map(() => started(url)));
    const [one, other] = servers;
    expect((await other!.call('GET', 'fighters')).body.items).toHaveLength(14);
    const at = '2026-03-05T18:30:00Z';
    await one!.call('PUT', 'runs/shared', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at });
    const mark = { round: 0, fighterId: 'ines', done: 'finished', at };
    expect((await other!.call('PUT', 'runs/shared/results/m', mark)).status).toBe(200);
    expect((await one!.call('GET', 'runs/shared')).body.results).toMatchObject([{ id: 'm' }]);
    const plans = await Promise.all(servers.map(({ call }) => call('GET', 'runs/shared/plan')));
    expect(plans[0]!.body).toEqual(plans[1]!.body);
    // The same number at once: one is kept, the other one is reported.
    const both = await Promise.all(
      servers.map(({ call }, i) => call('PUT', `combos/at-once-${i}`, combo(77, `At once ${i}`))),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    for (const server of open.splice(0)) await server.stop();
    await drop();
  });
  it('requests in flight get a sentence when their connections are cut, and all is well within five seconds', async () => {
    const { url, drop } = await databaseOfOwn();
    const server = await started(url);
    const admin = new pg.Client({ connectionString: POSTGRES });
    await admin.connect();
    const name = new URL(url).pathname.slice(1);
    let isOver = false;
    const seen: { status: number; body: any }[] = [];
    const ask = async (): Promise<void> => {
      while (!isOver) seen.push(await server.call('GET', 'export.json'));
    };
    const asking = [ask(), ask(), ask()];
    for (let i = 0; i < 5; i++) {
      await new Promise((done) => setTimeout(done, 300));
      await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    }
    isOver = true;
    await Promise.all(asking);
    expect(seen.every(({ status }) => status === 200 || status === 503)).toBe(true);
    for (const { body } of seen.filter(({ status }) => status === 503))
      expect(body.message).toBe('The database is away for a moment. Nothing was changed; try again.');
    expect(await health(server.base)).toBe(200);
    // Nobody comes in for a while, as during a restart.
    await admin.query(`alter database ${name} allow_connections false`);
    await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    expect(await health(server.base)).toBe(503);
    expect((await server.call('GET', 'health')).status).toBe(200);
    await admin.query(`alter database ${name} allow_connections true`);
    expect(await health(server.base)).toBe(200);
    await admin.end();
    for (const each of open.splice(0)) await each.stop();
    await drop();
  });
  it('a copy is made and brought back', async () => {
    const server = await startServer();
    open.push(server);
    const { body: copy } = await server.call('POST', 'backups');
    expect(copy.checked).toBe(true);
    await server.call('DELETE', 'combos/ebb-1?sure=yes');
    await server.call('DELETE', 'fighters/ines?sure=yes');
    expect((await server.call('POST', `backups/${copy.name}/restore?sure=yes`)).status).toBe(200);
    expect((await server.call('GET', 'combos/ebb-1')).body.retired ?? false).toBe(false);
    // Who was erased meanwhile is not brought back.
    expect((await server.call('GET', 'fighters/ines')).status).toBe(404);
  });
  it.each([
    [
      'a database that is not there',
      (url: URL) => ((url.pathname = '/none'), url),
      /there is no database “none”/,
    ],
    [
      'a port on which nobody answers',
      (url: URL) => ((url.port = '1'), url),
      /no PostgreSQL server answers at 127\.0\.0\.1:1/,
    ],
    [
      'a machine that is not there',
      (url: URL) => ((url.hostname = 'nowhere.invalid'), url),
      /there is no machine “nowhere\.invalid/,
    ],
    ['a user who may not come in', (url: URL) => ((url.username = 'nobody'), url), /nobody/],
  ])('an address with %s is reported, and the server ends', async (_, spoilt, sentence) => {
    const url = String(spoilt(new URL(POSTGRES!)));
    const { code, said } = await runToEnd({
      EURHYTHM_DATA: folderOfOwn(),
      PORT: String(await freePort()),
      DATABASE_URL: url,
    });
    expect([code, said.trim()]).toEqual([1, expect.stringMatching(sentence)]);
    expect(said.trim().split('\n')).toHaveLength(1);
  });
  it('what is no address is reported', async () => {
    const { code, said } = await runToEnd({
      EURHYTHM_DATA: folderOfOwn(),
      PORT: String(await freePort()),
      DATABASE_URL: 'nonsense',
    });
    expect([code, said.trim()]).toEqual([1, expect.stringContaining('DATABASE_URL')]);
  });
});
