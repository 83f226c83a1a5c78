import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const DAY = 86_400_000;
const dayIn = (days: number): string => {
  const at = new Date(Date.now() + days * DAY);
  return [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
};
const listed = async (id: string) =>
  (await call('GET', 'grading-days')).body.items.find((each: any) => each.id === id);
const gradeOf = async (id: string) => (await call('GET', `fighters/${id}`)).body.gradeId;

describe('a grading that is planned', () => {
  const plan = {
    title: 'Spring grading',
    day: dayIn(40),
    held: false,
    candidates: [
      { fighterId: 'sanne', gradeId: 'slack' },
      { fighterId: 'tomasz', gradeId: 'flood' },
    ],
  };
  it('changes nobody’s grade, and tells what each lacks and how many classes are left', async () => {
    const { status, body } = await call('PUT', 'grading-days/spring', plan);
    expect(status).toBe(200);
    expect(await call('PUT', 'grading-days/spring', plan)).toMatchObject({
      status: 200,
      body: { version: body.version },
    });
    expect([await gradeOf('sanne'), await gradeOf('tomasz')]).toEqual(['ebb', 'slack']);
    const [sanne, tomasz] = (await listed('spring')).candidates;
    const [check] = (await call('GET', 'progress/checks?who=sanne')).body.items;
    expect(sanne).toMatchObject({ name: 'Sanne Ibarra', grade: 'Slack', passed: null });
    expect(sanne.lacks).toEqual(
      check.lines.filter(({ isMet }: any) => !isMet).map(({ asked }: any) => asked),
    );
    expect(tomasz.lacks.length).toBeGreaterThan(0);
    expect(sanne.classesUsual).toBeGreaterThan(0);
    const round = { id: 'r', title: 'R', kind: 'pads', blocks: [{ kind: 'rest', id: 'p', seconds: 60 }] };
    for (const [id, days, gradeId] of [
      ['a', 3, 'ebb'],
      ['b', 5, 'slack'],
      ['c', 60, 'ebb'],
    ] as const)
      await call('PUT', `sessions/until-${id}`, {
        ...{ title: id, lead: 'left', rounds: [round], groups: [{ name: 'G', gradeIds: [gradeId] }] },
        plannedFor: new Date(Date.now() + days * DAY).toISOString(),
      });
    const before = sanne.classesPlanned;
    const [now] = (await listed('spring')).candidates;
    expect(now.classesPlanned - before).toBe(1);
  });
  it('is what drafts work towards', async () => {
    const drafted = (await call('POST', 'sessions/draft', { minutes: 60, grades: ['slack'] })).body;
    const asked = drafted.reasons.filter(({ why }: any) => why.includes('is asked at the grading'));
    expect(asked.length).toBeGreaterThan(0);
  });
  it('cannot be held, nor anybody be signed, before its day', async () => {
    const early = await call('PUT', 'grading-days/spring', { ...plan, held: true });
    expect([early.status, early.body.errors[0].field]).toEqual([422, 'held']);
    const sheet = {
      fighterId: 'sanne',
      gradeId: 'slack',
      day: dayIn(40),
      passed: true,
      reason: 'Seen',
      signedBy: 'Ama',
      note: '',
      lines: [],
    };
    const signed = await call('PUT', 'gradings/too-early', sheet);
    expect([signed.status, signed.body.errors[0].field]).toEqual([422, 'day']);
    expect(await gradeOf('sanne')).toBe('ebb');
  });
  it('shows who passed once it was signed on the day, and who was taken back is open again', async () => {
    await call('PUT', 'grading-days/today', { ...plan, day: dayIn(0), title: 'Today' });
    const held = await call('PUT', 'grading-days/today', {
      ...plan,
      day: dayIn(0),
      title: 'Today',
      held: true,
    });
    expect(held.body.held).toBe(true);
    const sheet = {
      fighterId: 'sanne',
      gradeId: 'slack',
      day: dayIn(0),
      passed: true,
      reason: 'Seen',
      signedBy: 'Ama',
      note: '',
      lines: [],
    };
    expect((await call('PUT', 'gradings/on-the-day', sheet)).status).toBe(200);
    expect((await listed('today')).candidates[0]).toMatchObject({ passed: true, lacks: [] });
    expect(await gradeOf('sanne')).toBe('slack');
    await call('PUT', 'gradings/on-the-day/withdrawn', { by: 'Ama', day: dayIn(0), reason: 'A mistake' });
    expect((await listed('today')).candidates[0].passed).toBeNull();
    expect(await gradeOf('sanne')).toBe('ebb');
    expect((await call('DELETE', 'grading-days/today')).status).toBe(204);
    expect(await listed('today')).toBeUndefined();
  });
  it.each([
    ['a day that is none', { day: '2026-02-30' }, 400, 'day'],
    ['somebody twice', { candidates: [plan.candidates[0], plan.candidates[0]] }, 400, 'candidates'],
    [
      'a stranger',
      { candidates: [{ fighterId: 'nobody', gradeId: 'slack' }] },
      422,
      'candidates.0.fighterId',
    ],
    [
      'a grade that is none',
      { candidates: [{ fighterId: 'sanne', gradeId: 'reef' }] },
      422,
      'candidates.0.gradeId',
    ],
  ])('refuses %s', async (_, changes, status, field) => {
    const answer = await call('PUT', 'grading-days/bad', { ...plan, ...changes });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
});

describe('what Today asked', () => {
  const asked = async () => (await call('GET', 'progress/questions')).body.items;
  it('stands until it is answered, and is not asked again', async () => {
    const [first, ...others] = await asked();
    expect((await asked()).map(({ key }: any) => key)).toEqual([first, ...others].map(({ key }: any) => key));
    const { key, sentence } = first;
    expect((await call('PUT', 'progress/questions/answered', { key, sentence })).status).toBe(204);
    expect((await call('PUT', 'progress/questions/answered', { key, sentence })).status).toBe(204);
    expect((await asked()).map((each: any) => each.key)).toEqual(others.map((each: any) => each.key));
  });
});
