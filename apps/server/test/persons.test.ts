import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const at = '2026-03-05T18:30:00Z';
const everything = async (): Promise<string> => JSON.stringify((await call('GET', 'export.json')).body);

describe('the data of a person', () => {
  let copy: string;
  beforeAll(async () => {
    copy = (await call('POST', 'backups')).body.name;
    const { id: _, grade: __, version: ___, ...dario } = (await call('GET', 'fighters/dario')).body;
    await call('PUT', 'fighters/dario', { ...dario, apart: ['radek', 'sanne'] });
    await call('PUT', 'sessions/first-steps/sheet', {
      present: ['sanne', 'emeka'].map((fighterId) => ({ fighterId, from: 0, until: null, ticked: [] })),
      size: 2,
      rotations: 4,
    });
    await call('PUT', 'runs/last', {
      sessionId: 'first-steps',
      fighterIds: ['sanne', 'emeka'],
      startedAt: at,
    });
    await call('PUT', 'runs/last/results/a', { round: 0, fighterId: 'sanne', done: 'finished', at });
    await call('PUT', 'runs/last/results/b', { round: 0, fighterId: 'emeka', done: 'part', at });
    await call('PUT', 'attempts/t', {
      fighterId: 'sanne',
      runId: 'last',
      title: 'Two straights',
      lead: 'left',
      seconds: 10,
      instants: [1],
      at,
    });
    await call('PUT', 'runs/last/end');
  });
  it('leaves no mark with a trial that was taken out before', async () => {
    const { attempts } = (await call('GET', 'export.json')).body;
    const own = attempts.find(({ id, fighterId }: any) => fighterId === 'sanne' && id.includes('sanne'));
    const again = {
      fighterId: 'sanne',
      testId: own.testId,
      lead: own.lead,
      instants: own.instants,
      at: own.at,
    };
    expect((await call('DELETE', `attempts/${own.id}`)).status).toBe(204);
    expect((await call('PUT', `attempts/${own.id}`, again)).status).toBe(410);
    const { removedAttempts } = (await call('GET', 'export.json')).body;
    expect(removedAttempts).toHaveLength(1);
    expect(JSON.stringify(removedAttempts)).not.toContain('sanne');
  });
  it('is not erased without being sure', async () => {
    const { status, body } = await call('DELETE', 'fighters/sanne');
    expect([status, body.message]).toEqual([400, expect.stringContaining('are you sure')]);
    expect((await call('GET', 'fighters/sanne')).status).toBe(200);
  });
  it('is erased for good: nothing in the gym names or means the person any more', async () => {
    expect((await call('DELETE', 'fighters/sanne?sure=yes')).status).toBe(204);
    const text = await everything();
    expect(text).not.toContain('Sanne');
    expect(text.replaceAll(/"[a-z0-9-]*-sanne-[a-z0-9-]*"/g, '')).not.toMatch(/"sanne"/);
    expect(text).not.toMatch(/sanne/i);
    for (const path of [
      'fighters/sanne',
      'fighters/sanne/log',
      'fighters/sanne/fit',
      'export.json?fighter=sanne',
    ])
      expect((await call('GET', path)).status).toBe(404);
    expect((await call('DELETE', 'fighters/sanne?sure=yes')).status).toBe(404);
  });
  it('leaves the totals of the classes, and a line that names nobody', async () => {
    const { runs } = (await call('GET', 'export.json')).body;
    expect(runs.find(({ id }: any) => id === 'last').fighterIds).toEqual(['emeka']);
    expect((await call('GET', 'runs/last')).body.results).toMatchObject([{ fighterId: 'emeka' }]);
    const { audit } = (await call('GET', 'keeping')).body;
    expect(audit[0].what).toBe('The data of a person was erased.');
    expect(JSON.stringify(audit)).not.toMatch(/sanne/i);
  });
  it('is known to be in an older copy, and does not come back with it', async () => {
    const copies = async () => (await call('GET', 'backups')).body.items;
    const [older, newer] = [copy, (await call('POST', 'backups')).body.name];
    const since = new Map((await copies()).map(({ name, erasedSince }: any) => [name, erasedSince]));
    expect([since.get(older), since.get(newer)]).toEqual([1, 0]);
    expect((await call('POST', `backups/${older}/restore?sure=yes`)).status).toBe(200);
    expect((await call('GET', 'fighters/emeka')).status).toBe(200);
    expect((await call('GET', 'fighters/sanne')).status).toBe(404);
    expect(await everything()).not.toMatch(/sanne/i);
    // A second time too: the copy knew nobody who was erased.
    expect((await call('POST', `backups/${older}/restore?sure=yes`)).status).toBe(200);
    expect((await call('GET', 'fighters/sanne')).status).toBe(404);
    // Who came back to the gym since is in the copies from then on, and stays when one of them is brought back.
    const entry = { name: 'Sanne Ibarra', gradeId: 'ebb', lead: 'left', note: 'Back again' };
    expect((await call('PUT', 'fighters/sanne', entry)).status).toBe(200);
    const { name } = (await call('POST', 'backups')).body;
    expect((await call('POST', `backups/${name}/restore?sure=yes`)).status).toBe(200);
    expect((await call('GET', 'fighters/sanne')).body).toMatchObject(entry);
  });
});
