import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const at = '2026-03-05T18:30:00Z';
const everything = async (): Promise<string> => JSON.stringify((await call('GET', 'export.json')).body);

describe('the data of a person', () => {
  beforeAll(async () => {
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
});
