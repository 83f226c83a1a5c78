import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
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
  const analysed = async (line: string, more: object = {}) =>
    (await call('POST', 'combos/analyse', { line, lead: 'left', pace: 'sharp', ...more })).body;
  it('tells how fast a line can follow itself, and has no limit for a single stroke but that', async () => {
    const lone = await analysed('r:round');
    expect([lone.fastestBpm, lone.limit]).toEqual([null, null]);
    expect(lone.repeat).toMatchObject({ beats: 4, fastestBpm: 333, limit: { fromStroke: 0, toStroke: 0 } });
    expect((await analysed('r:round', { cycleBeats: 1 })).repeat).toMatchObject({ beats: 1, fastestBpm: 83 });
    expect((await analysed('1 2 3', { beatsPerBar: 3 })).repeat.beats).toBe(3);
    const fast = await analysed('r:round', { cycleBeats: 1, bpm: 120 });
    expect(fast.findings[0]).toMatchObject({ rule: 'too-fast', strokes: [0, 0] });
  });
  it.each([
    ['1 2', { lead: 'left', facing: 0, place: { forward: 0, left: 0 }, stance: 'fighting' }],
    ['1 angle', { lead: 'left', facing: 0, place: { forward: 0.7, left: 0.7 } }],
    ['half', { lead: 'left', facing: 180 }],
    ['threeq', { lead: 'right', facing: -90 }],
    ['1 2> horse', { lead: 'right', place: { forward: 1, left: 0 }, stance: 'horse' }],
  ])('%s ends as it does', async (line, end) => expect((await analysed(line)).end).toMatchObject(end));
  it.each([
    ['2> 2> 2> 2>', 114],
    ['1> 1> 1>', 114],
    ['in in in in', 114],
    ['2 f:backfist', 300],
  ])('%s is done no faster than %d a minute', async (line, most) => {
    expect((await analysed(line, { pace: 'club' })).fastestBpm).toBeLessThanOrEqual(most);
  });
  it.each([
    ['r:jab', 'side-ignored'],
    ['1 in', 'drifts'],
  ])('%s is reported: %s', async (line, rule) => {
    expect((await analysed(line)).findings.map((each: { rule: string }) => each.rule)).toContain(rule);
  });
  it('refuses a bar and a cycle that are none', async () => {
    for (const wrong of [
      { beatsPerBar: 0 },
      { beatsPerBar: 2.5 },
      { cycleBeats: 65 },
      { cycleBeats: 'long' },
    ])
      expect((await call('POST', 'combos/analyse', { line: '1', lead: 'left', ...wrong })).status).toBe(400);
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
    const versions = (await call('GET', 'combos/t1/versions')).body.items;
    expect(versions.map((version: { combo: { title: string } }) => version.combo.title)).toEqual([
      'Changed',
      'Test',
    ]);
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
