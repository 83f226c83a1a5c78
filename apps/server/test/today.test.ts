import { session } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const hour = 3_600_000;
const inHours = (hours: number): string => new Date(Date.now() + hours * hour).toISOString();
const today = async () => (await call('GET', 'today')).body;

describe('what is next', () => {
  it('is the first session still to come, an hour late as well, and none that is long over', async () => {
    const { items } = (await call('GET', 'sessions')).body;
    for (const { id } of items) {
      const { id: _, version: __, ...kept } = (await call('GET', `sessions/${id}`)).body;
      await call('PUT', `sessions/${id}`, { ...kept, plannedFor: inHours(24 * 9) });
    }
    await call('PUT', 'sessions/over', { ...session, title: 'Over', plannedFor: inHours(-3) });
    await call('PUT', 'sessions/late', { ...session, title: 'Late', plannedFor: inHours(-1) });
    await call('PUT', 'sessions/soon', { ...session, title: 'Soon', plannedFor: inHours(2) });
    await call('PUT', 'sessions/some-day', { ...session, title: 'Some day' });
    expect((await today()).next).toMatchObject({ id: 'late', title: 'Late', rounds: 1, seconds: 60 });
    await call('DELETE', 'sessions/late');
    expect((await today()).next.title).toBe('Soon');
  });
  it('expects everybody who is fit, and nobody else', async () => {
    const all = (await today()).expected.length;
    const { id: _, grade: __, version: ___, ...maja } = (await call('GET', 'fighters/emeka')).body;
    await call('PUT', 'fighters/emeka', { ...maja, fit: false });
    const names = (await today()).expected.map((each: { id: string }) => each.id);
    expect([names.length, names.includes('emeka')]).toEqual([all - 1, false]);
    await call('PUT', 'fighters/emeka/fit', { fit: true, reason: 'Seen by a doctor', by: 'Ama' });
    expect((await today()).expected).toHaveLength(all);
  });
});

describe('what was done last', () => {
  const mark = (run: string, fighterId: string, done: string, round = 0) =>
    call('PUT', `runs/${run}/results/${run}-${fighterId}-${round}`, {
      round,
      fighterId,
      done,
      at: inHours(0),
    });

  it('is a run that goes on, until it ends', async () => {
    const fighterIds = ['emeka', 'radek', 'nuria'];
    await call('PUT', 'runs/evening', { sessionId: 'soon', fighterIds, startedAt: inHours(0) });
    expect((await today()).running).toEqual({ id: 'evening', title: 'Soon' });
    await mark('evening', 'emeka', 'finished');
    await mark('evening', 'radek', 'part');
    await mark('evening', 'nuria', 'sat-out');
    await call('PUT', 'runs/evening/end', { at: inHours(0) });
    expect(await today()).toMatchObject({
      running: null,
      lastRun: { id: 'evening', title: 'Soon', finished: 1, part: 1, satOut: 1 },
    });
  });
  it('counts a mark that was taken back as none, and one that was changed as the new one', async () => {
    await call('DELETE', 'runs/evening/results/evening-nuria-0');
    await mark('evening', 'radek', 'finished');
    expect((await today()).lastRun).toMatchObject({ finished: 2, part: 0, satOut: 0 });
  });
});

describe('a burst of the last days', () => {
  const trial = (id: string, count: number, hours: number, more: object = {}) =>
    call('PUT', `attempts/${id}`, {
      fighterId: 'emeka',
      runId: null,
      title: 'Hooks on the bag',
      lead: 'left',
      seconds: 10,
      instants: Array.from({ length: count }, (_, i) => (9 * i) / count),
      at: inHours(hours),
      ...more,
    });
  const hooks = async () =>
    (await today()).bestBursts.filter(({ title }: { title: string }) => title === 'Hooks on the bag');

  it('is no best as the first of its kind', async () => {
    await trial('a', 20, -40 * 24);
    await trial('b', 22, -1);
    expect(await hooks()).toMatchObject([
      { fighterId: 'emeka', lead: 'left', count: 22, before: 20, trials: 2 },
    ]);
  });
  it('from the other lead, of another length or of somebody else stands by itself', async () => {
    await trial('c', 40, -1, { lead: 'right' });
    await trial('d', 40, -1, { seconds: 20 });
    await trial('e', 40, -1, { fighterId: 'radek' });
    expect(await hooks()).toHaveLength(1);
  });
  it('is none when it only equals the best, and none when it was surpassed before', async () => {
    await trial('f', 22, -0.5);
    expect(await hooks()).toEqual([]);
    await trial('g', 23, -0.4);
    expect(await hooks()).toMatchObject([{ count: 23, before: 22, trials: 4 }]);
  });
  it('that is taken back counts no more', async () => {
    await call('DELETE', 'attempts/g');
    await call('DELETE', 'attempts/f');
    expect(await hooks()).toMatchObject([{ count: 22, before: 20, trials: 2 }]);
  });
});
