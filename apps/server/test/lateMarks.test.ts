import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const START = Date.parse('2026-03-05T18:30:00Z');
/** So many seconds into the class. */
const at = (seconds: number): string => new Date(START + seconds * 1000).toISOString();
const mark = (done: string, seconds: number) => ({ round: 0, fighterId: 'ines', done, at: at(seconds) });
const put = (id: string, body: object, clock?: string) =>
  call('PUT', `runs/held/results/${id}`, body, clock ? { 'eurhythm-clock': clock } : {});
const standing = async (): Promise<any[]> => (await call('GET', 'runs/held')).body.results;

beforeEach(async () => {
  await call('PUT', 'runs/held', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at(0) });
});

describe('marks that come late', () => {
  it('leave the newest press standing, in whatever order they come', async () => {
    await put('newer', mark('part', 60));
    const late = await put('older', mark('finished', 30));
    expect([late.status, late.body.id, late.body.done]).toEqual([200, 'newer', 'part']);
    expect(await standing()).toMatchObject([{ id: 'newer', done: 'part' }]);
    await put('newest', mark('sat-out', 90));
    expect(await standing()).toMatchObject([{ id: 'newest', done: 'sat-out' }]);
  });
  it('stay taken back when they are sent again; a new press counts', async () => {
    expect((await call('DELETE', 'runs/held/results/newest')).status).toBe(204);
    expect(await standing()).toEqual([]);
    const again = await put('newest', mark('sat-out', 90));
    expect([again.status, again.body.message]).toEqual([410, expect.stringContaining('taken back')]);
    expect((await put('older', mark('finished', 30))).status).toBe(410);
    expect(await standing()).toEqual([]);
    expect(
      (await call('GET', 'fighters/ines/log')).body.rounds.filter((r: any) => r.runId === 'held'),
    ).toEqual([]);
    const now = { ...mark('finished', 0), at: new Date(Date.now() + 1000).toISOString() };
    expect((await put('anew', now)).status).toBe(200);
    expect(await standing()).toMatchObject([{ id: 'anew', done: 'finished' }]);
  });
  it('are put right where the clock of a device is wrong, by what it shows when it sends', async () => {
    await call('PUT', 'runs/clock', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at(0) });
    const hour = 3_600_000;
    const ahead = new Date(Date.now() + hour);
    const reported = new Date(ahead.getTime() - 10_000).toISOString();
    const body = { round: 0, fighterId: 'ines', done: 'part', at: reported };
    const { body: kept } = await call('PUT', 'runs/clock/results/a', body, {
      'eurhythm-clock': ahead.toISOString(),
    });
    const off = Date.parse(kept.at) - (Date.parse(reported) - hour);
    expect(Math.abs(off)).toBeLessThan(5000);
    // A right clock that pressed a moment later wins, though its number is smaller.
    const right = { round: 0, fighterId: 'ines', done: 'finished', at: new Date().toISOString() };
    await call('PUT', 'runs/clock/results/b', right);
    expect((await call('GET', 'runs/clock')).body.results).toMatchObject([{ id: 'b' }]);
  });
  it('reported for years from now by a wrong clock do not stand for ever', async () => {
    await call('PUT', 'runs/far', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at(0) });
    await call('PUT', 'runs/far/results/a', { ...mark('part', 0), at: '2099-01-01T00:00:00Z' });
    const later = { ...mark('finished', 0), at: new Date(Date.now() + 1000).toISOString() };
    await call('PUT', 'runs/far/results/b', later);
    expect((await call('GET', 'runs/far')).body.results).toMatchObject([{ id: 'b', done: 'finished' }]);
  });
});

describe('a trial that was taken out', () => {
  it('stays out when it is sent again', async () => {
    const trial = {
      fighterId: 'ines',
      title: 'Two straights',
      lead: 'left',
      seconds: 10,
      instants: [1],
      at: at(0),
    };
    await call('PUT', 'attempts/out', trial);
    await call('DELETE', 'attempts/out');
    expect((await call('PUT', 'attempts/out', trial)).status).toBe(410);
    const { attempts } = (await call('GET', 'fighters/ines/log')).body;
    expect(attempts.filter((each: any) => each.id === 'out')).toEqual([]);
  });
});
