import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const parent = {
  gradeId: 'ebb',
  number: 40,
  title: 'Parent',
  line: '1-2 3',
  bpm: 80,
  beatsPerBar: 4,
  notes: '',
  bothLeads: true,
};
const form = {
  ...parent,
  number: 41,
  title: 'Its even form',
  line: '1 2 3',
  variant: { parentId: 'p', kind: 'even', step: null },
};
const lineOf = async (id: string): Promise<string> => (await call('GET', `combos/${id}`)).body.line;

describe('forms of a combo', () => {
  it('what is not sent takes its usual value', async () => {
    const { status, body } = await call('PUT', 'combos/p', parent);
    expect([status, body.focus, body.cycleBeats, body.contact, body.variant]).toEqual([
      200,
      [],
      null,
      [],
      null,
    ]);
  });
  it('follow the line of their parent until they are edited', async () => {
    await call('PUT', 'combos/f', form);
    await call('PUT', 'combos/p', { ...parent, line: '1-1=2' });
    expect(await lineOf('f')).toBe('1 1 2');
    expect((await call('GET', 'combos/f/versions')).body.items).toHaveLength(2);
    await call('PUT', 'combos/f', { ...form, line: '1 1 4' });
    await call('PUT', 'combos/p', { ...parent, line: '2-3' });
    expect(await lineOf('f')).toBe('1 1 4');
  });
  it.each([
    [{ variant: { parentId: 'p', kind: 'nosuch', step: null } }, 400, 'variant.kind'],
    [{ variant: { parentId: 'f', kind: 'even', step: null } }, 422, 'variant'],
    [{ focus: ['<b>'] }, 400, 'focus'],
    [{ contact: [0, 130] }, 400, 'contact'],
    [{ cycleBeats: 0 }, 400, 'cycleBeats'],
  ])('refuses %j', async (spoilt, status, field) => {
    const answer = await call('PUT', 'combos/f', { ...form, ...spoilt });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
});

describe('the order of combos', () => {
  const ebb = async (): Promise<[string, number][]> =>
    (await call('GET', 'combos')).body.items
      .filter((combo: { gradeId: string }) => combo.gradeId === 'ebb')
      .map((combo: { id: string; number: number }) => [combo.id, combo.number]);

  it('gives the numbers of the grade out anew, the same when it is asked twice', async () => {
    const before = await ebb();
    const ids = before.map(([id]) => id);
    const moved = [ids[1]!, ids[0]!, ...ids.slice(2)];
    for (let i = 0; i < 2; i++) {
      expect((await call('PUT', 'combos/order', { gradeId: 'ebb', ids: moved })).status).toBe(200);
      expect(await ebb()).toEqual(moved.map((id, at) => [id, before[at]![1]]));
    }
    await call('PUT', 'combos/order', { gradeId: 'ebb', ids });
  });
  it('is refused when combos are missing or stand twice', async () => {
    expect((await call('PUT', 'combos/order', { gradeId: 'ebb', ids: ['ebb-1'] })).status).toBe(409);
    expect((await call('PUT', 'combos/order', { gradeId: 'ebb', ids: ['ebb-1', 'ebb-1'] })).status).toBe(400);
  });
});

describe('grades', () => {
  const grades = async () => (await call('GET', 'gym')).body.grades;

  it('take another order, another name and one more', async () => {
    const before = await grades();
    const wanted = [...before.toReversed(), { id: 'tide', name: 'King tide', band: 'adults' }];
    const { body } = await call('PUT', 'grades', { grades: wanted });
    expect(body.grades).toEqual(wanted);
    expect((await call('PUT', 'grades', { grades: before })).body.grades).toEqual(before);
  });
  it('cannot be left out while combos or fighters belong to them', async () => {
    const without = (await grades()).filter((grade: { id: string }) => grade.id !== 'slack');
    const { status, body } = await call('PUT', 'grades', { grades: without });
    expect([status, body.message]).toEqual([
      409,
      'Slack still has 3 combos, 3 fighters and 9 moves, and is named in 1 session and 1 technique list. Move them to another grade first, then take it out.',
    ]);
    expect((await grades()).map((grade: { id: string }) => grade.id)).toContain('slack');
  });
  it.each([
    [[], 'A gym has at least one grade.'],
    [
      [{ id: 'a', name: '<i>', band: 'adults' }],
      'The name of a grade is plain text of 1 to 24 characters, without < or >.',
    ],
    [
      [
        { id: 'a', name: 'A', band: 'adults' },
        { id: 'b', name: 'a ', band: 'adults' },
      ],
      'Two grades have the same name.',
    ],
  ])('refuses %j', async (list, message) => {
    const answer = await call('PUT', 'grades', { grades: list });
    expect([answer.status, answer.body.message]).toEqual([400, message]);
  });
});

describe('what a grade trains', () => {
  const technique = {
    id: 't1',
    move: 'r:round',
    comboId: null,
    reps: 15,
    sides: 'both',
    sets: 3,
    restSeconds: 20,
  };
  it('is kept for each grade', async () => {
    const { body } = await call('PUT', 'grades/ebb/techniques', { techniques: [technique] });
    expect(body.ebb).toEqual([technique]);
    expect((await call('GET', 'techniques')).body.slack.length).toBeGreaterThan(2);
  });
  it.each([
    [{ reps: 0 }, 400, 'techniques.0.reps'],
    [{ move: 'nosuch' }, 422, 'techniques.0.move'],
    [{ move: null, comboId: 'nosuch' }, 422, 'techniques.0.comboId'],
    [{ move: null }, 400, 'techniques.0.move'],
    [{ sets: 1.5 }, 400, 'techniques.0.sets'],
  ])('refuses %j', async (spoilt, status, field) => {
    const answer = await call('PUT', 'grades/ebb/techniques', { techniques: [{ ...technique, ...spoilt }] });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
  it('is not kept for a grade that does not exist', async () => {
    expect((await call('PUT', 'grades/nosuch/techniques', { techniques: [] })).status).toBe(404);
  });
});

describe('the gym’s ways', () => {
  it('keep what an older page does not send, and refuse what is no choice', async () => {
    const { school } = (await call('GET', 'gym')).body;
    const { hips: _, ...older } = school;
    expect((await call('PUT', 'gym/school', older)).body.school.hips).toBe('full');
    expect((await call('PUT', 'gym/school', { ...school, countLanguage: 'whale' })).status).toBe(400);
    expect((await call('PUT', 'gym/school', { ...school, countWords: [''] })).status).toBe(400);
  });
  it('square hips before a punch let a kick and a punch follow each other faster', async () => {
    const { school } = (await call('GET', 'gym')).body;
    const fastest = async (): Promise<number> =>
      (await call('POST', 'combos/analyse', { line: 'r:round 1', lead: 'left' })).body.fastestBpm;
    const full = await fastest();
    await call('PUT', 'gym/school', { ...school, hips: 'square' });
    expect(await fastest()).toBeGreaterThan(full);
    await call('PUT', 'gym/school', school);
  });
});
