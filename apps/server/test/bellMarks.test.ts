import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const START = Date.now() - 3_600_000;
const at = (seconds: number): string => new Date(START + seconds * 1000).toISOString();
const put = (id: string, mark: object) => call('PUT', `runs/rung/results/${id}`, mark);
const event = (id: string, body: object) => call('PUT', `runs/rung/events/${id}`, body);
const bell = (seconds: number, kind = 'bell') => ({ kind, at: at(seconds), round: 0 });
const standing = async (): Promise<Record<string, unknown>> => {
  const { results } = (await call('GET', 'runs/rung')).body;
  return Object.fromEntries(
    results.map((each: any) => [each.fighterId, [each.done, each.quality, each.seconds, each.lead]]),
  );
};

beforeAll(async () => {
  await call('PUT', 'runs/rung', {
    sessionId: 'first-steps',
    fighterIds: ['ines', 'oskar', 'lumi'],
    startedAt: at(0),
  });
});

describe('the end bell of a round', () => {
  it('is a finished round for everybody who was there and has no other mark', async () => {
    await put('a', { round: 0, fighterId: 'ines', done: 'part', seconds: 71, lead: 'right', at: at(71) });
    expect((await event('b', bell(120))).status).toBe(200);
    expect(await standing()).toEqual({
      ines: ['part', null, 71, 'right'],
      oskar: ['finished', null, null, null],
      lumi: ['finished', null, null, null],
    });
    const { rounds } = (await call('GET', 'fighters/oskar/log')).body;
    expect(rounds.find((each: any) => each.runId === 'rung')).toMatchObject({ round: 0, done: 'finished' });
  });
  it('gives way to a press that was made before it and comes after it', async () => {
    await put('c', { round: 0, fighterId: 'lumi', done: 'sat-out', at: at(60) });
    expect((await standing())['lumi']).toEqual(['sat-out', null, null, null]);
  });
  it('changes nothing when it comes again', async () => {
    await event('b', bell(120));
    await event('b2', bell(130));
    expect(Object.values(await standing()).map((mark: any) => mark[0])).toEqual(
      expect.arrayContaining(['part', 'sat-out', 'finished']),
    );
  });
  it('with one press more is clean for all who finished without another word', async () => {
    await put('d', { round: 0, fighterId: 'lumi', done: 'finished', quality: 'loose', at: at(140) });
    expect((await event('e', bell(150, 'all-clean'))).status).toBe(200);
    expect(await standing()).toMatchObject({
      ines: ['part', null, 71, 'right'],
      oskar: ['finished', 'clean', null, null],
      lumi: ['finished', 'loose', null, null],
    });
  });
  it('needs its round, and one that the run has', async () => {
    expect((await event('f', { kind: 'bell', at: at(1) })).status).toBe(422);
    expect((await event('g', { kind: 'bell', at: at(1), round: 99 })).status).toBe(422);
  });
});
