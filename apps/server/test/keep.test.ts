import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { changes, round, session } from './requests.ts';
import { serverForThisFile, startGym, type StartedServer } from './startedServer.ts';

const { call } = serverForThisFile();
let empty: Omit<StartedServer, 'data'>;
beforeAll(async () => {
  empty = await startGym('empty');
});
afterAll(() => empty.stop());

const at = '2026-03-05T18:30:00Z';
const gymFile = async (query = '', from: typeof call = call): Promise<any> =>
  JSON.parse(JSON.stringify((await from('GET', `export.json${query}`)).body));
/** A file without when it was made. */
const contents = ({ madeAt: _, ...file }: any): any => file;
/** How often a thing was changed is known by each gym for itself. */
const unversioned = (body: any): any =>
  JSON.parse(JSON.stringify(body, (key, value) => (/version/i.test(key) ? undefined : value)));
const bringIn = (file: unknown, query = '', into: typeof call = call) => into('POST', `import${query}`, file);

describe('a gym in a file', () => {
  beforeAll(async () => {
    await call('PUT', 'library/own', { title: 'Own piece', rounds: [round] });
    await call('PUT', 'sessions/short', session);
    await call('PUT', 'sessions/short/sheet', {
      present: [{ fighterId: 'ines', from: 0, until: null, ticked: [] }],
      size: 2,
      rotations: 4,
    });
    await call('PUT', 'runs/held', { sessionId: 'short', fighterIds: ['ines', 'emeka'], startedAt: at });
    await call('PUT', 'runs/held/events/s', { kind: 'start', round: 0, position: 0, at });
    await call('PUT', 'runs/held/results/m', { round: 0, fighterId: 'ines', done: 'part', at });
    await call('PUT', 'combos/ebb-1', { ...(await combo('ebb-1')), title: 'Changed' });
    await call('PUT', 'fighters/emeka/fit', { fit: false, reason: 'Sprained wrist', by: 'Ama' });
  });
  const combo = async (id: string): Promise<any> => {
    const {
      id: _,
      grade: __,
      version: ___,
      updatedAt: ____,
      ...body
    } = (await call('GET', `combos/${id}`)).body;
    return body;
  };

  it('is as its published schema says', async () => {
    const ajv = addFormats.default(new Ajv2020({ strict: false, allErrors: true }));
    const isRight = ajv.compile((await call('GET', 'export.schema.json')).body);
    isRight(await gymFile());
    expect(isRight.errors ?? []).toEqual([]);
    expect(isRight({ ...(await gymFile()), fighters: [{ id: 'x' }] })).toBe(false);
  });
  it('fills an empty gym so that its own file is the same, and a second time changes nothing', async () => {
    const file = await gymFile();
    const preview = await bringIn(file, '?preview=yes', empty.call);
    expect([preview.status, preview.body.done]).toEqual([200, false]);
    expect((await empty.call('GET', 'fighters')).body.items).toEqual([]);
    const first = await bringIn(file, '', empty.call);
    expect(first.body).toEqual({ ...preview.body, done: true });
    const { grades, ...theirs } = contents(await gymFile('', empty.call));
    const { grades: own, ...ours } = contents(file);
    expect(theirs).toEqual(ours);
    // The grade of an empty gym stays behind those of the file.
    expect(grades).toEqual([...own, { id: 'everybody', name: 'Everybody', band: 'adults' }]);
    const again = await bringIn(file, '', empty.call);
    expect(changes(again.body)).toEqual([]);
    for (const path of [
      'fighters/ines/log',
      'runs/held',
      'sessions/short/sheet',
      'library',
      'runs/held/plan',
    ])
      expect(unversioned((await empty.call('GET', path)).body)).toEqual(
        unversioned((await call('GET', path)).body),
      );
  });
  it('brings back what was changed or taken out since, and tells it before', async () => {
    const file = await gymFile();
    await call('PUT', 'combos/ebb-2', { ...(await combo('ebb-2')), title: 'Spoilt' });
    await call('DELETE', 'library/own');
    const { body } = await bringIn(file, '?preview=yes');
    expect(changes(body)).toEqual(['combos 0/1', 'pieces of the library 1/0']);
    await bringIn(file);
    expect((await combo('ebb-2')).title).not.toBe('Spoilt');
    expect(changes((await bringIn(file)).body)).toEqual([]);
  });
  it('of a release whose voice spoke faster is read, with the fastest that it speaks now', async () => {
    const file = await gymFile();
    const { school } = file.gym;
    const older = { ...file, gym: { ...file.gym, school: { ...school, voiceRate: 1.75, sides: undefined } } };
    expect((await bringIn(older)).status).toBe(200);
    expect((await call('GET', 'gym')).body.school).toMatchObject({ voiceRate: 1.35, sides: 'lead-rear' });
    await bringIn(file);
  });
  it('does not lift a mark that was set after it was made, and says so', async () => {
    const file = await gymFile();
    await call('PUT', 'fighters/sanne/fit', { fit: false, reason: 'Concussion', by: 'Ama' });
    const { body } = await bringIn(file);
    expect(body.notes).toEqual([expect.stringMatching(/^Sanne Ibarra stays not fit to train/)]);
    expect((await call('GET', 'fighters/sanne/fit')).body).toMatchObject({
      fit: false,
      reason: 'Concussion',
    });
  });
  it('leaves the newest marks, and what was taken out, as they are', async () => {
    const file = await gymFile();
    await call('PUT', 'runs/held/results/later', {
      round: 0,
      fighterId: 'ines',
      done: 'finished',
      at: '2026-03-05T19:00:00Z',
    });
    const trial = file.attempts[0];
    await call('DELETE', `attempts/${trial.id}`);
    expect(changes((await bringIn(file)).body)).toEqual([]);
    expect((await call('GET', 'runs/held')).body.results).toMatchObject([{ id: 'later' }]);
    expect((await gymFile()).attempts.some(({ id }: any) => id === trial.id)).toBe(false);
  });
});

describe('a part of a gym', () => {
  it('is a grade’s combos with what they need; numbers that mean other moves are written anew', async () => {
    const file = await gymFile('?grade=ebb');
    expect([file.whole, file.gym, file.fighters]).toEqual([false, null, undefined]);
    expect(new Set(file.combos.map(({ gradeId }: any) => gradeId))).toEqual(new Set(['ebb']));
    const other = await startGym('empty');
    const { numbers } = (await other.call('GET', 'moves')).body;
    const swap: Record<number, number> = { 1: 2, 2: 1 };
    const swapped = numbers.map((each: any) => ({ ...each, number: swap[each.number] ?? each.number }));
    await other.call('PUT', 'numbers', { numbers: swapped, rewrite: false });
    const { body } = await bringIn(file, '', other.call);
    expect(body.notes[0]).toMatch(/lines? (is|are) written anew/);
    const lineOf = async (from: typeof call): Promise<any> => {
      const { line, gradeId } = (await from('GET', 'combos/ebb-1')).body;
      const analysed = (await from('POST', 'combos/analyse', { line, lead: 'left' })).body;
      return [gradeId, analysed.strokes.map(({ move, side }: any) => `${move} ${side}`)];
    };
    expect(await lineOf(other.call)).toEqual(await lineOf(call));
    expect(changes((await bringIn(file, '', other.call)).body)).toEqual([]);
    expect((await other.call('GET', 'moves')).body.numbers).toEqual(
      swapped.sort((a: any, b: any) => a.number - b.number),
    );
    await other.stop();
  });
  it('finds its grade by its name, and its combos find free numbers', async () => {
    const file = await gymFile('?grade=ebb');
    const text = JSON.stringify(file).replaceAll('"ebb"', '"elsewhere"').replaceAll('"ebb-', '"elsewhere-');
    const { status, body } = await call('POST', 'import', text);
    expect(status).toBe(200);
    expect(body.notes).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/“Ebb” of the file is the grade “Ebb”/),
        expect.stringMatching(/takes number \d+/),
      ]),
    );
    expect((await call('GET', 'combos/elsewhere-1')).body.gradeId).toBe('ebb');
    expect(changes((await call('POST', 'import', text)).body)).toEqual([]);
  });
  it('is a piece of the library with the combos that it names', async () => {
    const file = await gymFile('?library=own');
    expect([file.library.length, file.combos.map(({ id }: any) => id)]).toEqual([1, ['ebb-1']]);
    expect((await call('GET', 'export.json?library=none')).status).toBe(404);
  });
  it('is everything about one fighter, and nothing about others', async () => {
    const file = await gymFile('?fighter=ines');
    expect(file.fighters).toMatchObject([{ id: 'ines' }]);
    expect(file.results.every(({ fighterId }: any) => fighterId === 'ines')).toBe(true);
    expect(file.attempts.length).toBeGreaterThan(0);
    const others = (await call('GET', 'fighters')).body.items.filter(({ id }: any) => id !== 'ines');
    for (const { id, name } of others) {
      expect(JSON.stringify(file)).not.toContain(name);
      expect(JSON.stringify(file)).not.toContain(`"${id}"`);
    }
  });
});
