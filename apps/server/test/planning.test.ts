import { round, session } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

describe('series and groups', () => {
  it('keeps a series and the groups, and counts the rounds as often as they are held', async () => {
    const series = { id: 's', times: 3 };
    const groups = [{ name: 'Minnows', gradeIds: ['minnows'] }];
    const lanes = [{ group: 'Minnows', combos: [{ comboId: 'minnows-1' }] }];
    const own = { ...round, series, blocks: [{ ...round.blocks[0], lanes }, round.blocks[1]] };
    const saved = await call('PUT', 'sessions/series', { ...session, groups, rounds: [own] });
    expect(saved.status).toBe(200);
    expect(saved.body).toMatchObject({ groups, rounds: [{ series }] });
    const { items } = (await call('GET', 'sessions')).body;
    expect(items.find(({ id }: { id: string }) => id === 'series')).toMatchObject({
      rounds: 3,
      seconds: 180,
    });
    const compiled = await call('POST', 'rounds/compile', { blocks: own.blocks, lead: 'left', seed: 1 });
    expect(compiled.body.cycles[0].lanes).toEqual([{ group: 'Minnows', combo: 'minnows-1' }]);
    expect(compiled.body.combos.map((each: { id: string }) => each.id)).toContain('minnows-1');
    expect(
      compiled.body.cues.some(
        (cue: { text: string; clip?: object }) => cue.text.startsWith('minnows') && cue.clip,
      ),
    ).toBe(true);
    const run = await call('PUT', 'runs/series-run', {
      sessionId: 'series',
      fighterIds: [],
      startedAt: '2026-03-05T18:30:00Z',
    });
    expect(run.body.rounds.map((each: { title: string }) => each.title)).toEqual([
      'Pads (1 of 3)',
      'Pads (2 of 3)',
      'Pads (3 of 3)',
    ]);
    const captions = await call('GET', 'sessions/series/calls.vtt');
    expect(captions.status).toBe(200);
  });
  it.each([
    ['times of a series', { series: { id: 's', times: 1 } }, 'rounds.0.series.times'],
    [
      'lanes without a combo',
      { blocks: [{ ...round.blocks[0], lanes: [{ group: 'Minnows', combos: [] }] }] },
      'rounds.0.blocks.0.lanes.0.combos',
    ],
    ['time calls', { timeCalls: ['noon'] }, 'rounds.0.timeCalls'],
    ['kit that is no text', { blocks: [{ ...round.blocks[0], kit: ['<b>'] }] }, 'rounds.0.blocks.0.kit'],
  ])('refuses wrong %s at the field', async (_, changes, field) => {
    const answer = await call('PUT', 'sessions/bad-series', {
      ...session,
      rounds: [{ ...round, ...changes }],
    });
    expect([answer.status, answer.body.errors?.[0]?.field]).toEqual([400, field]);
  });
  it('tells which combo of a group is gone', async () => {
    const blocks = [{ ...round.blocks[0], lanes: [{ group: 'Minnows', combos: [{ comboId: 'nope' }] }] }];
    const answer = await call('PUT', 'sessions/bad-lane', { ...session, rounds: [{ ...round, blocks }] });
    expect([answer.status, answer.body.errors[0].field]).toEqual([422, 'rounds.0.blocks.0.lanes.0.combos.0']);
  });
});

describe('very long sessions', () => {
  const rest = (i: number) => ({ kind: 'rest', id: `b${i}`, seconds: 5 });
  const long = (rounds: number, blocks: number) => ({
    ...session,
    rounds: Array.from({ length: rounds }, (_, i) => ({
      ...round,
      id: `r${i}`,
      blocks: Array.from({ length: blocks }, (_, j) => rest(j)),
    })),
  });
  it('hold a thousand blocks', async () => {
    const saved = await call('PUT', 'sessions/thousand', long(20, 50));
    expect([saved.status, saved.body.rounds?.length]).toEqual([200, 20]);
  });
  it.each([
    [long(1, 61), 'rounds.0.blocks', 'A round holds at most 60 blocks.'],
    [long(101, 1), 'rounds', 'A session holds at most 100 rounds.'],
    [long(1, 0), 'rounds.0.blocks', 'A round needs at least one block.'],
  ])('say where they are too long or empty', async (body, field, message) => {
    const answer = await call('PUT', 'sessions/too-long', body);
    expect([answer.status, answer.body.errors[0]]).toEqual([400, { field, message }]);
  });
});

describe('time calls of a round', () => {
  it('are kept, go along with a run, and are what is heard', async () => {
    const quiet = { ...round, timeCalls: ['end-bell'] };
    await call('PUT', 'sessions/quiet', { ...session, rounds: [quiet] });
    const run = await call('PUT', 'runs/quiet-run', {
      sessionId: 'quiet',
      fighterIds: [],
      startedAt: '2026-03-05T18:30:00Z',
    });
    const { blocks, timeCalls } = run.body.rounds[0];
    const { body } = await call('POST', 'rounds/compile', { blocks, timeCalls, lead: 'left', seed: 1 });
    const bells = body.cues.filter((cue: { kind: string }) => cue.kind === 'bell');
    expect(bells.map((bell: { text: string }) => bell.text)).toEqual(['end']);
  });
});

describe('repeating a session', () => {
  const dates = ['2026-10-20T17:30:00.000Z', '2026-10-27T18:30:00.000Z'];
  it('makes copies once, however often it is asked', async () => {
    const ids = ['copy-1', 'copy-2'];
    for (let i = 0; i < 2; i++) {
      const answer = await call('POST', 'sessions/first-steps/repeat', { ids, dates });
      expect(answer.body.items.map((item: { plannedFor: string }) => item.plannedFor)).toEqual(dates);
    }
    const one = (await call('GET', 'sessions/first-steps')).body;
    const copy = (await call('GET', 'sessions/copy-2')).body;
    expect({ ...copy, id: one.id, plannedFor: one.plannedFor }).toEqual(one);
  });
  it('refuses what does not go together', async () => {
    expect((await call('POST', 'sessions/first-steps/repeat', { ids: ['a'], dates })).status).toBe(422);
    expect((await call('POST', 'sessions/first-steps/repeat', { ids: [], dates: [] })).status).toBe(400);
    expect((await call('POST', 'sessions/nope/repeat', { ids: ['a', 'b'], dates })).status).toBe(404);
  });
});

describe('the sheet of a class', () => {
  const present = [
    { fighterId: 'sanne', from: 0, until: null, ticked: ['gloves'] },
    { fighterId: 'emeka', from: 1, until: 3, ticked: [] },
  ];
  it('is empty at first, and keeps who came', async () => {
    expect((await call('GET', 'sessions/first-steps/sheet')).body).toEqual({
      sessionId: 'first-steps',
      version: 0,
      present: [],
      size: 2,
      rotations: 4,
      onFloor: null,
    });
    for (let i = 0; i < 2; i++)
      expect(
        (await call('PUT', 'sessions/first-steps/sheet', { present, size: 3, rotations: 5 })).status,
      ).toBe(200);
    expect((await call('GET', 'sessions/first-steps/sheet')).body).toMatchObject({
      present,
      size: 3,
      rotations: 5,
    });
  });
  it.each([
    ['somebody twice', { present: [present[0], present[0]], size: 2, rotations: 4 }, 400, 'present'],
    [
      'nobody of the gym',
      { present: [{ ...present[0], fighterId: 'nope' }], size: 2, rotations: 4 },
      422,
      'present.0.fighterId',
    ],
    [
      'leaving before coming',
      { present: [{ ...present[0], from: 2, until: 1 }], size: 2, rotations: 4 },
      422,
      'present.0.until',
    ],
    ['no rotation', { present, size: 2, rotations: 0 }, 400, 'rotations'],
    ['groups of four', { present, size: 4, rotations: 4 }, 400, 'size'],
  ])('refuses %s at its field', async (_, body, status, field) => {
    const answer = await call('PUT', 'sessions/first-steps/sheet', body);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
  it('does not let in whoever is not fit to train', async () => {
    const {
      id: _,
      grade: __,
      version: ___,
      ...sanne
    } = (await call('GET', 'fighters/sanne/log')).body.fighter;
    await call('PUT', 'fighters/sanne', { ...sanne, fit: false });
    const answer = await call('PUT', 'sessions/first-steps/sheet', { present, size: 2, rotations: 4 });
    expect([answer.status, answer.body.message]).toEqual([422, expect.stringContaining('not fit to train')]);
    await call('PUT', 'fighters/sanne/fit', { fit: true, reason: 'Seen by a doctor', by: 'Ama' });
  });
  it('knows who is in the class that was begun with it today, who came late too', async () => {
    const startedAt = new Date().toISOString();
    const run = { sessionId: 'first-steps', fighterIds: ['sanne', 'emeka'], startedAt };
    expect((await call('PUT', 'runs/of-sheet', run)).status).toBe(200);
    const comes = { kind: 'comes', at: startedAt, round: 0, fighterId: 'nuria', partners: [] };
    expect((await call('PUT', 'runs/of-sheet/events/late', comes)).status).toBe(200);
    const { onFloor } = (await call('GET', 'sessions/first-steps/sheet')).body;
    expect(onFloor).toEqual(['sanne', 'emeka', 'nuria']);
  });
  it('belongs to a session that exists', async () => {
    expect((await call('GET', 'sessions/nope/sheet')).status).toBe(404);
  });
});

describe('themes', () => {
  const theme = { title: 'Low kicks', from: '2020-01-01', until: '2099-12-31' };
  it('stand on Today while they last, the shortest first', async () => {
    await call('PUT', 'themes/long', theme);
    await call('PUT', 'themes/long', theme);
    await call('PUT', 'themes/past', { ...theme, title: 'Past', until: '2020-01-07' });
    const { themes } = (await call('GET', 'today')).body;
    const titles = themes.map((each: { title: string }) => each.title);
    expect(titles.filter((title: string) => title === 'Low kicks')).toHaveLength(1);
    expect(titles.at(-1)).toBe('Low kicks');
    expect(titles).not.toContain('Past');
    expect((await call('DELETE', 'themes/long')).status).toBe(204);
    expect((await call('DELETE', 'themes/long')).status).toBe(204);
  });
  it.each([
    ['days the wrong way round', { ...theme, until: '2019-12-31' }, 422, 'until'],
    ['a day that is none', { ...theme, from: '2026-02-30' }, 400, 'from'],
    ['no title', { ...theme, title: ' ' }, 400, 'title'],
  ])('refuse %s', async (_, body, status, field) => {
    const answer = await call('PUT', 'themes/bad', body);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
});

describe('the library', () => {
  interface Item {
    readonly id: string;
    readonly title: string;
    readonly own: boolean;
    readonly rounds: { readonly blocks: readonly { readonly kind: string; readonly seconds: number }[] }[];
  }
  const list = async (): Promise<Item[]> => (await call('GET', 'library')).body.items;
  it('ships rounds that can be put into a session as they are, and compiled', async () => {
    const items = await list();
    expect(items.length).toBeGreaterThan(10);
    for (const { title, rounds } of items) {
      const saved = await call('PUT', 'sessions/from-library', { ...session, title, rounds });
      expect([title, saved.status]).toEqual([title, 200]);
    }
    const { blocks } = items.find(({ id }) => id === 'starter.contact-ladder')!.rounds[0]!;
    const compiled = await call('POST', 'rounds/compile', { blocks, lead: 'left', seed: 1 });
    expect([compiled.status, compiled.body.duration]).toEqual([200, 230]);
  });
  it('has the pieces that were asked for', async () => {
    const items = new Map((await list()).map((item) => [item.id, item]));
    const blocks = (id: string) => items.get(`starter.${id}`)!.rounds.flatMap((each) => each.blocks);
    expect(blocks('first-lesson').length).toBeGreaterThanOrEqual(20);
    expect(
      blocks('warm-up').filter(({ kind, seconds }) => kind === 'condition' && seconds === 30),
    ).toHaveLength(3);
    expect(blocks('contact-ladder')).toContainEqual(expect.objectContaining({ intensity: [0, 10, 25, 40] }));
    expect(blocks('random-timing').some(({ kind }) => kind === 'react')).toBe(true);
    expect(items.get('starter.test-flood')!.rounds.length).toBeGreaterThan(4);
  });
  it('keeps own rounds, and lets nobody change what ships', async () => {
    const own = { title: 'Our pads', rounds: [round] };
    for (let i = 0; i < 2; i++) expect((await call('PUT', 'library/our-pads', own)).status).toBe(200);
    expect((await list()).filter((item) => item.title === 'Our pads')).toMatchObject([{ own: true }]);
    expect((await call('PUT', 'library/starter.warm-up', own)).status).toBe(403);
    expect((await call('DELETE', 'library/starter.warm-up')).status).toBe(403);
    expect((await call('PUT', 'library/bad', { ...own, rounds: [] })).status).toBe(400);
    expect((await call('DELETE', 'library/our-pads')).status).toBe(204);
    expect((await list()).some((item) => item.title === 'Our pads')).toBe(false);
  });
});

describe('what was trained last', () => {
  it('names the newest run of each combo', async () => {
    const before = (await call('GET', 'runs/trained')).body;
    expect(Object.keys(before)).toContain('slack-2');
    await call('PUT', 'runs/newest', {
      sessionId: 'first-steps',
      fighterIds: [],
      startedAt: '2099-01-01T18:30:00Z',
    });
    expect((await call('GET', 'runs/trained')).body['ebb-1']).toBe('2099-01-01T18:30:00.000Z');
  });
});
