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
