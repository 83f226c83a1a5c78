import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const START = Date.now() - 3_600_000;
const at = (seconds: number): string => new Date(START + seconds * 1000).toISOString();
const event = (id: string, body: object) => call('PUT', `runs/late/events/${id}`, body);
const run = async () => (await call('GET', 'runs/late')).body;
const finishedIn = async (round: number): Promise<string[]> =>
  (await run()).results
    .filter((each: any) => each.round === round && each.done === 'finished')
    .map((each: any) => each.fighterId)
    .sort();

beforeAll(async () => {
  const present = ['ines', 'oskar'].map((fighterId) => ({ fighterId, from: 0, until: null, ticked: [] }));
  await call('PUT', 'sessions/knees-behind-the-cross/sheet', { present, size: 2, rotations: 2 });
  await call('PUT', 'runs/late', {
    sessionId: 'knees-behind-the-cross',
    fighterIds: ['ines', 'oskar'],
    startedAt: at(0),
  });
});

describe('who comes late or leaves', () => {
  const groups = [{ members: ['ines', 'lumi'] }];

  it('has finished the rounds whose end bell rang while they were there, and no others', async () => {
    await event('bell-0', { kind: 'bell', at: at(100), round: 0 });
    const before = (await run()).partners;
    const partners = before.map(({ round }: any) => ({ round, groups }));
    const comes = { kind: 'comes', at: at(110), round: 1, fighterId: 'lumi', partners };
    expect((await event('comes', comes)).body).toMatchObject({ kind: 'comes', round: 1, fighterId: 'lumi' });
    await event('leaves', { kind: 'leaves', at: at(120), round: 1, fighterId: 'oskar' });
    await event('bell-1', { kind: 'bell', at: at(200), round: 1 });
    await event('back', { kind: 'comes', at: at(210), round: 2, fighterId: 'oskar' });
    await event('bell-2', { kind: 'bell', at: at(300), round: 2 });
    expect([await finishedIn(0), await finishedIn(1), await finishedIn(2)]).toEqual([
      ['ines', 'oskar'],
      ['ines', 'lumi'],
      ['ines', 'lumi', 'oskar'],
    ]);
    const { fighterIds, partners: kept } = await run();
    expect(fighterIds).toEqual(['ines', 'oskar', 'lumi']);
    expect(before.length).toBeGreaterThan(1);
    for (const [i, { round, groups: now }] of kept.entries()) {
      if (round <= 1) expect(now).toEqual(before[i].groups);
      else expect(now).toEqual([{ members: ['ines', 'lumi'], turns: expect.any(Array) }]);
    }
  });
  it('keeps the rounds before the leaving when coming back, though bell and leaving are known late', async () => {
    await call('PUT', 'runs/away', {
      sessionId: 'knees-behind-the-cross',
      fighterIds: ['ines', 'oskar'],
      startedAt: at(0),
    });
    const done = (id: string, body: object) => call('PUT', `runs/away/events/${id}`, body);
    await done('bell-0', { kind: 'bell', at: at(100), round: 0 });
    // Another device tells the bell of the second round first.
    await done('bell-1', { kind: 'bell', at: at(200), round: 1 });
    await done('leaves', { kind: 'leaves', at: at(150), round: 1, fighterId: 'oskar' });
    await done('back', { kind: 'comes', at: at(310), round: 2, fighterId: 'oskar' });
    await done('bell-2', { kind: 'bell', at: at(300), round: 2 });
    await done('clean-0', { kind: 'all-clean', at: at(400), round: 0 });
    const { results } = (await call('GET', 'runs/away')).body;
    const reported = results.map(
      (each: any) => `${each.round} ${each.fighterId} ${each.done} ${each.quality}`,
    );
    expect(reported.sort()).toEqual([
      '0 ines finished clean',
      '0 oskar finished clean',
      '1 ines finished null',
      '2 ines finished null',
      '2 oskar finished null',
    ]);
  });
  it('may be marked, and is in the log', async () => {
    const mark = { round: 1, fighterId: 'lumi', done: 'part', seconds: 30, at: at(190) };
    expect((await call('PUT', 'runs/late/results/m', mark)).status).toBe(200);
    const { rounds } = (await call('GET', 'fighters/lumi/log')).body;
    expect(rounds.some((each: any) => each.runId === 'late' && each.done === 'part')).toBe(true);
  });
  it.each([
    [{ kind: 'comes', round: 1 }, 'What was done (comes) needs the fighter.'],
    [{ kind: 'comes', round: 1, fighterId: 'nobody' }, 'One of these fighters is not in the gym.'],
    [{ kind: 'leaves', round: 1, fighterId: 'radek' }, 'This fighter is not in the run.'],
  ])('is reported what is missing: %j', async (body, message) => {
    const answer = await event('bad', { ...body, at: at(130) });
    expect([answer.status, answer.body.message]).toEqual([422, message]);
  });
  it('is not let in while marked not fit to train', async () => {
    await call('PUT', 'fighters/radek/fit', { fit: false, reason: 'a knock', by: 'coach' });
    const answer = await event('unfit', { kind: 'comes', at: at(130), round: 1, fighterId: 'radek' });
    expect(answer.body.message).toMatch(/marked not fit to train/);
  });
});

describe('what is said of a class as a whole', () => {
  it('is kept, changed and taken back, also after its end', async () => {
    const said = (effort: number | null, note: string | null) =>
      call('PUT', 'runs/late/note', { effort, note });
    expect((await said(7, 'Knees too low')).body).toMatchObject({ effort: 7, note: 'Knees too low' });
    await event('end', { kind: 'end', at: at(900) });
    expect((await said(null, null)).body).toMatchObject({ effort: null, note: null });
    expect((await said(11, null)).body.message).toBe('The effort is a whole number from 1 to 10.');
  });
});
