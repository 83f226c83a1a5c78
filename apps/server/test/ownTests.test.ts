import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const HEIGHT = {
  title: 'Height of the round kick',
  kind: 'measure',
  line: null,
  seconds: 10,
  direction: 'higher',
  unit: 'cm',
  sides: 'side',
};

describe('a test of the gym’s own', () => {
  const days = ['2026-09-01', '2026-09-08', '2026-09-15', '2026-09-22'];
  const result = (i: number, lead: string, more: object) =>
    call('PUT', `attempts/high-${lead}-${i}`, {
      ...{ fighterId: 'ines', testId: 'high', lead, instants: [], measured: 'by-hand' },
      ...{ at: `${days[i % 4]}T18:0${i}:00.000Z`, ...more },
    });
  beforeAll(async () => {
    expect((await call('PUT', 'tests/high', HEIGHT)).status).toBe(200);
  });
  it('has a unit', async () => {
    const { status, body } = await call('PUT', 'tests/unitless', { ...HEIGHT, unit: null });
    expect([status, body.errors[0]]).toMatchObject([400, { field: 'unit' }]);
    expect(
      (await call('PUT', 'tests/burst', { ...HEIGHT, kind: 'burst', unit: null, sides: null })).status,
    ).toBe(200);
  });
  it('takes results by hand, and refuses what nobody does with a sentence at the result', async () => {
    const { status, body } = await result(0, 'left', { result: 9000 });
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      { field: 'result', message: '9000 cm is too much: the most is 350 cm. Check the unit.' },
    ]);
    expect((await result(0, 'left', {})).body.errors).toEqual([
      { field: 'result', message: 'Enter a number.' },
    ]);
    for (let i = 0; i < 8; i++) {
      expect((await result(i, 'left', { result: 130 + (i % 2) })).status).toBe(200);
      expect((await result(i, 'right', { result: 110 + 2 * i })).status).toBe(200);
    }
    const { body: kept } = await call('GET', 'fighters/ines/attempts');
    expect(kept.items.find(({ id }: { id: string }) => id === 'high-left-1')).toMatchObject({
      ...{ value: 131, unit: 'cm', sides: 'side', kind: 'measure', measured: 'by-hand' },
    });
  });
  it('stands in progress with its unit and each side apart, and in the difference of the sides', async () => {
    const { body } = await call('GET', 'fighters/ines/progress');
    const own = body.courses.filter(({ testId }: { testId: string }) => testId === 'high');
    expect(own.map(({ lead }: { lead: string }) => lead).sort()).toEqual(['left', 'right']);
    for (const course of own) expect(course).toMatchObject({ unit: 'cm', sides: 'side', kind: 'measure' });
    const right = own.find(({ lead }: { lead: string }) => lead === 'right');
    expect(right.best).toBe(124);
    expect(right.last.sentence).toBe(
      'No real change: 119 cm over 4 trials, against 115 cm over 4 trials; only a difference above 7.4 cm would be real.',
    );
  });
  it('is a goal, and a thing that a grade asks for', async () => {
    // On a fifth day there is a trend.
    const fifth = { result: 126, at: '2026-09-29T18:00:00.000Z' };
    expect((await result(8, 'right', fifth)).status).toBe(200);
    const goal = {
      fighterId: 'ines',
      testId: 'high',
      lead: 'right',
      value: 150,
      by: '2099-01-01',
      setOn: '2026-09-01',
    };
    const { body } = await call('PUT', 'goals/higher', goal);
    expect(body.sentence).toContain(' cm');
    const asked = { id: 'high-enough', kind: 'test', testId: 'high', value: 120, bothLeads: true, times: 1 };
    const { body: lists } = await call('GET', 'grades/requirements');
    const slack = lists.items.find(({ gradeId }: { gradeId: string }) => gradeId === 'slack');
    const requirements = [...(slack?.requirements ?? []), asked];
    const saved = await call('PUT', `grades/slack/requirements?basedOn=${slack?.version ?? 0}`, {
      requirements,
    });
    expect(saved.status).toBe(200);
    const { body: check } = await call('GET', 'progress/checks');
    expect(JSON.stringify(check)).toContain('120 cm');
  });
  it('goes out in the file of the gym and comes back, however large its result is', async () => {
    const far = { ...HEIGHT, title: 'Run in twelve minutes', unit: 'm', sides: 'none' };
    expect((await call('PUT', 'tests/far', far)).status).toBe(200);
    const ran = { fighterId: 'ines', testId: 'far', lead: 'left', instants: [], measured: 'by-hand' };
    const at = '2026-09-22T19:00:00.000Z';
    expect((await call('PUT', 'attempts/ran', { ...ran, result: 2800, at })).status).toBe(200);
    const { body: file } = await call('GET', 'export.json');
    expect(file.attempts.find(({ id }: { id: string }) => id === 'ran')).toMatchObject({ value: 2800 });
    const { status, body } = await call('POST', 'import?preview=yes', file);
    expect([status, body.errors]).toEqual([200, undefined]);
  });
});
