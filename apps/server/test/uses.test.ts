import { round, session } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const combo = {
  gradeId: 'ebb',
  number: 60,
  title: 'Kept',
  line: '1 2 3',
  bpm: 80,
  beatsPerBar: 4,
  notes: '',
  bothLeads: true,
  focus: [],
  cycleBeats: null,
  contact: [],
  variant: null,
};
const named = (comboId: string) => [
  { ...round.blocks[0], kind: 'combo', combos: [{ comboId }], seconds: 40 },
];
const listed = async (query = ''): Promise<string[]> =>
  (await call('GET', `combos${query}`)).body.items.map(({ id }: { id: string }) => id);

describe('a combo that is used', () => {
  beforeAll(async () => {
    await call('PUT', 'combos/kept', combo);
    await call('PUT', 'sessions/uses-it', {
      ...session,
      title: 'Uses it',
      rounds: [{ ...round, blocks: named('kept') }],
    });
    await call('PUT', 'library/uses-it', { title: 'A piece', rounds: [{ ...round, blocks: named('kept') }] });
  });

  it('says where', async () => {
    expect((await call('GET', 'combos/kept/uses')).body).toEqual({
      usedBy: ['“Uses it”', '“A piece” of the library'],
    });
    expect((await call('GET', 'combos/none/uses')).status).toBe(404);
  });
  it('is retired instead of taken out: readable, not offered, and nothing that names it breaks', async () => {
    expect((await call('DELETE', 'combos/kept')).status).toBe(204);
    expect((await call('GET', 'combos/kept')).body).toMatchObject({ title: 'Kept', retired: true });
    expect(await listed()).not.toContain('kept');
    expect(await listed('?retired=with')).toContain('kept');
    for (const path of ['voice', 'sessions/uses-it', 'sessions/uses-it/calls.vtt', 'export.json'])
      expect([path, (await call('GET', path)).status >= 500]).toEqual([path, false]);
    expect((await call('GET', 'voice')).status).toBe(200);
    expect((await call('GET', 'sessions/uses-it/calls.vtt')).status).toBe(200);
    const { status } = await call('PUT', 'runs/with-retired', {
      sessionId: 'uses-it',
      fighterIds: ['ines'],
      startedAt: '2026-03-05T18:30:00.000Z',
    });
    expect(status).toBe(200);
    expect((await call('GET', 'runs/with-retired/plan')).status).toBe(200);
  });
  it('frees its number, and comes back when it is written again', async () => {
    expect((await call('PUT', 'combos/follows', { ...combo, title: 'Follows' })).status).toBe(200);
    expect((await call('PUT', 'combos/kept', combo)).status).toBe(409);
    expect((await call('PUT', 'combos/kept', { ...combo, number: 61 })).body).toMatchObject({
      number: 61,
    });
    expect((await call('GET', 'combos/kept')).body.retired).toBeUndefined();
    expect(await listed()).toContain('kept');
  });
  it('is taken out once nobody uses it any more', async () => {
    await call('DELETE', 'combos/kept');
    await call('DELETE', 'library/uses-it');
    await call('PUT', 'sessions/uses-it', { ...session, title: 'Uses it' });
    expect((await call('GET', 'combos/kept/uses')).body.usedBy).toEqual([]);
    expect((await call('DELETE', 'combos/kept')).status).toBe(204);
    expect((await call('GET', 'combos/kept')).status).toBe(404);
  });
});

describe('a move that is used', () => {
  it('only in a line of a session, a piece or a list stays readable', async () => {
    const line = {
      ...round.blocks[0],
      kind: 'combo',
      combos: [{ line: 'wheel 2', title: 'Own' }],
      seconds: 40,
    };
    await call('PUT', 'sessions/own-line', {
      ...session,
      title: 'Own line',
      rounds: [{ ...round, blocks: [line] }],
    });
    const { body } = await call('DELETE', 'moves/wheel');
    expect(body.retired).toBe(true);
    expect(body.usedBy).toContain('“Own line”');
    expect((await call('GET', 'sessions/own-line/calls.vtt')).status).toBe(200);
  });
});
