import { formFromMove } from '@eurhythm/contract';
import { round } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
beforeAll(async () => {
  await call('PUT', 'library/own', { title: 'Own', rounds: [round] });
  await call('PUT', 'themes/own', { title: 'Own', from: '2026-03-02', until: '2026-03-08' });
  await call('PUT', 'tests/own', {
    title: 'Own',
    kind: 'burst',
    line: '1',
    seconds: 10,
    direction: 'higher',
  });
});

/** Things that two coaches may change, and how one of them changes it. */
const THINGS = [
  ['combos/ebb-1', { title: 'Theirs' }, { title: 'Mine' }],
  ['fighters/ines', { note: 'theirs' }, { note: 'mine' }],
  ['sessions/first-steps', { word: 'theirs' }, { word: 'mine' }],
  ['sessions/first-steps/sheet', { rotations: 5 }, { rotations: 6 }],
  ['library/own', { title: 'Theirs' }, { title: 'Mine' }],
] as const;

/** What is read elsewhere than where it is written. */
const WHOLE: Readonly<Record<string, () => Promise<{ body: any; version: number }>>> = {
  'moves/jab': async () => {
    const { items } = (await call('GET', 'moves')).body;
    const move = items.find((each: any) => each.code === 'jab');
    return { body: formFromMove(move), version: move.version };
  },
  'themes/own': async () => {
    const { items } = (await call('GET', 'themes')).body;
    const { id: _, version, ...body } = items.find((each: any) => each.id === 'own');
    return { body, version };
  },
  'tests/own': async () => {
    const { items } = (await call('GET', 'tests')).body;
    const { id: _, version, ...body } = items.find((each: any) => each.id === 'own');
    return { body, version };
  },
  'gym/school': async () => {
    const { school, version } = (await call('GET', 'gym')).body;
    return { body: school, version };
  },
  grades: async () => {
    const { grades, gradesVersion } = (await call('GET', 'gym')).body;
    return { body: { grades }, version: gradesVersion };
  },
  numbers: async () => {
    const { numbers, numbersVersion } = (await call('GET', 'moves')).body;
    return { body: { numbers, rewrite: false }, version: numbersVersion };
  },
  'grades/ebb/techniques': async () => {
    const { listVersions } = (await call('GET', 'gym')).body;
    const lists = (await call('GET', 'techniques')).body;
    return { body: { techniques: lists.ebb }, version: listVersions.ebb };
  },
};

/** Whole lists, and how two coaches change one of them. */
const LISTS = [
  ['moves/jab', (form: any, name: string) => ({ ...form, surface: name })],
  ['themes/own', (theme: any, title: string) => ({ ...theme, title })],
  ['tests/own', (test: any, title: string) => ({ ...test, title })],
  ['gym/school', (school: any, name: string) => ({ ...school, kit: [name] })],
  ['grades', ({ grades }: any, name: string) => ({ grades: [{ ...grades[0], name }, ...grades.slice(1)] })],
  [
    'numbers',
    ({ numbers }: any, name: string) => ({
      numbers: [...numbers.slice(0, -1), { ...numbers.at(-1), number: name === 'mine' ? 98 : 97 }],
      rewrite: false,
    }),
  ],
  [
    'grades/ebb/techniques',
    ({ techniques }: any, name: string) => ({
      techniques: [{ ...techniques[0], reps: name === 'mine' ? 7 : 8 }, ...techniques.slice(1)],
    }),
  ],
] as const;

/** What is sent of what was given: what the server adds is left out. */
async function sendable(path: string): Promise<{ body: any; version: number }> {
  const whole = WHOLE[path];
  if (whole) return whole();
  const list = path.startsWith('library') ? (await call('GET', 'library')).body.items : null;
  const id = path.split('/')[1];
  const found = list ? list.find((item: any) => item.id === id) : (await call('GET', path)).body;
  if (list) return { body: { title: found.title, rounds: found.rounds }, version: found.version };
  const { id: _, version, grade: __, updatedAt: ___, sessionId: ____, onFloor: _____, ...body } = found;
  return { body, version };
}

describe('a change that was based on an older state', () => {
  it.each(THINGS)('%s is refused with both texts, and changes nothing', async (path, theirs, mine) => {
    const { body, version } = await sendable(path);
    const first = await call('PUT', `${path}?basedOn=${version}`, { ...body, ...theirs });
    expect([first.status, first.body.version]).toEqual([200, version + 1]);
    const late = await call('PUT', `${path}?basedOn=${version}`, { ...body, ...mine });
    expect(late.status).toBe(409);
    expect(late.body.message).toMatch(/changed elsewhere/);
    expect(late.body.now).toMatchObject({ ...theirs, version: version + 1 });
    expect(late.body.sent).toMatchObject(mine);
    expect((await sendable(path)).body).toMatchObject(theirs);
    // What they did is no conflict with what they did, and mine goes through once it is based on theirs.
    const same = await call('PUT', `${path}?basedOn=${version}`, { ...body, ...theirs });
    expect([same.status, same.body.version]).toEqual([200, version + 1]);
    const again = await call('PUT', `${path}?basedOn=${version + 1}`, { ...body, ...mine });
    expect([again.status, again.body.version]).toEqual([200, version + 2]);
  });
  it.each(LISTS)(
    '%s is reported what stands, and is kept once it is based on that',
    async (path, changed) => {
      const { body, version } = await sendable(path);
      const first = await call('PUT', `${path}?basedOn=${version}`, changed(body, 'theirs'));
      expect(first.status).toBe(200);
      const late = await call('PUT', `${path}?basedOn=${version}`, changed(body, 'mine'));
      expect([late.status, late.body.message]).toEqual([409, expect.stringMatching(/changed elsewhere/)]);
      expect([late.body.now.version, typeof late.body.sent]).toEqual([version + 1, 'object']);
      const kept = await sendable(path);
      expect(kept.body).toMatchObject(changed(body, 'theirs'));
      const same = await call('PUT', `${path}?basedOn=${version}`, changed(body, 'theirs'));
      expect([same.status, (await sendable(path)).version]).toEqual([200, version + 1]);
      const again = await call('PUT', `${path}?basedOn=${version + 1}`, changed(body, 'mine'));
      expect([again.status, (await sendable(path)).version]).toEqual([200, version + 2]);
    },
  );
  it('is taken as ever where nobody says what it was based on', async () => {
    const { body } = await sendable('fighters/suda');
    expect((await call('PUT', 'fighters/suda', { ...body, note: 'x' })).status).toBe(200);
    expect((await call('PUT', 'fighters/suda?basedOn=x', { ...body, note: 'y' })).status).toBe(400);
  });
  it('of two at once, one is taken and one is reported', async () => {
    const { body, version } = await sendable('combos/ebb-2');
    const answers = await Promise.all(
      ['One', 'Two', 'Three'].map((title) =>
        call('PUT', `combos/ebb-2?basedOn=${version}`, { ...body, title }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });
});

describe('a change of the numbers', () => {
  it('writes lines anew with their history, from which the same moves come back', async () => {
    const { numbers } = (await call('GET', 'moves')).body;
    const swap: Record<number, number> = { 1: 2, 2: 1 };
    const swapped = numbers.map((each: { number: number }) => ({
      ...each,
      number: swap[each.number] ?? each.number,
    }));
    const lineOf = async (): Promise<string> => (await call('GET', 'combos/slack-1')).body.line;
    const before = await lineOf();
    const { status } = await call('PUT', 'numbers', { numbers: swapped, rewrite: true });
    expect(status).toBe(200);
    const after = await lineOf();
    expect(after).not.toBe(before);
    const { items } = (await call('GET', 'combos/slack-1/versions')).body;
    expect(items[0].combo.line).toBe(after);
    const { body } = await sendable('combos/slack-1');
    await call('PUT', 'combos/slack-1', { ...body, ...items[0].combo });
    expect(await lineOf()).toBe(after);
  });
});
