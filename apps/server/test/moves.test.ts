import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
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
    minGrade: 'ebb',
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
  it('tells a risk that the gym adds to a move, and not while it is muted', async () => {
    const risk = { text: 'The ribs are open.', severity: 'caution', side: null, level: null, muted: false };
    const sentences = async (): Promise<string[]> => {
      const { body } = await call('POST', 'combos/analyse', { line: '1 scoop', lead: 'left' });
      return body.findings
        .filter((each: { rule: string }) => each.rule === 'risk')
        .map((each: { message: string }) => each.message);
    };
    expect((await call('PUT', 'moves/scoop', { ...form, risks: [risk] })).status).toBe(200);
    expect(await sentences()).toEqual(['The ribs are open.']);
    await call('PUT', 'moves/scoop', { ...form, risks: [{ ...risk, muted: true }] });
    expect(await sentences()).toEqual([]);
    const wrong = await call('PUT', 'moves/scoop', { ...form, risks: [{ ...risk, text: '' }] });
    expect([wrong.status, wrong.body.errors[0].field]).toEqual([400, 'risks.0.text']);
    await call('PUT', 'moves/scoop', form);
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
    expect((await call('PUT', 'gym/school', ways)).body.school).toMatchObject(ways);
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
