import { moveBook } from '../../../packages/core/src/moves/index.ts';
import { burstRound, clipIds, compileToPlay, roundSeed } from '../../../packages/core/src/run/index.ts';
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
    await call('PUT', 'fighters/ines/fit', { fit: true, reason: 'Seen by a doctor', by: 'Ama' });
    expect((await call('GET', 'runs/run2')).status).toBe(404);
  });
  it('puts together who was ticked at the door, rotation by rotation, and tells the change', async () => {
    const pads = session.rounds[0];
    const rounds = [0, 1, 2].map((i) => ({ ...pads, id: `p${i}`, title: `Pads ${i}`, kind: 'pads' }));
    await call('PUT', 'sessions/paired', { ...session, rounds });
    const four = ['ines', 'radek', 'sanne', 'emeka'];
    const present = four.map((fighterId) => ({ fighterId, from: 0, until: null, ticked: [] }));
    await call('PUT', 'sessions/paired/sheet', { present, size: 2, rotations: 3 });
    const { body } = await call('PUT', 'runs/paired', {
      sessionId: 'paired',
      fighterIds: four,
      startedAt: at,
    });
    expect(body.partners.map(({ round }: any) => round)).toEqual([0, 1, 2]);
    for (const { groups } of body.partners) {
      expect(groups.flatMap(({ members }: any) => members).sort()).toEqual([...four].sort());
      // Nobody changes roles inside these rounds.
      for (const { turns } of groups) expect(turns.flat().sort()).toEqual(['hold', 'work']);
    }
    const worked = body.partners.flatMap(({ groups }: any) =>
      groups.map(({ members, turns }: any) => members[turns[0].indexOf('work')]),
    );
    for (const id of four) expect([1, 2]).toContain(worked.filter((each: string) => each === id).length);
    const pairs = body.partners.map(({ groups }: any) =>
      groups
        .map(({ members }: any) => [...members].sort().join())
        .sort()
        .join(' '),
    );
    expect(new Set(pairs).size).toBe(3);
    const rests = body.rounds.map(({ blocks }: any) => blocks.at(-1).next);
    expect(rests.slice(0, 2)).toEqual(['Pads 1, change partners', 'Pads 2, change partners']);
    const texts = (await call('GET', 'runs/paired/plan')).body.clips.map(({ text }: any) => text);
    expect(texts).toContain('next, pads 1, change partners');
  });
  it('puts nobody together without a sheet', async () => {
    expect((await call('GET', 'runs/run1')).body.partners).toEqual([]);
  });
  it('keeps what was done to it, each thing once and in the order in which it came', async () => {
    const did = (id: string, event: object) => call('PUT', `runs/run1/events/${id}`, { at, ...event });
    const started = await did('e1', { kind: 'start', round: 0, position: 0 });
    expect(started.body).toMatchObject({ id: 'e1', sequence: 1, kind: 'start', at, round: 0, position: 0 });
    const again = await did('e1', { kind: 'hold', round: 0, position: 9 });
    expect(again.body).toEqual(started.body);
    await did('e2', { kind: 'tempo', round: 0, position: 8, by: 4 });
    await did('e3', { kind: 'skip', round: 1, running: true });
    const { events } = (await call('GET', 'runs/run1')).body;
    expect(events.map(({ id, sequence, kind }: any) => [id, sequence, kind])).toEqual([
      ['e1', 1, 'start'],
      ['e2', 2, 'tempo'],
      ['e3', 3, 'skip'],
    ]);
    const all = await Promise.all(
      Array.from({ length: 20 }, (_, i) => did(`many${i}`, { kind: 'hold', round: 0, position: i })),
    );
    expect(all.map(({ body }) => body.sequence).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 20 }, (_, i) => 4 + i),
    );
  });
  it.each([
    [{ kind: 'start', position: 1 }, 422, 'round'],
    [{ kind: 'tempo', round: 0, position: 1 }, 422, 'by'],
    [{ kind: 'hold', round: 7, position: 1 }, 422, 'round'],
    [{ kind: 'hold', round: 0, position: -1 }, 400, 'position'],
    [{ kind: 'dance' }, 400, 'kind'],
  ])('refuses %j at its field', async (event, status, field) => {
    const answer = await call('PUT', 'runs/run1/events/wrong', { at, ...event });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    expect((await call('PUT', 'runs/none/events/e', { at, kind: 'end' })).status).toBe(404);
  });
  it('gives its plan once, with everything that a device needs to play it by itself', async () => {
    const { body } = await call('GET', 'runs/run1/plan');
    expect(body).toMatchObject({ runId: 'run1', lead: 'left' });
    const book = moveBook(body.book.items, body.book.numbers);
    const setting = {
      seedKey: 'run1',
      lead: body.lead,
      word: body.word,
      count: body.count,
      clips: body.clips,
    };
    const played = compileToPlay(body.rounds[0], setting, book);
    const { blocks } = (await call('GET', 'runs/run1')).body.rounds[0];
    const asked = { blocks, lead: body.lead, seed: roundSeed('run1', body.rounds[0].id) };
    const { cues } = (await call('POST', 'rounds/compile', asked)).body;
    expect(JSON.parse(JSON.stringify(played.cues))).toEqual(cues);
    const known = new Set(body.clips.map(({ id }: { id: string }) => id));
    for (const round of [burstRound(10), burstRound(45)])
      for (const id of clipIds(compileToPlay(round, setting, book))) expect(known).toContain(id);
    const faster = compileToPlay(body.rounds[0], setting, book, [{ from: 15, by: 30 }]);
    for (const id of clipIds(faster)) expect(known).toContain(id);
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
      'This run has 1 round.',
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
  it('puts people together in rounds in turns, also where nobody was ticked before', async () => {
    const rounds = [{ ...session.rounds[0], id: 'turns', kind: 'pads', turns: 2 }];
    expect((await call('PUT', 'sessions/turns', { ...session, title: 'In turns', rounds })).status).toBe(200);
    const fighterIds = ['ines', 'radek', 'emeka', 'sanne'];
    const { body } = await call('PUT', 'runs/turns', { ...start, sessionId: 'turns', fighterIds });
    const members = body.partners.flatMap(({ groups }: any) => groups.map((group: any) => group.members));
    expect(members.map((each: string[]) => each.length)).toEqual([2, 2]);
    expect(members.flat().sort()).toEqual([...fighterIds].sort());
  });
});
