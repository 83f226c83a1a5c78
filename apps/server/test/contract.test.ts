import { jest } from '@jest/globals';
import { decodeWav } from '../../../packages/core/src/sound/index.ts';
import { startServer, type StartedServer } from './startedServer.ts';

jest.setTimeout(60_000);

let server: StartedServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const call = <T = any>(method: string, path: string, body?: unknown) => server.call<T>(method, path, body);
const combo = {
  gradeId: 'ebb',
  number: 44,
  title: 'Test',
  line: '1-1 2 sw 1',
  bpm: 90,
  beatsPerBar: 4,
  notes: '',
  bothLeads: true,
};
const round = {
  id: 'r1',
  title: 'Pads',
  kind: 'pads',
  blocks: [
    {
      kind: 'combo',
      id: 'w',
      seconds: 40,
      combos: [{ comboId: 'ebb-1' }],
      bpm: 80,
      calls: 'on-beat',
      words: 'numbers',
      leadPlan: 'halves',
      cyclesEach: 4,
    },
    { kind: 'rest', id: 'p', seconds: 20 },
  ],
};
const session = { title: 'Short', lead: 'left', plannedFor: null, rounds: [round] };
const at = '2026-03-05T18:30:00.000Z';

describe('the house', () => {
  it('is well, and describes its routes', async () => {
    expect((await call('GET', 'health')).body).toEqual({ ok: true });
    const docs = await call('GET', 'docs-json');
    expect(Object.keys(docs.body.paths)).toContain('/api/combos/analyse');
    expect(docs.body.components.schemas.AnalyseComboDto.properties.line.type).toBe('string');
  });
  it('refuses a megabyte, text that is no JSON, and unknown fields, each with a sentence', async () => {
    const flood = await call('POST', 'combos/analyse', { line: '1 '.repeat(500_000), lead: 'left' });
    expect([flood.status, flood.body.message]).toEqual([
      413,
      'This request is too large: 256kb is the most.',
    ]);
    const garbled = await call('POST', 'combos/analyse', '{"line":');
    expect([garbled.status, garbled.body.message]).toEqual([400, 'This request is not written in JSON.']);
    const extra = await call('POST', 'combos/analyse', { line: '1', lead: 'left', sudo: true });
    expect([extra.status, extra.body.errors]).toEqual([
      400,
      [{ field: 'sudo', message: '`sudo` is not known here.' }],
    ]);
  });
  it('remembers that the notice was read, and when first', async () => {
    expect((await call('GET', 'gym')).body.noticeAcceptedAt).toBeNull();
    const first = await call('PUT', 'gym/notice', { accepted: true });
    const again = await call('PUT', 'gym/notice', { accepted: true });
    expect(again.body.noticeAcceptedAt).toBe(first.body.noticeAcceptedAt);
    expect((await call('PUT', 'gym/notice', { accepted: false })).status).toBe(400);
  });
  it('answers unknown API paths with 404 and pages with the page', async () => {
    expect((await call('GET', 'nothing')).status).toBe(404);
  });
});

describe('combos', () => {
  it('analyses a line as the contract says', async () => {
    const { status, body } = await call('POST', 'combos/analyse', { line: '1-1 2> (3@b!)', lead: 'left' });
    expect(status).toBe(200);
    expect(body).toMatchObject({
      ok: true,
      beats: '5/2',
      endLead: 'right',
      leadChanges: [{ beat: '3/2', to: 'right', how: 'step-through' }],
    });
    expect(body.strokes[3]).toMatchObject({
      index: 3,
      text: '(3@b!)',
      move: 'hook',
      by: 'fighter',
      limb: 'right-hand',
      side: 'front',
      level: 'body',
      beat: '5/2',
      leadBefore: 'right',
      leadAfter: 'right',
      feint: true,
      power: 'normal',
      conditional: false,
      shout: true,
      from: 7,
      to: 13,
    });
    expect(body.fastestBpm).toBeGreaterThan(20);
    expect(body.limit).toMatchObject({
      fromStroke: 0,
      toStroke: 1,
      reason: expect.stringContaining('same hand'),
    });
    expect(Array.isArray(body.findings)).toBe(true);
  });
  it('tells every fault of a line with 200', async () => {
    const { status, body } = await call('POST', 'combos/analyse', { line: '1 rund 42', lead: 'left' });
    expect(status).toBe(200);
    expect(body).toMatchObject({
      ok: false,
      errors: [
        { from: 2, to: 6, hint: 'round' },
        { from: 7, to: 9 },
      ],
    });
  });
  it.each([
    [{ line: '1', lead: 'middle' }, 'lead', 'The lead is one of: left, right.'],
    [{ line: 7, lead: 'left' }, 'line', 'The line is a text.'],
    [{ line: '1', lead: 'left', bpm: 999 }, 'bpm', 'The tempo goes from 20 to 300 beats a minute.'],
    [{ line: '1', lead: 'left', pace: 'warp' }, 'pace', 'The pace is one of: novice, club, sharp.'],
  ])('refuses %j', async (body, field, message) => {
    const answer = await call('POST', 'combos/analyse', body);
    expect([answer.status, answer.body.errors]).toEqual([400, [{ field, message }]]);
  });

  it('saves, repeats, changes and takes out', async () => {
    const first = await call('PUT', 'combos/t1', combo);
    expect([first.status, first.body.grade]).toEqual([200, 'Ebb']);
    await call('PUT', 'combos/t1', combo);
    const all = (await call('GET', 'combos')).body.items;
    expect(all.filter((each: { id: string }) => each.id === 't1')).toHaveLength(1);
    expect((await call('PUT', 'combos/t1', { ...combo, title: 'Changed' })).body.title).toBe('Changed');
    expect((await call('DELETE', 'combos/t1')).status).toBe(204);
    expect((await call('DELETE', 'combos/t1')).status).toBe(204);
    expect((await call('GET', 'combos/t1')).status).toBe(404);
  });
  it('does not save a bad line, and tells its faults with 422', async () => {
    const { status, body } = await call('PUT', 'combos/t2', { ...combo, line: '1 (2' });
    expect([status, body.ok, body.errors[0].from]).toEqual([422, false, 2]);
    expect((await call('GET', 'combos/t2')).status).toBe(404);
  });
  it.each([
    ['bpm', 0, 'The tempo goes from 20 to 300 beats a minute.'],
    ['bpm', 999, 'The tempo goes from 20 to 300 beats a minute.'],
    ['number', 0, 'The number is a whole number from 1 to 99.'],
    ['title', '<b>Jab</b>', 'The title is plain text of 1 to 60 characters, without < or >.'],
    ['title', '   ', 'The title is plain text of 1 to 60 characters, without < or >.'],
    ['notes', '<script>', 'The note is plain text of at most 2000 characters, without < or >.'],
  ])('refuses %s %j at its field', async (field, value, message) => {
    const answer = await call('PUT', 'combos/t3', { ...combo, [field]: value });
    expect([answer.status, answer.body.errors]).toEqual([400, [{ field, message }]]);
    expect((await call('GET', 'combos/t3')).status).toBe(404);
  });
  it('does not give a number twice in a grade', async () => {
    const clash = await call('PUT', 'combos/t4', { ...combo, number: 1 });
    expect([clash.status, clash.body.errors[0].field]).toEqual([409, 'number']);
    expect(clash.body.message).toContain('First knock');
  });
});

describe('the move book', () => {
  const form = {
    name: 'Scoop kick',
    sayLong: 'scoop kick',
    sayShort: 'scoop',
    family: 'kick',
    limb: 'leg',
    side: 'free-rear',
    level: 'low',
    surface: 'instep',
    target: '',
    out: 0.3,
    back: 0.3,
    turn: 1,
    spin: 0,
    support: 'one-foot',
    lead: 'keeps',
    facing: 0,
    forward: 0,
    right: 0,
    stance: null,
    parts: [{ name: 'Lift', cue: 'knee up' }],
    faults: [],
    easier: 'snap',
    cautions: [],
    aliases: ['löffeltritt'],
    minGrade: 0,
  };
  const moves = async () => (await call('GET', 'moves')).body.items;

  it('takes an own move, which lines can use at once, also by another word for it', async () => {
    expect((await call('PUT', 'moves/scoop', form)).status).toBe(200);
    await call('PUT', 'moves/scoop', form);
    expect((await moves()).filter((move: { code: string }) => move.code === 'scoop')).toHaveLength(1);
    const { body } = await call('POST', 'combos/analyse', { line: '1 scoop', lead: 'left' });
    expect(body.strokes[1]).toMatchObject({ move: 'scoop', limb: 'right-leg', level: 'low' });
    const hinted = await call('POST', 'combos/analyse', { line: '1 löffeltritt', lead: 'left' });
    expect(hinted.body.errors[0].hint).toBe('scoop');
  });
  it.each([
    ['out', 0, 'The time out goes from 0.05 to 3 seconds.'],
    ['name', '<b>', 'The name is plain text of 1 to 60 characters, without < or >.'],
    ['parts', [], 'A move has at least one counted part.'],
    ['easier', 'nosuch', 'The move book has no “nosuch”.'],
    ['easier', 'scoop', 'This goes in a circle: scoop, then scoop. Choose another easier move.'],
  ])('refuses %s %j', async (field, value, message) => {
    const answer = await call('PUT', 'moves/scoop', { ...form, [field]: value });
    expect([answer.status, answer.body.errors]).toEqual([400, [{ field, message }]]);
  });
  it('takes a move out that nothing needs, and retires one that is needed', async () => {
    expect((await call('DELETE', 'moves/scoop')).body).toEqual({ retired: false, usedBy: [] });
    expect((await call('DELETE', 'moves/scoop')).status).toBe(404);
    const { body } = await call('DELETE', 'moves/weave');
    expect(body).toEqual({ retired: true, usedBy: ['Slack 3'] });
    const weave = (await moves()).find((move: { code: string }) => move.code === 'weave');
    expect(weave.retired).toBe(true);
    expect((await call('POST', 'combos/analyse', { line: '1 weave 3', lead: 'left' })).body.ok).toBe(true);
  });

  it('shows the lines that a change of numbers touches, and writes them anew when asked', async () => {
    const { numbers } = (await call('GET', 'moves')).body;
    const swapped = numbers.map((entry: { number: number }) => ({
      ...entry,
      number: entry.number === 1 ? 2 : entry.number === 2 ? 1 : entry.number,
    }));
    const preview = await call('POST', 'numbers/preview', { numbers: swapped, rewrite: false });
    expect(preview.body.touched).toContainEqual({
      comboId: 'ebb-1',
      name: 'Ebb 1',
      line: '1 2',
      rewritten: '2 1',
    });
    expect((await call('GET', 'combos/ebb-1')).body.line).toBe('1 2');
    await call('PUT', 'numbers', { numbers: swapped, rewrite: true });
    expect((await call('GET', 'combos/ebb-1')).body.line).toBe('2 1');
    await call('PUT', 'numbers', { numbers, rewrite: true });
    expect((await call('GET', 'combos/ebb-1')).body.line).toBe('1 2');
  });
  it('refuses a number given twice, and one that stands for nothing', async () => {
    const twice = [
      { number: 1, code: 'jab', side: null },
      { number: 1, code: 'cross', side: null },
    ];
    const clash = await call('PUT', 'numbers', { numbers: twice, rewrite: false });
    expect([clash.status, clash.body.errors]).toEqual([
      400,
      [{ field: 'numbers.1.number', message: '1 stands for jab already.' }],
    ]);
    const gone = await call('PUT', 'numbers', {
      numbers: [{ number: 1, code: 'nosuch', side: null }],
      rewrite: false,
    });
    expect(gone.body.errors[0].field).toBe('numbers.0.code');
    expect((await call('GET', 'moves')).body.numbers).toHaveLength(9);
  });
});

describe('the gym’s ways', () => {
  const ways = {
    strikes: 'snap',
    frontHighBlock: 'avoided',
    pace: 'novice',
    words: 'names',
    floorSteps: 2,
    muted: ['side-untrained'],
    youth: [],
  };
  const rulesOf = async (line: string, extra: object = {}): Promise<string[]> =>
    (await call('POST', 'combos/analyse', { line, lead: 'left', ...extra })).body.findings.map(
      (finding: { rule: string }) => finding.rule,
    );

  it('decide what is found in a line', async () => {
    const before = (await call('POST', 'combos/analyse', { line: '1 1', lead: 'left' })).body.fastestBpm;
    expect(await rulesOf('f:high 1 3 1')).toContain('side-untrained');
    expect((await call('PUT', 'gym/school', ways)).body.school).toEqual(ways);
    expect(await rulesOf('f:high 1 3 1')).toEqual(['under-arm-open']);
    expect(await rulesOf('in-1 in-1 in-1')).toContain('needs-room');
    expect(
      (await call('POST', 'combos/analyse', { line: '1 1', lead: 'left' })).body.fastestBpm,
    ).toBeLessThan(before);
    expect(await rulesOf('1 r:knee', { gradeId: 'minnows' })).toContain('youth-contact');
    expect(await rulesOf('1 r:knee', { gradeId: 'ebb' })).toContain('above-grade');
    expect(await rulesOf('1 2', { bpm: 280 })).toContain('too-fast');
  });
  it('are refused where they make no sense', async () => {
    for (const wrong of [{ floorSteps: 0 }, { pace: 'warp' }, { muted: ['everything'] }]) {
      expect((await call('PUT', 'gym/school', { ...ways, ...wrong })).status).toBe(400);
    }
  });
});

describe('sessions and rounds', () => {
  it('lists the demo sessions, whose rounds compile as they are', async () => {
    const { items } = (await call('GET', 'sessions')).body;
    expect(items).toHaveLength(3);
    for (const { id } of items) {
      const { rounds, lead } = (await call('GET', `sessions/${id}`)).body;
      const { blocks } = rounds.at(-1);
      const compiled = await call('POST', 'rounds/compile', { blocks, lead, seed: 5 });
      expect(compiled.status).toBe(200);
      const total = blocks.reduce((sum: number, block: { seconds: number }) => sum + block.seconds, 0);
      expect(compiled.body.duration).toBe(total);
    }
  });
  it('gives cues in order, with clips that lie on them and can be fetched', async () => {
    const { body } = await call('POST', 'rounds/compile', { blocks: round.blocks, lead: 'left', seed: 1 });
    const ats = body.cues.map((cue: { at: number }) => cue.at);
    expect(ats).toEqual([...ats].sort((a: number, b: number) => a - b));
    const spoken = body.cues.filter((cue: { clip?: object }) => cue.clip);
    expect(spoken.length).toBeGreaterThan(10);
    for (const { at: due, clip } of spoken) expect(clip.start + clip.centre).toBeCloseTo(due, 6);
    const again = await call('POST', 'rounds/compile', { blocks: round.blocks, lead: 'left', seed: 1 });
    expect(again.body).toEqual(body);
    const [{ clip }] = spoken;
    const file = await fetch(`${server.base}/api/voice/clips/${clip.id}.wav`);
    expect(file.headers.get('cache-control')).toContain('immutable');
    const sound = decodeWav(new Uint8Array(await file.arrayBuffer()))!;
    expect(sound.sampleRate).toBe(16_000);
    expect(sound.samples.length / 16_000).toBeCloseTo(clip.seconds, 3);
    expect((await call('GET', `voice/clips/${'0'.repeat(32)}.wav`)).status).toBe(404);
    expect((await call('GET', 'voice/clips/..%2Fx.wav')).status).toBe(404);
  });
  it('takes a line of its own instead of a combo', async () => {
    const blocks = [{ ...round.blocks[0], combos: [{ line: '1 2 3' }] }];
    expect((await call('POST', 'rounds/compile', { blocks, lead: 'left', seed: 1 })).status).toBe(200);
    const bad = await call('POST', 'rounds/compile', {
      blocks: [{ ...round.blocks[0], combos: [{ line: '1 rund' }] }],
      lead: 'left',
      seed: 1,
    });
    expect([bad.status, bad.body.errors[0].field]).toEqual([422, 'blocks.0.combos.0']);
  });
  it.each([
    ['an empty session', { ...session, rounds: [] }, 'rounds', 'A session needs at least one round.'],
    [
      'a round of 0 seconds',
      { ...session, rounds: [{ ...round, blocks: [{ ...round.blocks[0], seconds: 0 }] }] },
      'rounds.0.blocks.0.seconds',
      'The time goes from 5 to 3600 seconds.',
    ],
    [
      'a tempo of 999',
      { ...session, rounds: [{ ...round, blocks: [{ ...round.blocks[0], bpm: 999 }] }] },
      'rounds.0.blocks.0.bpm',
      'The tempo goes from 20 to 300 beats a minute.',
    ],
    [
      'an unknown block',
      { ...session, rounds: [{ ...round, blocks: [{ kind: 'dance', id: 'd', seconds: 30 }] }] },
      'rounds.0.blocks.0.kind',
      'A block is one of: combo, free, burst, rest.',
    ],
    [
      'a name in HTML',
      { ...session, title: '<i>x</i>' },
      'title',
      'The title is plain text of 1 to 60 characters, without < or >.',
    ],
  ])('refuses %s at its field', async (_, body, field, message) => {
    const answer = await call('PUT', 'sessions/bad', body);
    expect(answer.status).toBe(400);
    expect(answer.body.errors).toContainEqual({ field, message });
    expect((await call('GET', 'sessions/bad')).status).toBe(404);
  });
  it('refuses a combo that is not in the book, at its place', async () => {
    const blocks = [{ ...round.blocks[0], combos: [{ comboId: 'ebb-1' }, { comboId: 'gone' }] }];
    const answer = await call('PUT', 'sessions/bad', { ...session, rounds: [{ ...round, blocks }] });
    expect([answer.status, answer.body.errors[0].field]).toEqual([422, 'rounds.0.blocks.0.combos.1']);
  });
  it('keeps a session that was held', async () => {
    expect((await call('DELETE', 'sessions/first-steps')).status).toBe(409);
    await call('PUT', 'sessions/never-held', session);
    expect((await call('DELETE', 'sessions/never-held')).status).toBe(204);
  });
});

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

describe('the demo gym', () => {
  it('has fourteen fighters over its grades, twelve combos and eight weeks of logs', async () => {
    expect((await call('GET', 'fighters')).body.items).toHaveLength(14);
    expect((await call('GET', 'combos')).body.items.length).toBeGreaterThanOrEqual(12);
    const { rounds, attempts, bursts } = (await call('GET', 'fighters/tomasz/log')).body;
    expect(rounds.length).toBeGreaterThan(40);
    const days = attempts.map((attempt: { at: string }) => Date.parse(attempt.at) / 86_400_000);
    expect(Math.max(...days) - Math.min(...days)).toBeGreaterThan(40);
    // the fighter who is much slower from one lead
    const median = (lead: string) =>
      bursts.find(
        (burst: { title: string; lead: string }) => burst.title === 'Two straights' && burst.lead === lead,
      ).median;
    expect(median('right') / median('left')).toBeLessThan(0.85);
  });
  it('answers what is next today', async () => {
    const { body } = await call('GET', 'today');
    expect(body.next.title).toBe('Knees behind the cross');
    expect(body.expected.length).toBe(14);
    expect(body.lastRun).not.toBeNull();
  });
});
