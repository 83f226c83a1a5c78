import { subDays, format } from 'date-fns';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const day = (daysAgo: number): string => format(subDays(new Date(), daysAgo), 'yyyy-MM-dd');
const instant = (daysAgo: number): string => subDays(new Date(), daysAgo).toISOString();
const progressOf = async (id: string) => (await call('GET', `fighters/${id}/progress`)).body;

async function newFighter(id: string, gradeId = 'ebb'): Promise<void> {
  const fighter = { name: `New ${id}`, gradeId, lead: 'left', note: '', fit: true };
  expect((await call('PUT', `fighters/${id}`, fighter)).status).toBe(200);
}

async function trial(fighterId: string, n: number, daysAgo: number, said: number, more: object = {}) {
  const sent = { fighterId, testId: 'two-straights', lead: 'left', instants: [], said, measured: 'partner' };
  const { status } = await call('PUT', `attempts/${fighterId}-${n}`, {
    ...sent,
    at: instant(daysAgo),
    ...more,
  });
  expect(status).toBe(200);
}

describe('POST /api/progress/compare', () => {
  const before = [{ day: '2026-03-05', values: [20, 21, 20] }, { day: '2026-03-07', values: [21, 20, 21] }]; // prettier-ignore
  const after = [{ day: '2026-04-05', values: [24, 25, 24] }, { day: '2026-04-07', values: [25, 24, 25] }]; // prettier-ignore

  it('tells a real change with its numbers', async () => {
    const { status, body } = await call('POST', 'progress/compare', { better: 'higher', before, after });
    expect(status).toBe(200);
    expect(body).toMatchObject({ verdict: 'faster', trials: { before: 6, after: 6 } });
    expect(body.smallestDetectableChange).toBeCloseTo(
      1.645 * body.typicalError * Math.sqrt(1 / 6 + 1 / 6),
      9,
    );
    const mirrored = await call('POST', 'progress/compare', { better: 'lower', before, after });
    expect(mirrored.body.verdict).toBe('slower');
  });

  it('is too early where one side has one day, and says how many more it takes', async () => {
    const asked = { better: 'higher', before, after: after.slice(0, 1) };
    const { body } = await call('POST', 'progress/compare', asked);
    expect(body).toMatchObject({ verdict: 'too little data', moreDays: 1, days: { before: 2, after: 1 } });
  });

  it('takes an error that is known, and says when there is too little', async () => {
    const one = { better: 'higher', before: [{ day: 1, values: [20] }], after: [{ day: 9, values: [22] }] };
    expect((await call('POST', 'progress/compare', one)).body).toMatchObject({
      verdict: 'too little data',
      smallestDetectableChange: null,
      typicalError: null,
    });
    const known = await call('POST', 'progress/compare', { ...one, typicalError: 1 });
    expect(known.body).toMatchObject({ moreDays: 2, change: 2, typicalError: 1 });
  });

  it('says what is wrong where it is wrong', async () => {
    const { status, body } = await call('POST', 'progress/compare', {
      better: 'more',
      before: [{ day: 'yesterday', values: ['x'] }],
      after: [],
    });
    expect(status).toBe(400);
    expect(body.errors.map(({ field }: { field: string }) => field).sort()).toEqual([
      'before.0.day',
      'before.0.values',
      'better',
    ]);
  });
});

describe('the progress of a fighter', () => {
  it('tells the demo’s stories apart', async () => {
    const straights = async (id: string, lead: string) =>
      (await progressOf(id)).courses.find(
        (each: any) => each.testId === 'two-straights' && each.lead === lead,
      );
    expect((await straights('sanne', 'left')).month.verdict).toBe('faster');
    // One lucky burst on the one day of his last month.
    expect((await straights('joost', 'left')).month.verdict).toMatch(/no real change|too little data/);
    const { leads } = await progressOf('tomasz');
    expect(leads.every(({ behind }: any) => behind === 'right')).toBe(true);
    expect(leads[0].sentence).toMatch(/^The right lead is behind by 2\d %/);
  });

  it('leaves a typing error out and tells it, and keeps ways of counting apart', async () => {
    await newFighter('slip');
    for (const [n, said] of [22, 23, 23, 230, 22, 24].entries()) await trial('slip', n, 20 - 3 * n, said);
    await trial('slip', 9, 1, 30, { measured: 'self-reported' });
    const [course] = (await progressOf('slip')).courses;
    expect(course).toMatchObject({ measured: 'partner', best: 24, outliers: [{ value: 230, day: day(11) }] });
    expect(course.otherWays).toEqual([{ measured: 'self-reported', trials: 1 }]);
    expect(course.notes.join(' ')).toMatch(/Nobody did this twice.*self-reported.*230 on/);
  });

  it('is short with one trial, and empty without any', async () => {
    await newFighter('fresh');
    expect(await progressOf('fresh')).toMatchObject({
      courses: [],
      leads: [],
      pace: null,
      tempos: [],
      goals: [],
    });
    await trial('fresh', 0, 0, 21);
    const [course] = (await progressOf('fresh')).courses;
    expect(course).toMatchObject({ trials: 1, last: null, month: null, trend: null });
    expect((await call('GET', 'fighters/nobody/progress')).status).toBe(404);
  });

  it('compares any two dates', async () => {
    const path = `fighters/sanne/progress?from=${day(45)}&to=${day(0)}`;
    const { courses } = (await call('GET', path)).body;
    expect(
      courses.find(({ testId, lead }: any) => testId === 'two-straights' && lead === 'left').between,
    ).toMatchObject({
      verdict: expect.stringMatching(/faster|no real change/),
      sentence: expect.stringMatching(/against/),
    });
    expect((await call('GET', 'fighters/sanne/progress?from=soon')).status).toBe(400);
  });
});

describe('a goal', () => {
  const goal = {
    fighterId: 'goal',
    testId: 'two-straights',
    lead: 'left',
    value: 26,
    by: day(-30),
    setOn: day(20),
  };

  it('is held against the trials, reached once, and goes with its fighter', async () => {
    await newFighter('goal');
    const set = await call('PUT', 'goals/g1', goal);
    expect(set.body).toMatchObject({
      state: 'open',
      title: 'Two straights',
      sentence: expect.stringMatching(/five days/),
    });
    await trial('goal', 0, 3, 22);
    await trial('goal', 1, 2, 26);
    const [reported] = (await progressOf('goal')).goals;
    expect(reported).toMatchObject({ state: 'reached', reachedOn: day(2) });
    const asked = async () =>
      (await call('GET', 'progress/questions')).body.items.filter(
        ({ fighterId }: any) => fighterId === 'goal',
      );
    expect((await asked()).map(({ kind }: any) => kind)).toContain('goal reached');
    expect((await call('PUT', 'goals/g1/reported', { day: day(0) })).status).toBe(204);
    expect((await asked()).map(({ kind }: any) => kind)).not.toContain('goal reached');
    expect((await call('DELETE', 'fighters/goal?sure=yes')).status).toBe(204);
    expect((await call('PUT', 'goals/g1/reported', { day: day(0) })).status).toBe(404);
  });

  it('needs a fighter and a test that are there', async () => {
    for (const more of [{ fighterId: 'nobody' }, { testId: 'none' }])
      expect((await call('PUT', 'goals/g2', { ...goal, fighterId: 'ines', ...more })).status).toBe(422);
  });
});

describe('the memory of combos', () => {
  const recall = (id: string, how: string, daysAgo: number, comboId = 'ebb-1') => ({
    ...{ id, fighterId: 'memo', comboId, recall: how, at: instant(daysAgo) },
  });

  it('is scheduled by the answers, in whatever order they come', async () => {
    await newFighter('memo');
    const first = await call('PUT', 'progress/recalls/asked', { recalls: [recall('a', 'recalled', 30)] });
    expect(first.body.items).toMatchObject([{ combo: 'Ebb 1', times: 1, isDue: true, last: 'recalled' }]);
    await call('PUT', 'progress/recalls/asked', { recalls: [recall('c', 'recalled', 1)] });
    const { body } = await call('PUT', 'progress/recalls/asked', { recalls: [recall('b', 'forgot', 20)] });
    expect(body.items).toMatchObject([{ times: 3, lapses: 1, isDue: false, last: 'recalled' }]);
    const again = await call('PUT', 'progress/recalls/asked', { recalls: [recall('b', 'forgot', 20)] });
    expect(again.body.items[0]).toMatchObject({ times: 3, due: body.items[0].due });
  });

  it('makes what is slipping come more often in a round by need', async () => {
    const block = {
      ...{
        kind: 'combo',
        id: 'w',
        seconds: 60,
        combos: [{ comboId: 'ebb-1' }, { comboId: 'ebb-2' }],
        bpm: 76,
      },
      ...{ calls: 'on-beat', words: 'numbers', leadPlan: 'as-set', cyclesEach: 1, order: 'by-need' },
    };
    const rounds = [{ id: 'r', title: 'By need', kind: 'combos', blocks: [block] }];
    await call('PUT', 'sessions/need', { title: 'By need', lead: 'left', plannedFor: null, rounds });
    await call('PUT', 'progress/recalls/asked', { recalls: [recall('n', 'forgot', 25, 'ebb-2')] });
    await call('PUT', 'runs/need', { sessionId: 'need', fighterIds: ['memo'], startedAt: instant(0) });
    const { body } = await call('GET', 'runs/need/plan');
    const [first, second] = body.rounds
      .flatMap(({ blocks }: any) => blocks)
      .find(({ kind }: any) => kind === 'combo').combos;
    expect(first.need).toBe(1);
    expect(second.need).toBeGreaterThanOrEqual(3);
  });

  it('is known from a clean class in which the combo was called by its number, with less weight than an answer', async () => {
    await call('PUT', 'progress/recalls/asked', { recalls: [recall('f', 'recalled', 60, 'ebb-3')] });
    const ebb3 = async () =>
      (await call('GET', 'progress/memory?who=memo')).body.items.find(
        ({ comboId }: any) => comboId === 'ebb-3',
      );
    expect((await ebb3()).isDue).toBe(true);
    const block = {
      ...{ kind: 'combo', id: 'w', seconds: 60, combos: [{ comboId: 'ebb-3' }], bpm: 72, calls: 'lead-in' },
      ...{ words: 'combo-number', leadPlan: 'as-set', cyclesEach: 2 },
    };
    const train = async (id: string, calls: string, words: string) => {
      const rounds = [
        { id: 'r', title: 'From memory', kind: 'combos', blocks: [{ ...block, calls, words }] },
      ];
      await call('PUT', `sessions/${id}`, { title: id, lead: 'left', plannedFor: null, rounds });
      await call('PUT', `runs/${id}`, { sessionId: id, fighterIds: ['memo'], startedAt: instant(1) });
      const mark = { round: 0, fighterId: 'memo', done: 'finished', quality: 'clean', at: instant(1) };
      await call('PUT', `runs/${id}/results/${id}`, mark);
    };
    await train('told', 'on-beat', 'numbers');
    expect((await ebb3()).isDue).toBe(true);
    await train('by-heart', 'lead-in', 'combo-number');
    expect(await ebb3()).toMatchObject({ isDue: false, last: 'with-help' });
    const asked = await call('PUT', 'progress/recalls/asked', {
      recalls: [recall('g', 'recalled', 1, 'ebb-3')],
    });
    const answered = asked.body.items.find(({ comboId }: any) => comboId === 'ebb-3');
    expect(Date.parse(answered.due)).toBeGreaterThan(Date.now());
  });

  it('takes a group or nobody', async () => {
    const { status, body } = await call('PUT', 'progress/recalls/asked', {
      recalls: [recall('d', 'recalled', 0), recall('e', 'recalled', 0, 'no-combo')],
    });
    expect([status, body.errors[0].field]).toEqual([422, 'recalls.1.comboId']);
    expect((await call('GET', 'progress/memory?who=memo')).body.items).toHaveLength(3);
  });
});

describe('a grade', () => {
  const shown = (isShown: boolean) => ({ isShown, day: day(0), by: 'Ama' });
  const checkOf = async (id: string) => (await call('GET', `progress/checks?who=${id}`)).body.items[0];

  it('has a check list that fills itself, and one thing that the coach marks', async () => {
    const before = await checkOf('sanne');
    expect(before).toMatchObject({ grade: 'Slack', met: 6 });
    const missing = before.lines.find(({ isMet }: any) => !isMet);
    expect(missing.asked).toBe('Looks after a new partner');
    await call('PUT', `fighters/sanne/shown/${missing.requirement.id}`, shown(true));
    expect((await checkOf('sanne')).met).toBe(7);
    await call('PUT', `fighters/sanne/shown/${missing.requirement.id}`, shown(false));
    expect((await checkOf('sanne')).met).toBe(6);
  });

  it('is given by a signature alone, stays as it was signed, and is in the history', async () => {
    const { lines } = await checkOf('nuria');
    const sheet = {
      fighterId: 'nuria',
      gradeId: 'flood',
      day: day(0),
      passed: true,
      signedBy: 'Ama Holloway',
      secondExaminer: 'Ben Tarkine',
      note: 'Calm under pressure.',
      lines: lines.map(({ asked }: any) => ({ asked, evidence: '', first: 'passed', second: 'passed' })),
    };
    expect((await call('GET', 'fighters')).body.items.find(({ id }: any) => id === 'nuria').gradeId).toBe(
      'slack',
    );
    for (let i = 0; i < 2; i++) expect((await call('PUT', 'gradings/signed', sheet)).status).toBe(200);
    expect((await call('PUT', 'gradings/signed', { ...sheet, passed: false })).status).toBe(409);
    expect((await call('GET', 'fighters')).body.items.find(({ id }: any) => id === 'nuria').gradeId).toBe(
      'flood',
    );
    const { gradings, check } = await progressOf('nuria');
    expect(gradings[0]).toMatchObject({ id: 'signed', grade: 'Flood', signedBy: 'Ama Holloway' });
    expect(check.grade).toBe('Spring');
  });

  it('is not passed by accident: what is open is named, and asks for a reason that is kept', async () => {
    const { lines } = await checkOf('dario');
    const marked = lines.map(({ asked }: any, i: number) => ({
      ...{ asked, evidence: '', first: i === 0 ? null : 'passed', second: null },
    }));
    const sheet = {
      fighterId: 'dario',
      gradeId: 'slack',
      day: day(0),
      passed: true,
      signedBy: 'Ama Holloway',
    };
    const wanted = { ...sheet, secondExaminer: '', note: '', lines: marked };
    const { status, body } = await call('PUT', 'gradings/hasty', wanted);
    expect([status, body.errors[0].field]).toEqual([422, 'reason']);
    expect(body.message).toMatch(
      /^Not marked by anybody: .*Not shown by the log: .*There is no second examiner\./,
    );
    const gradeOf = async () => (await call('GET', 'fighters/dario')).body.gradeId;
    expect(await gradeOf()).toBe('ebb');
    const reason = 'Ben saw the rest on Tuesday.';
    for (let i = 0; i < 2; i++)
      expect((await call('PUT', 'gradings/hasty', { ...wanted, reason })).body).toMatchObject({
        reason,
        withdrawn: null,
      });
    expect(await gradeOf()).toBe('slack');
    // What says "not yet" needs none.
    expect((await call('PUT', 'gradings/later', { ...wanted, passed: false })).status).toBe(200);
  });

  it('is taken back with who and when, and the grade before it comes back', async () => {
    const gradeOf = async () => (await call('GET', 'fighters/dario')).body.gradeId;
    const by = { by: 'Ama Holloway', day: day(0), reason: 'The wrong sheet' };
    for (let i = 0; i < 2; i++)
      expect((await call('PUT', 'gradings/hasty/withdrawn', by)).body.withdrawn).toEqual(by);
    expect(await gradeOf()).toBe('ebb');
    expect((await call('PUT', 'gradings/hasty/withdrawn', { ...by, reason: 'Another' })).status).toBe(409);
    expect((await call('PUT', 'gradings/later/withdrawn', by)).status).toBe(409);
    expect((await call('PUT', 'gradings/none/withdrawn', by)).status).toBe(404);
    const { gradings } = await progressOf('dario');
    expect(gradings.find(({ id }: any) => id === 'hasty')).toMatchObject({ passed: true, withdrawn: by });
    // The same sheet again does not give it once more.
    const { body: gym } = await call('GET', 'export.json');
    expect(gym.gradings.find(({ id }: any) => id === 'hasty')).toMatchObject({ previousGradeId: 'ebb' });
  });

  it('says what is wrong with what it asks for', async () => {
    const wrong = [
      [
        { id: 'x', kind: 'combo', comboId: 'none', bothLeads: true, bpm: null, times: 1 },
        'requirements.0.comboId',
      ],
      [
        { id: 'x', kind: 'test', testId: 'none', bothLeads: false, value: 1, times: 1 },
        'requirements.0.testId',
      ],
      [{ id: 'x', kind: 'sessions', count: 3 }, 'requirements.0.weeks'],
    ] as const;
    for (const [requirement, field] of wrong) {
      const { body } = await call('PUT', 'grades/flood/requirements', { requirements: [requirement] });
      expect(body.errors[0].field).toBe(field);
    }
    expect((await call('PUT', 'grades/none/requirements', { requirements: [] })).status).toBe(404);
  });
});

describe('the volume of a fighter', () => {
  it('is by limb and week, as the own group did it', async () => {
    const { weeks, shares, jump } = (await call('GET', 'fighters/ines/volume')).body;
    expect(weeks.length).toBeGreaterThanOrEqual(8);
    expect(weeks.length).toBeLessThanOrEqual(10);
    for (const { planned, done, limbs } of weeks) {
      expect(done).toBeLessThanOrEqual(planned);
      expect(Object.values<number>(limbs).reduce((sum, n) => sum + n, 0)).toBe(done);
    }
    expect(Object.values<number>(shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(jump === null || jump > 1.5).toBe(true);
  });

  it('counts a round that was finished whole, a part by its time, and none that was sat out', async () => {
    await newFighter('volume');
    const block = {
      ...{
        kind: 'count',
        id: 'c',
        seconds: 60,
        title: 'Jabs',
        line: 'jab',
        reps: 20,
        groups: [],
        sides: 'one',
      },
      ...{
        sets: 1,
        rest: 0,
        repSeconds: 2,
        method: 'whole',
        direction: 'up',
        levels: 'fixed',
        from: 'standing',
      },
      shoutLast: false,
    };
    const rounds = [1, 2, 3].map((n) => ({ id: `r${n}`, title: 'Jabs', kind: 'technique', blocks: [{ ...block, id: `c${n}` }] })); // prettier-ignore
    await call('PUT', 'sessions/volume', { title: 'Jabs', lead: 'left', plannedFor: null, rounds });
    await call('PUT', 'runs/volume', { sessionId: 'volume', fighterIds: ['volume'], startedAt: instant(0) });
    const mark = (round: number, more: object) =>
      call('PUT', `runs/volume/results/v${round}`, { round, fighterId: 'volume', at: instant(0), ...more });
    await mark(0, { done: 'finished' });
    await mark(1, { done: 'part', seconds: 15 });
    await mark(2, { done: 'sat-out' });
    const { weeks } = (await call('GET', 'fighters/volume/volume')).body;
    expect(weeks).toMatchObject([{ planned: 60, done: 25, limbs: { 'left-hand': 25, 'right-hand': 0 } }]);
    expect((await call('GET', 'fighters/nobody/volume')).status).toBe(404);
  });
});

describe('a class', () => {
  it('has a line for each of its fighters', async () => {
    const { test, tests, rows } = (await call('GET', 'progress/class?gradeId=slack&testId=two-straights'))
      .body;
    expect(test.title).toBe('Two straights');
    expect(tests.length).toBeGreaterThan(2);
    const tomasz = rows.find(({ fighterId }: any) => fighterId === 'tomasz');
    expect(tomasz).toMatchObject({ behind: 'right', month: 'no real change' });
    expect(tomasz.line.length).toBeGreaterThan(3);
    expect(tomasz.classes).toBeGreaterThan(3);
  });

  it('asks questions, each with a page that does something about it', async () => {
    const { items } = (await call('GET', 'progress/questions')).body;
    const kinds = new Set(items.map(({ kind }: any) => kind));
    for (const kind of ['improved', 'lead behind', 'grade near', 'combo up', 'combos due'])
      expect(kinds).toContain(kind);
    for (const { sentence, to, action } of items) {
      expect(sentence).toMatch(/\.$/);
      expect([to, action]).toEqual([expect.stringMatching(/^\//), expect.stringMatching(/^\p{Lu}/u)]);
    }
  });

  it('says when the class leaves the other lead out', async () => {
    const kinds = async () =>
      new Set((await call('GET', 'progress/questions')).body.items.map(({ kind }: any) => kind));
    expect(await kinds()).not.toContain('lead neglected');
    const ids = (await call('GET', 'combos')).body.items.map(({ id }: any) => id);
    const block = {
      ...{
        kind: 'combo',
        id: 'w',
        seconds: 60,
        combos: ids.map((comboId: string) => ({ comboId })),
        bpm: 76,
        calls: 'on-beat',
      },
      ...{ words: 'numbers', leadPlan: 'as-set', cyclesEach: 1 },
    };
    const many = Array.from({ length: 50 }, (_, n) => ({ id: `r${n}`, title: 'Left', kind: 'combos', blocks: [{ ...block, id: `w${n}` }] })); // prettier-ignore
    await call('PUT', 'sessions/one-lead', { title: 'Left', lead: 'left', plannedFor: null, rounds: many });
    const fighterIds = ['sanne', 'emeka', 'mbali', 'tomasz'];
    await call('PUT', 'runs/one-lead', { sessionId: 'one-lead', fighterIds, startedAt: instant(1) });
    for (const fighterId of fighterIds)
      await Promise.all(
        many.map((_, round) =>
          call('PUT', `runs/one-lead/results/${fighterId}-${round}`, {
            ...{ round, fighterId, done: 'finished', quality: 'clean', at: instant(1) },
          }),
        ),
      );
    expect(await kinds()).toContain('lead neglected');
  });

  it('tells the next tempo of those who are here', async () => {
    const { items } = (await call('GET', 'progress/tempos?who=sanne,mbali')).body;
    expect(new Set(items.map(({ fighterId }: any) => fighterId))).toEqual(new Set(['sanne', 'mbali']));
    for (const { bpm, last, sentence } of items) {
      expect(Math.abs(bpm - last)).toBeLessThanOrEqual(24);
      expect(sentence).toMatch(/\.$/);
    }
  });
});
