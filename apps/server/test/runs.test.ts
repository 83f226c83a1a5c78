import { serverForThisFile } from './startedServer.ts';
import { session } from './requests.ts';

const { call } = serverForThisFile();

const at = '2026-03-05T18:30:00.000Z';
describe('runs', () => {
  const start = { sessionId: 'short', fighterIds: ['ines', 'radek'], startedAt: at };
  beforeAll(async () => {
    await call('PUT', 'sessions/short', session);
  });

  it('begins once, however often it is asked, with the session as it was then', async () => {
    const first = await call('PUT', 'runs/run1', start);
    expect(
      first.body.rounds[0].blocks.map((block: { kind: string; seconds: number }) => [
        block.kind,
        block.seconds,
      ]),
    ).toEqual([
      ['rest', 10],
      ['combo', 40],
      ['rest', 20],
    ]);
    await call('PUT', 'sessions/short', { ...session, title: 'Renamed' });
    const again = await call('PUT', 'runs/run1', { ...start, fighterIds: ['ines'] });
    expect(again.body).toEqual(first.body);
  });
  it('keeps out who is missing or not fit, with a sentence', async () => {
    const missing = await call('PUT', 'runs/run2', { ...start, fighterIds: ['nobody'] });
    expect([missing.status, missing.body.message]).toEqual([422, 'One of these fighters is not in the gym.']);
    const ines = (await call('GET', 'fighters/ines')).body;
    const { name, gradeId, lead, note } = ines;
    await call('PUT', 'fighters/ines', { name, gradeId, lead, note, fit: false });
    const unfit = await call('PUT', 'runs/run2', start);
    expect(unfit.body.message).toMatch(/^Ines Okafor cannot join: marked not fit to train/);
    await call('PUT', 'fighters/ines', { name, gradeId, lead, note, fit: true });
    expect((await call('GET', 'runs/run2')).status).toBe(404);
  });
  it('keeps the clock', async () => {
    const clock = { round: 0, position: 12.5, running: true, at };
    expect((await call('PUT', 'runs/run1/clock', clock)).body.clock).toEqual(clock);
    expect((await call('GET', 'runs/run1')).body.clock).toEqual(clock);
    expect((await call('PUT', 'runs/none/clock', clock)).status).toBe(404);
    expect((await call('PUT', 'runs/run1/clock', { ...clock, position: -1 })).status).toBe(400);
  });
  it('marks each fighter once in a round, the newest mark standing, and takes marks back', async () => {
    const mark = { round: 0, fighterId: 'ines', done: 'finished', quality: 'clean', at };
    await call('PUT', 'runs/run1/results/m1', mark);
    await call('PUT', 'runs/run1/results/m1', mark);
    await call('PUT', 'runs/run1/results/m2', { ...mark, quality: 'loose' });
    const { results } = (await call('GET', 'runs/run1')).body;
    expect(results).toMatchObject([{ id: 'm2', quality: 'loose' }]);
    expect((await call('PUT', 'runs/run1/results/m3', { ...mark, fighterId: 'suda' })).status).toBe(422);
    expect((await call('PUT', 'runs/run1/results/m3', { ...mark, round: 9 })).body.message).toBe(
      'This run has 1 rounds.',
    );
    expect((await call('PUT', 'runs/run1/results/m3', { ...mark, done: 'maybe' })).status).toBe(400);
    const log = (await call('GET', 'fighters/ines/log')).body;
    expect(log.rounds[0]).toBeDefined();
    expect((await call('DELETE', 'runs/run1/results/m2')).status).toBe(204);
    expect((await call('GET', 'runs/run1')).body.results).toEqual([]);
  });
  it('counts a burst into the log, once', async () => {
    const attempt = {
      fighterId: 'ines',
      runId: 'run1',
      title: 'Two straights',
      lead: 'left',
      seconds: 10,
      instants: [0.5, 1, 1.5, 9.9, 12],
      at,
    };
    const saved = await call('PUT', 'attempts/a1', attempt);
    expect(saved.body).toMatchObject({ count: 4, perSecond: 0.4 });
    const before = (await call('GET', 'fighters/ines/log')).body.attempts.length;
    await call('PUT', 'attempts/a1', attempt);
    expect((await call('GET', 'fighters/ines/log')).body.attempts).toHaveLength(before);
    expect((await call('PUT', 'attempts/a2', { ...attempt, fighterId: 'nobody' })).status).toBe(422);
    expect((await call('PUT', 'attempts/a2', { ...attempt, instants: ['x'] })).status).toBe(400);
    expect((await call('DELETE', 'attempts/a1')).status).toBe(204);
  });
  it('ends once', async () => {
    const first = await call('PUT', 'runs/run1/end', {});
    const again = await call('PUT', 'runs/run1/end', {});
    expect(again.body.endedAt).toBe(first.body.endedAt);
  });
});
