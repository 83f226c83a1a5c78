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

describe('a stand-in', () => {
  const sessionOf = async (id: string): Promise<any> => (await call('GET', `sessions/${id}`)).body;
  it('takes the place of a combo references at once, and the sessions say that they changed', async () => {
    await call('PUT', 'combos/worn', { ...combo, number: 61, title: 'Worn' });
    const lane = { group: 'Juniors', combos: [{ comboId: 'worn' }, { line: '1 2' }] };
    const blocks = [{ ...named('worn')[0], lanes: [lane] }];
    await call('PUT', 'sessions/worn', { ...session, title: 'Worn', rounds: [{ ...round, blocks }] });
    await call('PUT', 'library/worn', { title: 'Worn piece', rounds: [{ ...round, blocks: named('worn') }] });
    const { version } = await sessionOf('worn');
    const { status, body } = await call('PUT', 'combos/worn/stand-in', { by: 'ebb-1' });
    expect([status, body]).toEqual([200, { changed: ['“Worn”', '“Worn piece” of the library'], left: [] }]);
    const now = await sessionOf('worn');
    expect(now.version).toBe(version + 1);
    expect(now.rounds[0].blocks[0]).toMatchObject({
      combos: [{ comboId: 'ebb-1' }],
      lanes: [{ ...lane, combos: [{ comboId: 'ebb-1' }, { line: '1 2' }] }],
    });
    expect((await call('PUT', 'combos/worn/stand-in', { by: 'ebb-1' })).body).toEqual({
      changed: [],
      left: [],
    });
    expect((await call('DELETE', 'combos/worn')).status).toBe(204);
    expect(await listed('?retired=with')).not.toContain('worn');
  });
  it('takes the place of a move in every line, and what is left is reported', async () => {
    await call('PUT', 'combos/lines', { ...combo, number: 62, title: 'Lines', line: '1 r:knee' });
    const blocks = [{ ...named('ebb-1')[0], combos: [{ line: 'r:knee 2' }] }];
    await call('PUT', 'sessions/lines', { ...session, title: 'Own lines', rounds: [{ ...round, blocks }] });
    const { body } = await call('PUT', 'moves/knee/stand-in', { by: 'round' });
    expect(body.changed).toEqual(expect.arrayContaining(['“Own lines”']));
    expect((await call('GET', 'combos/lines')).body.line).toBe('1 r:round');
    expect((await sessionOf('lines')).rounds[0].blocks[0].combos).toEqual([{ line: 'r:round 2' }]);
    const { items } = (await call('GET', 'combos/lines/versions')).body;
    expect(items.map((each: any) => each.combo.line)).toEqual(['1 r:round', '1 r:knee']);
    expect(body.left.every((use: string) => /number|easier/.test(use))).toBe(true);
  });
  it.each([
    ['combos/ebb-1', 'none', 422],
    ['combos/ebb-1', 'ebb-1', 422],
    ['combos/none', 'ebb-1', 404],
    ['moves/jab', 'none', 422],
    ['moves/none', 'jab', 422],
  ])('%s by %s is refused with %s', async (path, by, status) => {
    const answer = await call('PUT', `${path}/stand-in`, { by });
    expect([answer.status, typeof answer.body.message]).toEqual([status, 'string']);
  });
});

describe('another number map', () => {
  const nineAs = (numbers: any[], code: string) =>
    numbers.map((each) => (each.number === 9 ? { ...each, code, side: null } : each));
  it('tells the lines of sessions, the library, tests and lists, and writes them anew', async () => {
    const { numbers } = (await call('GET', 'moves')).body;
    const own = [{ ...named('ebb-1')[0], combos: [{ line: '9 2' }] }];
    await call('PUT', 'sessions/nine', { ...session, title: 'Nine', rounds: [{ ...round, blocks: own }] });
    await call('PUT', 'library/nine', { title: 'Nine', rounds: [{ ...round, blocks: own }] });
    await call('PUT', 'tests/nine', {
      title: 'Nine',
      kind: 'burst',
      line: '9',
      seconds: 10,
      direction: 'higher',
    });
    await call('PUT', 'runs/nine', {
      sessionId: 'nine',
      fighterIds: ['ines'],
      startedAt: '2026-03-05T18:30:00Z',
    });
    const wanted = { numbers: nineAs(numbers, 'jab'), rewrite: true };
    const { touched } = (await call('POST', 'numbers/preview', wanted)).body;
    const names = touched.map((each: any) => each.name);
    expect(names).toEqual(
      expect.arrayContaining(
        ['“Nine”, One', '“Nine” of the library, One', 'the test “Nine”'].map((name) =>
          expect.stringContaining(name.split(',')[0]!),
        ),
      ),
    );
    await call('PUT', 'numbers', wanted);
    const before = numbers.find((each: any) => each.number === 9);
    const written = before.side === null ? before.code : `${before.side[0]}:${before.code}`;
    const lineIn = (rounds: any[]): string =>
      rounds[0].blocks.find((block: any) => block.kind === 'combo').combos[0].line;
    expect(lineIn((await call('GET', 'sessions/nine')).body.rounds)).toBe(`${written} 2`);
    expect(lineIn((await call('GET', 'runs/nine')).body.rounds)).toBe(`${written} 2`);
    const tests = (await call('GET', 'tests')).body.items;
    expect(tests.find((each: any) => each.id === 'nine').line).toBe(written);
  });
  it('changes what lines mean only where that is wanted, and never what was held', async () => {
    const { numbers } = (await call('GET', 'moves')).body;
    const own = [{ ...named('ebb-1')[0], combos: [{ line: '9 2' }] }];
    await call('PUT', 'sessions/plain', { ...session, title: 'Plain', rounds: [{ ...round, blocks: own }] });
    await call('PUT', 'runs/plain', {
      sessionId: 'plain',
      fighterIds: [],
      startedAt: '2026-03-05T18:30:00Z',
    });
    await call('PUT', 'numbers', { numbers: nineAs(numbers, 'cross'), rewrite: false });
    const lineIn = (rounds: any[]): string =>
      rounds[0].blocks.find((block: any) => block.kind === 'combo').combos[0].line;
    expect(lineIn((await call('GET', 'sessions/plain')).body.rounds)).toBe('9 2');
    expect(lineIn((await call('GET', 'runs/plain')).body.rounds)).toBe('1 2');
  });
});
