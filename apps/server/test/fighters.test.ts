import { serverForThisFile } from './startedServer.ts';
import { session } from './requests.ts';

const { call } = serverForThisFile();
const at = '2026-03-05T18:30:00.000Z';
const fighter = { name: 'Ama Lindqvist', gradeId: 'slack', lead: 'right', note: 'wrist strap', fit: true };

describe('fighters', () => {
  it('stand in the order of their grades, then of their names', async () => {
    const { items } = (await call('GET', 'fighters')).body;
    const { grades } = (await call('GET', 'gym')).body;
    const order = grades.map((grade: { id: string }) => grade.id);
    const ranks = items.map((each: { gradeId: string }) => order.indexOf(each.gradeId));
    expect(ranks).toEqual(ranks.toSorted((a: number, b: number) => a - b));
    for (const id of order) {
      const names = items
        .filter((each: { gradeId: string }) => each.gradeId === id)
        .map((each: { name: string }) => each.name);
      expect(names).toEqual(names.toSorted());
    }
  });
  it('are taken in with what is known of them, and changed', async () => {
    const { status, body } = await call('PUT', 'fighters/ama', fighter);
    expect([status, body]).toEqual([
      200,
      { id: 'ama', ...fighter, grade: 'Slack', height: null, apart: [], care: null, version: 1 },
    ]);
    const care = { startsLight: true, noHeadContact: false, spared: ['right-hand'] };
    const changed = { ...fighter, gradeId: 'flood', height: 171.5, apart: ['ines', 'radek'], care };
    await call('PUT', 'fighters/ama', changed);
    expect((await call('GET', 'fighters/ama')).body).toEqual({
      id: 'ama',
      ...changed,
      grade: 'Flood',
      version: 2,
    });
    await call('PUT', 'fighters/ama', { ...changed, height: null });
    expect((await call('GET', 'fighters/ama')).body.height).toBeNull();
  });
  it.each([
    ['name', '', 400],
    ['name', '<script>alert(1)</script>', 400],
    ['gradeId', 'nosuch', 422],
    ['lead', 'middle', 400],
    ['note', 'x'.repeat(501), 400],
    ['fit', 'yes', 400],
    ['height', 12, 400],
    ['height', '170', 400],
    ['apart', ['no body'], 400],
    ['apart', Array.from({ length: 21 }, (_, i) => `f${i}`), 400],
  ])('are refused with %s %j, at the field, and nothing is kept', async (field, value, status) => {
    const answer = await call('PUT', 'fighters/never', { ...fighter, [field]: value });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    expect((await call('GET', 'fighters/never')).status).toBe(404);
  });
  it('nobody has no log', async () => {
    const { status, body } = await call('GET', 'fighters/never/log');
    expect([status, body.message]).toEqual([404, 'This fighter is not in the gym.']);
  });
});

describe('a fighter’s log', () => {
  const burst = (instants: number[], lead = 'left') => ({
    fighterId: 'ama',
    runId: null,
    title: 'Two straights',
    lead,
    seconds: 10,
    instants,
    at,
  });
  const times = (n: number) => Array.from({ length: n }, (_, i) => (i + 0.5) * (10 / n));

  it('tells best, median and number of trials of each burst and lead', async () => {
    expect((await call('GET', 'fighters/ama/log')).body).toMatchObject({
      rounds: [],
      attempts: [],
      bursts: [],
    });
    for (const [i, n] of [20, 30, 26].entries()) await call('PUT', `attempts/ama-${i}`, burst(times(n)));
    await call('PUT', 'attempts/ama-right', burst(times(18), 'right'));
    const { attempts, bursts } = (await call('GET', 'fighters/ama/log')).body;
    expect(attempts).toHaveLength(4);
    expect(bursts).toEqual([
      {
        testId: expect.any(String),
        title: 'Two straights',
        lead: 'left',
        best: 30,
        median: 26,
        trials: 3,
        kind: 'burst',
        isSelfReported: false,
      },
      {
        testId: bursts[0].testId,
        title: 'Two straights',
        lead: 'right',
        best: 18,
        median: 18,
        trials: 1,
        kind: 'burst',
        isSelfReported: false,
      },
    ]);
  });
  it('counts what lies in the time, whatever order it came in', async () => {
    const { body } = await call('PUT', 'attempts/ama-odd', burst([9.99, 0, 3, 10.01, -0.2]));
    expect(body.count).toBe(3);
    await call('DELETE', 'attempts/ama-odd');
    expect((await call('GET', 'fighters/ama/log')).body.attempts).toHaveLength(4);
  });
  it('tells of each round what was done, of which session, with the names of its combos', async () => {
    await call('PUT', 'sessions/logged', session);
    await call('PUT', 'runs/logged', { sessionId: 'logged', fighterIds: ['ama'], startedAt: at });
    const more = { quality: null, seconds: 30, lead: 'right' };
    const mark = { round: 0, fighterId: 'ama', done: 'part', ...more, at };
    await call('PUT', 'runs/logged/results/m', mark);
    const { rounds } = (await call('GET', 'fighters/ama/log')).body;
    expect(rounds).toEqual([
      {
        ...mark,
        id: 'm',
        runId: 'logged',
        session: 'Short',
        title: 'Pads',
        kind: 'pads',
        combos: ['Ebb 1'],
        work: [],
        bpm: 80,
        comboId: null,
      },
    ]);
  });
  it('still tells of a round whose combo was taken out of the book', async () => {
    const combo = (await call('GET', 'combos/ebb-1')).body;
    const { id: _, grade: __, updatedAt: ___, version: ____, ...saveable } = combo;
    expect((await call('DELETE', 'combos/ebb-1')).status).toBe(204);
    const { rounds } = (await call('GET', 'fighters/ama/log')).body;
    expect(rounds[0].combos).toEqual(['Ebb 1']);
    expect((await call('GET', 'combos/ebb-1')).body.retired).toBe(true);
    await call('PUT', 'combos/ebb-1', saveable);
    expect((await call('GET', 'fighters/ama/log')).body.rounds[0].combos).toEqual(['Ebb 1']);
  });
});

describe('who is not fit to train', () => {
  it('is in no new run, stays in the old ones, and is back when the mark is lifted', async () => {
    await call('PUT', 'fighters/ama', { ...fighter, fit: false });
    const start = { sessionId: 'logged', fighterIds: ['ama'], startedAt: at };
    expect((await call('PUT', 'runs/later', start)).status).toBe(422);
    expect((await call('GET', 'runs/logged')).body.fighterIds).toEqual(['ama']);
    const old = await call('PUT', 'fighters/ama', fighter);
    expect([old.status, old.body.message]).toEqual([409, expect.stringContaining('Lift the mark by itself')]);
    await call('PUT', 'fighters/ama/fit', { fit: true, reason: 'Seen by a doctor', by: 'Ama' });
    expect((await call('PUT', 'runs/later', start)).status).toBe(200);
  });
});
