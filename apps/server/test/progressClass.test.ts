import { format, subDays } from 'date-fns';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const day = (daysAgo: number): string => format(subDays(new Date(), daysAgo), 'yyyy-MM-dd');
const instant = (daysAgo: number): string => subDays(new Date(), daysAgo).toISOString();
const items = async (path: string) => (await call('GET', path)).body.items;
const questions = (kind: string) =>
  items('progress/questions').then((all) => all.filter((each: any) => each.kind === kind));

async function newFighter(id: string, gradeId = 'flood'): Promise<void> {
  const fighter = { name: `New ${id}`, gradeId, lead: 'left', note: '', fit: true };
  expect((await call('PUT', `fighters/${id}`, fighter)).status).toBe(200);
}

/** A session of one count of jabs and one of kicks, held by some so many days ago, all of it finished. */
async function held(id: string, fighterIds: readonly string[], daysAgo: number, reps = 10, sets = 1) {
  const count = (block: string, line: string) => ({
    ...{ kind: 'count', id: block, title: 'Work', line, reps, sets, sides: 'one', rest: 0, groups: [] },
    ...{ seconds: 60, repSeconds: 2, method: 'whole', direction: 'up', levels: 'fixed' },
    ...{ from: 'standing', shoutLast: false },
  });
  const session = {
    ...{ title: id, lead: 'left', plannedFor: null },
    rounds: [
      { id: 'a', title: 'Jabs', kind: 'technique', blocks: [count('a1', '1')] },
      { id: 'b', title: 'Kicks', kind: 'technique', blocks: [count('b1', 'r:round')] },
    ],
  };
  const saved = await call('PUT', `sessions/${id}`, session);
  expect([saved.status, saved.body.fields]).toEqual([200, undefined]);
  const started = { sessionId: id, fighterIds, startedAt: instant(daysAgo) };
  expect((await call('PUT', `runs/${id}`, started)).status).toBe(200);
  for (const fighterId of fighterIds)
    for (const round of [0, 1]) {
      const mark = { round, fighterId, done: 'finished', quality: 'clean', at: instant(daysAgo) };
      expect((await call('PUT', `runs/${id}/results/${fighterId}-${round}`, mark)).status).toBe(200);
    }
}

describe('the pace of a class', () => {
  /** Times through two straights that are asked for every 0.2 s and come every 0.32 s. */
  const slow = {
    ...{ source: 'microphone', device: 'Built-in', latency: 0, detector: 'strikes 3' },
    due: [1, 1.2, 3, 3.2, 5, 5.2, 7, 7.2, 9, 9.2],
    starts: [0, 2, 4, 6, 8],
    onsets: [1, 1.32, 3, 3.32, 5, 5.32, 7, 7.32, 9, 9.32].map((at) => ({ at, strength: -20 })),
  };

  it('is reported about those whose combos were heard, and nobody else', async () => {
    await newFighter('slow');
    await newFighter('unheard');
    const trial = {
      ...{ fighterId: 'slow', title: 'Straights', kind: 'combo-time', line: '1-2', seconds: 10 },
      ...{ lead: 'left', instants: slow.onsets.map(({ at }) => at), measured: 'microphone', heard: slow },
    };
    for (const n of [1, 2, 3]) {
      const kept = await call('PUT', `attempts/slow-${n}`, { ...trial, at: instant(n) });
      expect([kept.status, kept.body.fields]).toEqual([200, undefined]);
    }
    const paces = await items('progress/paces?who=slow,unheard');
    expect(paces.map(({ fighterId }: any) => fighterId)).toEqual(['slow']);
    const [own] = paces;
    expect(own.base).toBeGreaterThan(own.gym);
    expect(own.pairs[0]).toMatchObject({ pair: 'hand-hand', atMost: false });
  });

  it('goes with the plan of a run, and stands in who works with whom', async () => {
    await held('paced', ['slow', 'unheard'], 2);
    const { paces } = (await call('GET', 'runs/paced/plan')).body;
    expect(paces.map(({ fighterId }: any) => fighterId)).toEqual(['slow']);
  });
});

describe('how often each move was done', () => {
  it('is counted since the first day, towards the number of the gym', async () => {
    await newFighter('counted');
    await held('long-ago', ['counted'], 400, 30);
    await held('lately', ['counted'], 5, 10);
    const lifetime = async () => (await call('GET', 'fighters/counted/lifetime')).body;
    expect(await lifetime()).toEqual({
      moves: [
        { move: 'Jab', done: 40, lately: 10 },
        { move: 'Round kick', done: 40, lately: 10 },
      ],
      since: day(400),
      towards: 2000,
    });
    const { school } = (await call('GET', 'gym')).body;
    const set = (repetitions: unknown) => call('PUT', 'gym/school', { ...school, repetitions });
    expect((await set(5000)).status).toBe(200);
    expect((await lifetime()).towards).toBe(5000);
    expect((await set(null)).status).toBe(200);
    expect((await lifetime()).towards).toBeNull();
    expect(JSON.stringify((await set(5)).body)).toMatch(/repetitions.*100/i);
    expect((await call('GET', 'fighters/nobody/lifetime')).status).toBe(404);
  });
});

describe('fading over a class', () => {
  it('is reported about the last class with three bursts from one lead', async () => {
    await newFighter('fader');
    await held('bursts', ['fader'], 3);
    const burst = async (n: number, count: number) => {
      const instants = Array.from({ length: count }, (_, i) => (10 * (i + 0.5)) / count);
      const sent = { fighterId: 'fader', runId: 'bursts', title: 'Two straights', seconds: 10, lead: 'left' };
      const at = new Date(subDays(new Date(), 3).getTime() + 60_000 * n).toISOString();
      expect((await call('PUT', `attempts/fader-${n}`, { ...sent, instants, at })).status).toBe(200);
    };
    const across = async () =>
      (await call('GET', 'fighters/fader/progress')).body.fading.map((each: any) => each.across);
    await burst(1, 40);
    await burst(2, 36);
    expect(await across()).toEqual([null]);
    await burst(3, 32);
    expect((await across())[0]).toMatchObject({ rounds: 3, day: day(3) });
    expect((await across())[0].percent).toBeCloseTo(11.1, 0);
  });
});

describe('who came', () => {
  it('is reported week by week, of a grade or of all', async () => {
    const all = await items('progress/attended');
    expect(all.length).toBeGreaterThan(4);
    expect(all.every(({ classes, people }: any) => classes > 0 === people > 0)).toBe(true);
    const some = await items('progress/attended?gradeId=slack');
    expect(Math.max(...some.map(({ people }: any) => people))).toBeLessThanOrEqual(3);
    expect(await items('progress/attended?gradeId=none')).toEqual([]);
  });
});

describe('what the log asks of a class', () => {
  it('names a limb that hardly strikes, until it does', async () => {
    const fighterIds = ['ines', 'suda', 'radek', 'leilani', 'joost', 'nuria', 'tomasz'];
    // Jabs from one lead alone: a thousand for each, and as many kicks of the rear leg.
    for (const n of [1, 2, 3, 4]) await held(`one-sided-${n}`, fighterIds, 1, 100, 10);
    const [asked] = await questions('limb neglected');
    expect(asked).toMatchObject({ action: 'Build a session', fighterId: null });
    expect(asked.sentence).toMatch(/had \d %; the gym’s combos would give it \d+ %/);
  });

  it('names a test that was not done for six weeks by those who come', async () => {
    expect(await questions('test due')).toEqual([]);
    const who = ['late-1', 'late-2', 'late-3'];
    for (const id of who) {
      await newFighter(id);
      const old = { fighterId: id, title: 'Long burst', seconds: 30, lead: 'left', instants: [], said: 60 };
      await call('PUT', `attempts/${id}`, { ...old, measured: 'partner', at: instant(60) });
    }
    // Who does not come is not waited for.
    expect(await questions('test due')).toEqual([]);
    await held('they-come', who, 4);
    const [due] = await questions('test due');
    expect(due).toMatchObject({ name: 'Long burst', action: 'Plan the test' });
    expect(due.sentence).toMatch(/^3 of 3 who come/);
    const { id } = (await items('tests')).find(({ title }: any) => title === 'Long burst');
    expect(due.to).toBe(`/sessions/new?test=${id}`);
  });
});
