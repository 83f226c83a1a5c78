import { addDays, format, startOfWeek } from 'date-fns';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const monday = startOfWeek(new Date(), { weekStartsOn: 1 });
const day = (days: number): string => format(addDays(monday, days), 'yyyy-MM-dd');
const season = {
  ...{ title: 'To the grading', from: day(7), until: day(7 * 9 - 1), gradingDayId: null, minutes: 45 },
  ...{ gradeIds: ['flood'], edits: [] },
  classes: [
    { weekday: 2, time: '18:30' },
    { weekday: 4, time: '19:15' },
  ],
};

describe('a season', () => {
  it('has its weeks, with what each is for, and its classes by the clock of the hall', async () => {
    const { status, body } = await call('PUT', 'seasons/flood', season);
    expect(status).toBe(200);
    expect(body.weeks).toHaveLength(8);
    expect(body.weeks.map(({ kind }: any) => kind)).toEqual([
      'build',
      'build',
      'test',
      'light',
      'build',
      'build',
      'build',
      'test',
    ]);
    const [first] = body.weeks;
    expect(first.introduced.every((name: string) => name.startsWith('Flood'))).toBe(true);
    expect(first.classes.map(({ at }: any) => format(new Date(at), 'EEEE HH:mm'))).toEqual([
      'Tuesday 18:30',
      'Thursday 19:15',
    ]);
    expect(first.classes.every(({ sessionId }: any) => sessionId === null)).toBe(true);
  });
  it('drafts the classes of a week from what the week is about, once', async () => {
    const drafted = await call('POST', 'seasons/flood/draft', { week: day(7) });
    expect(drafted.status).toBe(200);
    const [first] = drafted.body.weeks;
    const sessions = await Promise.all(
      first.classes.map(async ({ sessionId }: any) => (await call('GET', `sessions/${sessionId}`)).body),
    );
    expect(
      sessions.map(({ rounds }: any) =>
        rounds
          .flatMap(({ blocks }: any) => blocks)
          .reduce((sum: number, { seconds }: any) => sum + seconds, 0),
      ),
    ).toEqual([2700, 2700]);
    expect(sessions[0].groups).toEqual([{ name: 'Flood', gradeIds: ['flood'] }]);
    const combos = (session: any): string[] => [
      ...new Set<string>(
        session.rounds.flatMap(({ blocks }: any) =>
          blocks.flatMap(({ combos: of = [] }: any) => of.map((each: any) => each.comboId)),
        ),
      ),
    ];
    const names = new Map(
      (await call('GET', 'combos')).body.items.map(({ id, grade, number }: any) => [
        id,
        `${grade} ${number}`,
      ]),
    );
    const used = new Set(sessions.flatMap(combos).map((id) => names.get(id)));
    for (const name of first.introduced) expect(used).toContain(name);
    expect(first.classes.every(({ strikes, workSeconds }: any) => strikes > 50 && workSeconds > 900)).toBe(
      true,
    );
    await call('PUT', `sessions/${sessions[0].id}`, {
      ...season,
      title: 'Mine',
      lead: 'left',
      rounds: sessions[0].rounds,
      ...{
        from: undefined,
        until: undefined,
        gradingDayId: undefined,
        minutes: undefined,
        gradeIds: undefined,
        edits: undefined,
        classes: undefined,
      },
      plannedFor: sessions[0].plannedFor,
      groups: sessions[0].groups,
    });
    await call('POST', 'seasons/flood/draft', { week: day(7) });
    expect((await call('GET', `sessions/${sessions[0].id}`)).body.title).toBe('Mine');
    expect(new Set(sessions.map(({ rounds }: any) => JSON.stringify(rounds))).size).toBe(2);
  });
  it('is planned again from what happened', async () => {
    const before = (await call('GET', 'seasons/flood')).body;
    const [combo] = before.weeks[0].introduced;
    const { id } = (await call('GET', 'combos')).body.items.find(
      ({ grade, number }: any) => `${grade} ${number}` === combo,
    );
    // A season that began last week: the combo was done since, and is not new in it any more.
    await call('PUT', 'seasons/begun', { ...season, from: day(-7), until: day(7 * 7 - 1) });
    const isNew = async () =>
      (await call('GET', 'seasons/begun')).body.weeks.some(({ introduced }: any) =>
        introduced.includes(combo),
      );
    const wasNew = await isNew();
    const block = {
      kind: 'combo',
      id: 'w',
      seconds: 60,
      combos: [{ comboId: id }],
      bpm: 60,
      calls: 'on-beat',
      words: 'numbers',
      leadPlan: 'as-set',
      cyclesEach: 2,
    };
    await call('PUT', 'sessions/held', {
      title: 'Held',
      lead: 'left',
      rounds: [{ id: 'r', title: 'R', kind: 'combos', blocks: [block] }],
    });
    await call('PUT', 'runs/held', {
      sessionId: 'held',
      fighterIds: ['radek'],
      startedAt: new Date().toISOString(),
    });
    expect([wasNew, await isNew()]).toEqual([wasNew, false]);

    // A class of last week that was held says what was done in it.
    const [last] = (await call('GET', 'seasons/begun')).body.weeks;
    const { at } = last.classes[0];
    const classId = `begun-${at.slice(0, 16).replace(/[^\d]/g, '')}`;
    await call('PUT', `sessions/${classId}`, {
      ...{ title: 'Last week', lead: 'left', plannedFor: at },
      rounds: [{ id: 'r', title: 'R', kind: 'combos', blocks: [block] }],
    });
    expect((await call('GET', 'seasons/begun')).body.weeks[0].done).toEqual([]);
    await call('PUT', 'runs/last-week', { sessionId: classId, fighterIds: ['radek'], startedAt: at });
    expect((await call('GET', 'seasons/begun')).body.weeks[0].done).toEqual([combo]);
  });
  it('takes changes of a week, and stands in the calendar file', async () => {
    const edits = [{ from: day(14), theme: 'clinch', kind: 'light' }];
    const { body } = await call('PUT', 'seasons/flood', { ...season, edits });
    expect(body.weeks[1]).toMatchObject({ theme: 'clinch', kind: 'light', load: 0.6, contact: 25 });
    const two = [{ from: day(14), theme: 'knees, moonwalk' }];
    const told = (await call('PUT', 'seasons/flood', { ...season, edits: two })).body.weeks[1];
    expect(told.why).toContain('Nothing in this gym fits “moonwalk”: drafts leave it out.');
    expect(told.why).not.toContain('“knees');
    await call('PUT', 'seasons/flood', { ...season, edits });
    const file = (await call('GET', 'calendar.ics')).body as string;
    expect(file).toContain('To the grading: clinch');
    expect(file).toContain(`DTSTART;VALUE=DATE:${day(14).replaceAll('-', '')}`);
  });
  it('keeps what is drafted when the time of its classes changes, and drafts nothing twice', async () => {
    const before = (await call('GET', 'seasons/flood')).body;
    const drafted = before.weeks[0].classes.map(({ sessionId }: any) => sessionId);
    expect(drafted.every(Boolean)).toBe(true);
    const later = season.classes.map((each) => ({ ...each, time: '20:00' }));
    const { body } = await call('PUT', 'seasons/flood', { ...season, classes: later });
    expect(body.weeks[0].classes.map(({ sessionId }: any) => sessionId)).toEqual(drafted);
    const again = await call('POST', 'seasons/flood/draft', { week: day(7) });
    expect(again.body.weeks[0].classes.map(({ sessionId }: any) => sessionId)).toEqual(drafted);
    await call('PUT', 'seasons/flood', { ...season, edits: before.edits });
  });
  it('goes forward from a session, each class another one', async () => {
    const [first] = (await call('GET', 'seasons/flood')).body.weeks;
    const { sessionId } = first.classes[1];
    const dates = [14, 21, 28].map((days) => addDays(monday, days + 2).toISOString());
    const ids = ['fwd-1', 'fwd-2', 'fwd-3'];
    const made = await call('POST', `sessions/${sessionId}/forward`, { ids, dates });
    expect(made.body.items.map(({ id, seconds }: any) => [id, seconds])).toEqual(ids.map((id) => [id, 2700]));
    const rounds = await Promise.all(
      ids.map(async (id) => JSON.stringify((await call('GET', `sessions/${id}`)).body.rounds)),
    );
    expect(new Set(rounds).size).toBe(3);
    expect((await call('POST', `sessions/${sessionId}/forward`, { ids, dates })).body).toEqual(made.body);
  });
  it.each([
    ['a day before the first', { until: day(0) }, 422, 'until'],
    ['a grade that is none', { gradeIds: ['reef'] }, 422, 'gradeIds.0'],
    ['no class', { classes: [] }, 400, 'classes'],
    ['a time that is none', { classes: [{ weekday: 2, time: '25:00' }] }, 400, 'classes.0.time'],
    ['a grading that is none', { gradingDayId: 'gone' }, 422, 'gradingDayId'],
    ['ten years', { until: '2040-01-01' }, 422, 'until'],
  ])('refuses %s', async (_, changes, status, field) => {
    const answer = await call('PUT', 'seasons/bad', { ...season, ...changes });
    expect([answer.status, answer.body.errors?.[0].field]).toEqual([status, field]);
  });
});
