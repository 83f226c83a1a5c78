import { readWav } from '../../../packages/core/src/sound/index.ts';
import { serverForThisFile } from './startedServer.ts';
import { round, session } from './requests.ts';

const { call, base } = serverForThisFile();

describe('sessions and rounds', () => {
  it('lists the demo sessions, whose rounds compile as they are', async () => {
    const { items } = (await call('GET', 'sessions')).body;
    expect(items).toHaveLength(4);
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
    const file = await fetch(`${base()}/api/voice/clips/${clip.id}.wav`);
    expect(file.headers.get('cache-control')).toContain('immutable');
    const read = readWav(new Uint8Array(await file.arrayBuffer()));
    if (!read.ok) throw new Error(read.message);
    const { sound } = read;
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
      'The time goes from 5 to 7200 seconds.',
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
      'A block is one of: combo, count, burst, hold, free, react, footwork, condition, breath, lineup, rest, talk.',
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

describe('blocks of every kind', () => {
  const blocks = [
    {
      kind: 'count',
      id: 'c',
      seconds: 70,
      title: 'Kicks',
      line: 'r:round',
      reps: 10,
      groups: [{ group: 'Minnows', reps: 6 }],
      sides: 'both',
      sets: 1,
      rest: 0,
      repSeconds: 2,
      method: 'whole',
      direction: 'up',
      levels: 'fixed',
      from: 'standing',
      shoutLast: true,
    },
    { kind: 'hold', id: 'h', seconds: 66, title: 'Low stance', holdSeconds: 30, sides: 'both', times: 1 },
    { kind: 'react', id: 'r', seconds: 40, call: 'now', line: '1 2', every: { min: 3, max: 6 }, regular: 10 },
    {
      kind: 'footwork',
      id: 'f',
      seconds: 40,
      there: 'in',
      back: 'out',
      steps: 3,
      strike: '2',
      room: 2,
      bpm: 90,
    },
    { kind: 'condition', id: 'd', seconds: 33, title: 'Squats', reps: 15, groups: [], repSeconds: 2 },
    { kind: 'talk', id: 't', seconds: 20, title: 'Rules', notes: 'gloves' },
  ];
  it('are kept with a session, and compile to calls on one clock', async () => {
    const wanted = {
      title: 'All kinds',
      lead: 'left',
      plannedFor: null,
      word: 'Tide',
      rounds: [{ id: 'r1', title: 'All', kind: 'technique', blocks }],
    };
    expect((await call('PUT', 'sessions/all-kinds', wanted)).status).toBe(200);
    const { body } = await call('GET', 'sessions/all-kinds');
    expect([body.word, body.rounds[0].blocks]).toEqual(['Tide', blocks]);
    const compiled = await call('POST', 'rounds/compile', {
      blocks: body.rounds[0].blocks,
      lead: 'left',
      seed: 1,
      word: body.word,
    });
    expect(compiled.body.duration).toBe(269);
    const said = compiled.body.cues.filter((cue: any) => cue.clip).map((cue: any) => cue.text);
    expect(said).toEqual(expect.arrayContaining(['minnows done', 'low stance', 'now', 'squats', 'fifteen']));
  });
  it.each([
    ['c', { reps: 0 }, 400, 'blocks.0.reps', 'The count is a whole number from 1 to 500 repetitions.'],
    ['c', { line: 'rund' }, 422, 'blocks.0.line', undefined],
    ['c', { groups: [{ group: 'Minnows', reps: 0 }] }, 400, 'blocks.0.groups.0.reps', undefined],
    ['h', { holdSeconds: -1 }, 400, 'blocks.0.holdSeconds', 'The time of a hold goes from 3 to 600 seconds.'],
    [
      'r',
      { every: { min: 9, max: 4 } },
      422,
      'blocks.0.every.max',
      'The longest wait is shorter than the shortest one.',
    ],
    ['f', { strike: '(' }, 422, 'blocks.0.strike', undefined],
    ['d', { reps: 1.5 }, 400, 'blocks.0.reps', undefined],
    ['t', { title: '<b>' }, 400, 'blocks.0.title', undefined],
  ])('block %s is refused with %j', async (id, spoilt, status, field, message) => {
    const block = { ...blocks.find((each) => each.id === id), ...spoilt };
    const answer = await call('POST', 'rounds/compile', { blocks: [block], lead: 'left', seed: 1 });
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    if (message) expect(answer.body.errors[0].message).toBe(message);
  });
});

describe('more than anybody could do', () => {
  const block = { ...round.blocks[0], combos: [{ line: '1:1/16 2:1/16 1:1/16 2' }], bpm: 300, seconds: 7200 };
  const sentence =
    'This round asks for more than 150,000 beats, strikes and calls. Make it shorter, slower, or with fewer strokes to a beat.';
  it('is reported before anything is worked out', async () => {
    const answer = await call('POST', 'rounds/compile', { blocks: [block], lead: 'left', seed: 1 });
    expect([answer.status, answer.body.message]).toEqual([422, sentence]);
  });
  it('is reported for the files of a session too', async () => {
    const rounds = Array.from({ length: 4 }, (_, i) => ({
      ...round,
      id: `r${i}`,
      blocks: [{ ...block, id: `b${i}` }],
    }));
    expect((await call('PUT', 'sessions/endless', { ...session, rounds })).status).toBe(200);
    for (const file of ['rhythm.mid', 'calls.vtt', 'audio.wav', 'homework.zip']) {
      const { status, body } = await call('GET', `sessions/endless/${file}`);
      expect([file, status]).toEqual([file, 422]);
      expect(body.message).toBe(sentence.replace('round', 'session').replace('150', '600'));
    }
  });
});
