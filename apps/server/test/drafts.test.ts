import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

const draft = async (wish: object) => (await call('POST', 'sessions/draft', wish)).body;
const secondsOf = (round: any): number =>
  round.blocks.reduce((sum: number, { seconds }: any) => sum + seconds, 0);
const blocksOf = (drafted: any): any[] => drafted.session.rounds.flatMap(({ blocks }: any) => blocks);
const combosOf = (drafted: any): any[] => blocksOf(drafted).filter(({ kind }) => kind === 'combo');

describe('a drafted session', () => {
  it('sums to the second, has a reason for each round, and its check has nothing to say', async () => {
    for (const minutes of [5, 10, 20, 45, 60, 75, 90, 120]) {
      const drafted = await draft({ minutes, grades: ['ebb', 'slack'] });
      expect(drafted.seconds).toBe(minutes * 60);
      expect(drafted.session.rounds.map(secondsOf).reduce((sum: number, own: number) => sum + own, 0)).toBe(
        minutes * 60,
      );
      expect(drafted.reasons.map(({ round }: any) => round)).toEqual(
        drafted.session.rounds.map((_: unknown, i: number) => i),
      );
      expect(drafted.reasons.every(({ why }: any) => why.length > 10)).toBe(true);
      expect(drafted.check).toEqual([]);
    }
  });
  it('can be kept, compiled and planned as it comes', async () => {
    const { session } = await draft({ minutes: 20, grades: ['flood', 'spring'], theme: ['kicks'] });
    const { title, groups, rounds } = session;
    const saved = await call('PUT', 'sessions/drafted', { title, groups, rounds, lead: 'left' });
    expect(saved.status).toBe(200);
    expect(saved.body.groups).toEqual([
      { name: 'Flood', gradeIds: ['flood'] },
      { name: 'Spring', gradeIds: ['spring'] },
    ]);
    expect(saved.body.rounds).toEqual(
      rounds.map((round: any) => expect.objectContaining({ title: round.title })),
    );
    for (const round of rounds) {
      const compiled = await call('POST', 'rounds/compile', { blocks: round.blocks, lead: 'left', seed: 1 });
      expect(compiled.status).toBe(200);
      expect(compiled.body.duration).toBeCloseTo(secondsOf(round), 6);
      expect(compiled.body.findings.filter(({ rule }: any) => rule === 'tempo-too-fast')).toEqual([]);
    }
  });
  it('keeps what is for children short, light, and off the head, and remembers that it is for them', async () => {
    const drafted = await draft({ minutes: 60, grades: ['minnows'] });
    expect(drafted.session.groups).toEqual([{ name: 'Minnows', gradeIds: ['minnows'] }]);
    for (const { blocks } of drafted.session.rounds.slice(1, -1))
      for (const { kind, seconds, sets = 1 } of blocks)
        if (kind !== 'rest') expect(seconds / sets).toBeLessThanOrEqual(180);
    for (const { combos, intensity = [] } of combosOf(drafted)) {
      expect(Math.max(0, ...intensity)).toBeLessThanOrEqual(25);
      for (const { line } of combos.filter((each: any) => each.line)) expect(line).toMatch(/@b|push|duck/);
    }
  });
  it('never asks for a combo faster than the tempo that is told of those who do it', async () => {
    const drafted = await draft({ minutes: 75, grades: ['slack'] });
    const { items: fighters } = (await call('GET', 'fighters')).body;
    const slack = fighters
      .filter(({ gradeId, fit }: any) => gradeId === 'slack' && fit)
      .map(({ id }: any) => id);
    const ids = [
      ...new Set(combosOf(drafted).flatMap(({ combos }) => combos.map((each: any) => each.comboId))),
    ];
    const { items } = (await call('GET', `progress/tempos?who=${slack.join(',')}&combos=${ids.join(',')}`))
      .body;
    expect(items).toHaveLength(slack.length * ids.length);
    for (const { combos, bpm, tempo } of combosOf(drafted)) {
      const right = Math.min(
        ...items
          .filter(({ comboId }: any) => combos.some((each: any) => each.comboId === comboId))
          .map((each: any) => each.bpm),
      );
      expect(tempo?.kind === 'build-up' ? tempo.fast : bpm).toBe(right);
    }
  });
  it('works by two or three on pads, with contact that grows and is never told of a lone fighter', async () => {
    const drafted = await draft({ minutes: 60, grades: ['ebb', 'slack', 'flood', 'spring'] });
    const pads = drafted.session.rounds.filter(({ title }: any) => title.startsWith('Pads'));
    expect(pads.length).toBeGreaterThan(1);
    for (const { turns, blocks } of pads) {
      expect([2, 3]).toContain(turns);
      expect(blocks.filter(({ kind }: any) => kind === 'combo')).toHaveLength(turns);
    }
    const tops = pads.map(({ blocks }: any) =>
      Math.max(...blocks.find(({ intensity }: any) => intensity).intensity),
    );
    expect(tops).toEqual([...tops].sort((a, b) => a - b));
    const alone = await draft({ minutes: 60, people: ['tomasz'] });
    expect(alone.session.rounds.every(({ turns, kind }: any) => !turns && kind !== 'pads')).toBe(true);
    // A class without pads, whatever the gym has; and one with them.
    const people = ['radek', 'ines', 'suda'];
    const kinds = async (kit: string[]) =>
      (await draft({ minutes: 60, people, kit })).session.rounds.map(({ kind }: any) => kind);
    expect(await kinds([])).not.toContain('pads');
    expect(await kinds(['gloves'])).not.toContain('pads');
    expect(await kinds(['gloves', 'pads'])).toContain('pads');
  });
  it('has different combos over the hour, another class for another seed, and the same for the same', async () => {
    const wish = { minutes: 60, grades: ['flood'] };
    const [one, again, other] = [
      await draft({ ...wish, seed: 1 }),
      await draft({ ...wish, seed: 1 }),
      await draft({ ...wish, seed: 9 }),
    ];
    expect(again).toEqual(one);
    expect(other.session.rounds).not.toEqual(one.session.rounds);
    const ids = new Set(combosOf(one).flatMap(({ combos }) => combos.map((each: any) => each.comboId)));
    expect(ids.size).toBeGreaterThan(2);
  });
  it('is about what was asked', async () => {
    const knees = await draft({ minutes: 60, grades: ['slack'], theme: ['knees'] });
    const used = combosOf(knees).filter(({ combos }) =>
      combos.some((each: any) => each.comboId === 'slack-2'),
    );
    expect(used.length).toBeGreaterThanOrEqual(combosOf(knees).length / 2);
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const feet = await draft({ minutes: 60, grades: ['slack'], theme: ['footwork'], seed });
      expect(blocksOf(feet).filter(({ kind }) => kind === 'footwork').length).toBeGreaterThan(1);
    }
    const test = await draft({ minutes: 30, grades: ['slack'], theme: ['test'] });
    expect(blocksOf(test).some(({ kind }) => kind === 'burst')).toBe(true);
    const odd = await draft({ minutes: 30, grades: ['slack'], theme: ['moonwalk'] });
    expect(odd.notes).toContain('Nothing in this gym fits “moonwalk”; the draft leaves it out.');
    expect(odd.seconds).toBe(1800);
  });
  it.each([
    [
      { minutes: 300 },
      422,
      'minutes',
      'A class is drafted from 5 to 180 minutes: make 300 minutes of several.',
    ],
    [{ minutes: 60, grades: ['reef'] }, 422, 'grades', '“reef” is not a grade of this gym.'],
    [{ minutes: 60, people: ['nobody'] }, 422, 'people', '“nobody” is not a fighter of this gym.'],
    [{ minutes: 60, towards: 'reef' }, 422, 'towards', '“reef” is not a grade of this gym.'],
    [{ minutes: 'long' }, 400, 'minutes', 'The length goes from 1 to 600 minutes.'],
  ])('refuses %j in a sentence', async (wish, status, field, message) => {
    const answer = await call('POST', 'sessions/draft', wish);
    expect([answer.status, answer.body.errors[0]]).toEqual([status, { field, message }]);
  });
  it('says so where nobody of those who are expected is fit', async () => {
    const unfit = { fit: false, reason: 'A sprained ankle', by: 'Coach' };
    expect((await call('PUT', 'fighters/nuria/fit', unfit)).status).toBe(200);
    const answer = await call('POST', 'sessions/draft', { minutes: 60, people: ['nuria'] });
    expect([answer.status, answer.body.message]).toEqual([
      422,
      'Nobody of those who are expected is fit to train: Nuria Castellan. Lift the mark where it is over, or ask others.',
    ]);
    const others = await draft({ minutes: 60, grades: ['slack'] });
    expect(others.notes).toContain('Not fit to train and left out: Nuria Castellan.');
  });
});
