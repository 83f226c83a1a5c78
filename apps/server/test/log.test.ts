import { round, session } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
// The newest page of a log is what is asked for.
const at = new Date().toISOString();
const lanes = {
  ...session,
  title: 'Lanes',
  groups: [
    { name: 'Ebb', gradeIds: ['ebb'] },
    { name: 'Flood', gradeIds: ['flood'] },
  ],
  rounds: [
    {
      ...round,
      blocks: [
        { ...round.blocks[0], lanes: [{ group: 'Flood', combos: [{ comboId: 'flood-4' }] }] },
        round.blocks[1],
      ],
    },
  ],
};
const roundOf = async (fighter: string, runId: string) =>
  (await call('GET', `fighters/${fighter}/log`)).body.rounds.find((each: any) => each.runId === runId);

describe('the log of a round with lanes', () => {
  beforeAll(async () => {
    await call('PUT', 'sessions/lanes', lanes);
    const fighterIds = ['emeka', 'radek', 'nuria'];
    await call('PUT', 'runs/lanes', { sessionId: 'lanes', fighterIds, startedAt: at });
    for (const fighterId of fighterIds)
      await call('PUT', `runs/lanes/results/${fighterId}`, { round: 0, fighterId, done: 'finished', at });
  });
  it.each([
    ['emeka', 'whose grade is in the first group', ['Ebb 1']],
    ['radek', 'whose group has a combo of its own', ['Flood 4']],
    ['nuria', 'who is in no group', ['Ebb 1']],
  ])('names for %s, %s, what he did', async (fighter, _, combos) => {
    expect((await roundOf(fighter, 'lanes')).combos).toEqual(combos);
  });
  it('does not change when groups, grades or the session do', async () => {
    await call('PUT', 'sessions/lanes', { ...lanes, groups: [], rounds: [round] });
    const { id: _, grade: __, version: ___, ...radek } = (await call('GET', 'fighters/radek')).body;
    await call('PUT', 'fighters/radek', { ...radek, gradeId: 'ebb' });
    expect((await roundOf('radek', 'lanes')).combos).toEqual(['Flood 4']);
    await call('PUT', 'fighters/radek', radek);
  });
  it('counts each combo as trained by those who did it', async () => {
    const trained = (await call('GET', 'runs/trained')).body;
    expect(Object.keys(trained)).toEqual(expect.arrayContaining(['ebb-1', 'flood-4']));
  });
});

describe('the log of counts, bursts and reactions', () => {
  const rest = { kind: 'rest', id: 'x', seconds: 30 };
  const count = {
    kind: 'count',
    id: 'c',
    seconds: 90,
    title: 'Own kick',
    line: 'r:round',
    reps: 12,
    groups: [{ group: 'Flood', reps: 20, line: 'f:push' }],
    sides: 'both',
    sets: 1,
    rest: 0,
    repSeconds: null,
    method: 'whole',
    direction: 'up',
    levels: 'fixed',
    from: 'standing',
    shoutLast: false,
  };
  const react = {
    kind: 'react',
    id: 'x2',
    seconds: 60,
    call: 'go',
    line: '1-2',
    every: { min: 3, max: 5 },
    regular: 0,
  };
  const burst = { kind: 'burst', id: 'b', seconds: 10, title: 'Two straights' };
  const rounds = [count, react, burst].map((block, i) => ({
    ...round,
    id: `w${i}`,
    title: 'Work',
    blocks: [block, rest],
  }));
  const workOf = async (fighter: string) =>
    (await call('GET', `fighters/${fighter}/log`)).body.rounds
      .filter((each: any) => each.runId === 'counted')
      .sort((a: any, b: any) => a.round - b.round)
      .map((each: any) => each.work);

  it('says what was done, how many, and which side', async () => {
    const kept = await call('PUT', 'sessions/work', { ...lanes, title: 'Work', rounds });
    expect(kept.status).toBe(200);
    const fighterIds = ['emeka', 'radek'];
    await call('PUT', 'runs/counted', { sessionId: 'work', fighterIds, startedAt: at });
    for (const fighterId of fighterIds)
      for (const i of [0, 1, 2])
        await call('PUT', `runs/counted/results/${fighterId}-${i}`, {
          round: i,
          fighterId,
          done: 'finished',
          at,
        });
    const trial = {
      fighterId: 'radek',
      runId: 'counted',
      title: 'Two straights',
      seconds: 10,
      lead: 'right',
      at,
    };
    await call('PUT', 'attempts/work-1', { ...trial, instants: [], said: 33, measured: 'partner' });
    expect(await workOf('emeka')).toEqual([
      ['Own kick (round kick): 12 each side'],
      [expect.stringMatching(/^“go”: jab, cross: 1[0-9] calls$/)],
      ['Two straights: 10 s'],
    ]);
    const [counted, , burstOfRadek] = await workOf('radek');
    expect(counted).toEqual(['push kick: 20 each side']);
    expect(burstOfRadek).toEqual(['Two straights: 10 s', 'Two straights: 33 from the right lead']);
  });
  it('puts each number of a burst that comes twice with its own round', async () => {
    const twice = [0, 1].map((i) => ({ ...round, id: `t${i}`, title: 'Burst', blocks: [burst, rest] }));
    await call('PUT', 'sessions/twice', { ...lanes, title: 'Twice', rounds: twice });
    await call('PUT', 'runs/twice', { sessionId: 'twice', fighterIds: ['radek'], startedAt: at });
    const later = (seconds: number) => new Date(Date.parse(at) + 1000 * seconds).toISOString();
    const marked = { fighterId: 'radek', done: 'finished' };
    for (const [i, seconds] of [20, 60].entries())
      await call('PUT', `runs/twice/results/t-${i}`, { ...marked, round: i, at: later(seconds) });
    const trial = { fighterId: 'radek', runId: 'twice', title: 'Two straights', seconds: 10, lead: 'right' };
    for (const [said, seconds] of [
      [31, 21],
      [28, 62],
    ] as const)
      await call('PUT', `attempts/twice-${said}`, {
        ...{ ...trial, instants: [], said, measured: 'partner' },
        at: later(seconds),
      });
    const { rounds: logged } = (await call('GET', 'fighters/radek/log')).body;
    const works = logged
      .filter((each: any) => each.runId === 'twice')
      .map((each: any) => [each.round, each.work[1]]);
    expect(works.sort()).toEqual([
      [0, 'Two straights: 31 from the right lead'],
      [1, 'Two straights: 28 from the right lead'],
    ]);
  });
});

describe('tests', () => {
  const knees = { title: 'Knees', kind: 'burst', line: 'r:knee', seconds: 20, direction: 'higher' };
  const trial = { fighterId: 'emeka', lead: 'left', at };
  it('are kept once, and changed', async () => {
    const first = await call('PUT', 'tests/knees', knees);
    expect([first.status, first.body]).toEqual([
      200,
      { id: 'knees', ...knees, unit: null, sides: null, worthwhile: null, version: 1 },
    ]);
    await call('PUT', 'tests/knees', knees);
    const { items } = (await call('GET', 'tests')).body;
    expect(items.filter(({ id }: any) => id === 'knees')).toHaveLength(1);
  });
  it.each([
    [{ kind: 'weight' }, 'kind'],
    [{ seconds: 1 }, 'seconds'],
    [{ direction: 'sideways' }, 'direction'],
    [{ title: '<b>' }, 'title'],
  ])('refuse %j at its field', async (wrong, field) => {
    const { status, body } = await call('PUT', 'tests/wrong', { ...knees, ...wrong });
    expect([status, body.errors[0].field]).toEqual([400, field]);
  });
  it('belong to their trials whatever they are called by then', async () => {
    await call('PUT', 'attempts/t1', { ...trial, testId: 'knees', instants: [1, 2, 19] });
    await call('PUT', 'tests/knees', { ...knees, title: 'Knees, both hands up' });
    const { attempts, bursts } = (await call('GET', 'fighters/emeka/log')).body;
    expect(attempts.find(({ id }: any) => id === 't1')).toMatchObject({
      testId: 'knees',
      title: 'Knees, both hands up',
      seconds: 20,
      count: 3,
    });
    expect(bursts).toContainEqual({
      testId: 'knees',
      title: 'Knees, both hands up',
      lead: 'left',
      best: 3,
      median: 3,
      trials: 1,
      kind: 'burst',
      isSelfReported: false,
    });
  });
  it('are made of a title and a length where nobody names one, the same ones each time', async () => {
    const named = { ...trial, title: 'Elbows', seconds: 10, instants: [1] };
    const first = await call('PUT', 'attempts/e1', named);
    const second = await call('PUT', 'attempts/e2', named);
    const longer = await call('PUT', 'attempts/e3', { ...named, seconds: 30 });
    expect(second.body.testId).toBe(first.body.testId);
    expect(longer.body.testId).not.toBe(first.body.testId);
    const { items } = (await call('GET', 'tests')).body;
    expect(items.filter(({ title }: any) => title === 'Elbows')).toHaveLength(2);
  });
  it('have to be there', async () => {
    const gone = await call('PUT', 'attempts/x', { ...trial, testId: 'nosuch', instants: [1] });
    expect([gone.status, gone.body.errors[0].field]).toEqual([422, 'testId']);
    const neither = await call('PUT', 'attempts/x', { ...trial, instants: [1] });
    expect(neither.status).toBe(400);
  });
});

describe('long lists', () => {
  it.each(['sessions', 'fighters'])('%s come in pages that join without a gap', async (path) => {
    const whole = (await call('GET', path)).body;
    expect(whole.next).toBeNull();
    const joined: any[] = [];
    let after = '';
    for (let pages = 0; pages < 30; pages++) {
      const page = (await call('GET', `${path}?limit=3${after === '' ? '' : `&after=${after}`}`)).body;
      expect(page.items.length).toBeLessThanOrEqual(3);
      joined.push(...page.items);
      if (page.next === null) break;
      after = page.next;
    }
    expect(joined).toEqual(whole.items);
  });
  it('of a fighter’s log come in pages too', async () => {
    const { body } = await call('GET', 'fighters/emeka/log?limit=2');
    expect(body.rounds.length).toBeLessThanOrEqual(2);
  });
  it.each(['limit=0', 'limit=9999', 'limit=x', 'after=%3Cb%3E'])('refuse %s', async (query) => {
    expect((await call('GET', `fighters?${query}`)).status).toBe(400);
  });
});

describe('marks and trials of a run', () => {
  it('stand in its log as well, in the order in which they came', async () => {
    await call('PUT', 'runs/told', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at });
    const mark = { round: 0, fighterId: 'ines', done: 'finished', quality: 'clean', at };
    await call('PUT', 'runs/told/events/s', { kind: 'start', round: 0, position: 0, at });
    await call('PUT', 'runs/told/results/m', mark);
    await call('PUT', 'runs/told/results/m', { ...mark, quality: 'loose' });
    await call('DELETE', 'runs/told/results/m');
    await call('PUT', 'runs/told/events/h', { kind: 'hold', round: 0, position: 9, at });
    const { events, results } = (await call('GET', 'runs/told')).body;
    expect(results).toEqual([]);
    // The places of marks are taken, so that nothing else ever stands there.
    expect(events.map(({ kind, sequence }: any) => [kind, sequence])).toEqual([
      ['start', 1],
      ['hold', 5],
    ]);
  });
});

describe('what grows comes in pages', () => {
  /** Everything behind a list, a few at a time. */
  async function all(path: string, limit: number): Promise<any[]> {
    const items: any[] = [];
    for (let next: string | null = ''; next !== null;) {
      const { body }: { body: any } = await call(
        'GET',
        `${path}?limit=${limit}${next === '' ? '' : `&after=${encodeURIComponent(next)}`}`,
      );
      expect(body.items.length).toBeLessThanOrEqual(limit);
      items.push(...body.items);
      ({ next } = body);
    }
    return items;
  }
  it.each(['runs', 'fighters/emeka/attempts', 'sessions', 'fighters'])(
    '%s, with none lost and none twice',
    async (path) => {
      const few = await all(path, 3);
      const many = await all(path, 500);
      expect(few.length).toBeGreaterThan(3);
      expect(few).toEqual(many);
      expect(new Set(few.map(({ id }) => id)).size).toBe(few.length);
    },
  );
  it('runs and trials, the newest first', async () => {
    const times = [
      (await all('runs', 500)).map(({ startedAt }) => startedAt),
      (await all('fighters/emeka/attempts', 500)).map(({ at: each }) => each),
    ];
    for (const reported of times) expect(reported).toEqual([...reported].sort().reverse());
    expect((await call('GET', 'fighters/nobody/attempts')).status).toBe(404);
    expect((await call('GET', 'runs?limit=0')).status).toBe(400);
  });
});
