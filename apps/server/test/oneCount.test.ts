import { parse } from 'csv-parse/sync';
import { addMinutes, format, startOfDay, subDays } from 'date-fns';
import { seededRandom } from '@eurhythm/core/units';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const THREE_YEARS = 3 * 365;
const GRADE = 'flood';
const PEOPLE = ['ada', 'ben', 'cora', 'dov'];
const dayBefore = (days: number): string => format(subDays(new Date(), days), 'yyyy-MM-dd');

interface Mark {
  readonly fighter: string;
  readonly run: string;
  readonly day: string;
  readonly done: 'finished' | 'part' | 'sat-out';
}

/** Three years of classes at all hours, with marks of every sort; one who stopped coming, one who only watches. */
async function fillGym(): Promise<void> {
  const gym = (await call('GET', 'export.json')).body;
  const random = seededRandom(12);
  const [model] = gym.runs;
  const runs: any[] = [];
  const results: any[] = [];
  for (let i = 0; i < 220; i++) {
    const daysAgo = Math.floor(random() * THREE_YEARS);
    const hour = [1, 9 * 60, 18 * 60 + 30, 23 * 60 + 58][i % 4]!;
    const startedAt = addMinutes(startOfDay(subDays(new Date(), daysAgo)), hour);
    if (startedAt > new Date()) continue;
    const who = PEOPLE.filter((id) => (id === 'dov' ? daysAgo > 60 : random() < 0.7));
    runs.push({
      ...model,
      ...{
        id: `year-${i}`,
        startedAt: startedAt.toISOString(),
        endedAt: addMinutes(startedAt, 45).toISOString(),
      },
      ...{ fighterIds: who, groupOf: {}, partners: [] },
    });
    for (const fighterId of who)
      for (const round of model.rounds.keys()) {
        const draw = random();
        const done = draw < 0.1 ? null : draw < 0.7 ? 'finished' : draw < 0.85 ? 'part' : 'sat-out';
        results.push({
          ...{ id: `year-${i}-${fighterId}-${round}`, runId: `year-${i}`, round, fighterId },
          ...{
            done: fighterId === 'cora' && done ? 'sat-out' : done,
            quality: null,
            seconds: null,
            lead: null,
          },
          // Marked after the class, some of them days later.
          at: addMinutes(startedAt, 50 + (i % 5 === 0 ? 3 * 24 * 60 : 0)).toISOString(),
        });
      }
  }
  const people = PEOPLE.map((id) => ({
    ...gym.fighters[0],
    id,
    name: `Made ${id}`,
    gradeId: GRADE,
    apart: [],
  }));
  const file = { ...gym, fighters: [...gym.fighters, ...people], runs: [...gym.runs, ...runs] };
  const taken = await call('POST', 'import', { ...file, results: [...gym.results, ...results] });
  expect([taken.status, taken.body.message]).toEqual([200, undefined]);
}

/** The sums over the table that anybody can take away. */
async function fromTable(): Promise<(fighter: string, from?: string, to?: string) => Record<string, number>> {
  const text = (await call('GET', 'export/results.csv')).body;
  const marks: Mark[] = parse(text, { columns: true, bom: true });
  return (fighter, from = '', to = '9999') => {
    const own = marks.filter((mark) => mark.fighter === fighter && mark.day >= from && mark.day <= to);
    const count = (done: Mark['done']): number => own.filter((mark) => mark.done === done).length;
    const classes = new Set(own.filter(({ done }) => done !== 'sat-out').map(({ run }) => run)).size;
    return { classes, finished: count('finished'), part: count('part'), satOut: count('sat-out') };
  };
}

describe('classes and rounds', () => {
  beforeAll(fillGym);

  it('are the sums over the exported table on the page, in the report, in the class table and in the check list', async () => {
    const sums = await fromTable();
    const requirements = [
      { id: 'rounds', kind: 'rounds', count: 2000, weeks: 100 },
      { id: 'classes', kind: 'sessions', count: 2000, weeks: 30 },
    ];
    const { body: gym } = await call('GET', 'gym');
    const place = gym.grades.findIndex(({ id }: any) => id === GRADE);
    const before = gym.grades.slice(0, place).findLast(({ band }: any) => band === gym.grades[place].band);
    for (const id of PEOPLE) {
      const entry = { name: `Made ${id}`, gradeId: before.id, lead: 'left', note: '' };
      expect((await call('PUT', `fighters/${id}`, entry)).status).toBe(200);
    }
    expect((await call('PUT', `grades/${GRADE}/requirements`, { requirements })).status).toBe(200);
    const { rows } = (await call('GET', 'progress/class')).body;
    const checks = (await call('GET', `progress/checks?who=${PEOPLE.join()}`)).body.items;
    const [from, to] = [dayBefore(400), dayBefore(30)];
    const who = PEOPLE.join();
    const reports = (await call('GET', `progress/reports?who=${who}&from=${from}&to=${to}`)).body.items;
    for (const id of PEOPLE) {
      const { tally } = (await call('GET', `fighters/${id}/log`)).body;
      expect([id, tally]).toEqual([id, expect.objectContaining(sums(id))]);
      expect(tally.rounds).toBe(tally.finished + tally.part + tally.satOut);

      const quarter = sums(id, from, to);
      const rounds = quarter['finished']! + quarter['part']! + quarter['satOut']!;
      const [sentence] = reports.find(({ fighterId }: any) => fighterId === id).parts[0].sentences;
      const classes = quarter['classes'] === 1 ? '1 class' : `${quarter['classes']} classes`;
      expect([id, sentence]).toEqual([
        id,
        expect.stringContaining(`${classes}, ${quarter['finished']} of ${rounds} rounds finished`),
      ]);

      const row = rows.find(({ fighterId }: any) => fighterId === id);
      expect([id, row.classes]).toEqual([id, sums(id, dayBefore(27))['classes']]);

      const { lines } = checks.find(({ fighterId }: any) => fighterId === id);
      const evidence = lines.map((line: any) => Number(/^\d+/.exec(line.evidence[0]?.text ?? '0')![0]));
      const within = [
        sums(id, dayBefore(100 * 7 - 1))['finished'],
        sums(id, dayBefore(30 * 7 - 1))['classes'],
      ];
      expect([id, evidence]).toEqual([id, within]);

      const weeks: { classes: number }[] = (await call('GET', `fighters/${id}/volume`)).body.weeks;
      const inWeeks = weeks.reduce((sum, week) => sum + week.classes, 0);
      expect([id, inWeeks]).toEqual([id, sums(id, dayBefore(181))['classes']]);
    }
  });

  it('of a month are those of the register, and who was entered and did nothing was there', async () => {
    const sums = await fromTable();
    const month = dayBefore(60).slice(0, 7);
    const { classes, rows } = (await call('GET', `progress/register?month=${month}`)).body;
    for (const id of PEOPLE) {
      const row = rows.find(({ fighterId }: any) => fighterId === id);
      const within = sums(id, `${month}-01`, `${month}-31`);
      expect([id, row.trained]).toEqual([id, within['classes']]);
      expect(row.came).toHaveLength(classes.length);
      if (id === 'cora') expect(new Set(row.came)).toEqual(new Set(['', 'was there']));
    }
    for (const { runId, trained } of classes) {
      const i = classes.findIndex((each: any) => each.runId === runId);
      expect(rows.filter(({ came }: any) => came[i] === 'trained')).toHaveLength(trained);
    }
    expect((await call('GET', 'progress/register?month=soon')).status).toBe(400);
  });

  it('that somebody came to before he stayed away are those of the table on Today', async () => {
    const sums = await fromTable();
    const { items } = (await call('GET', 'progress/questions')).body;
    const asked = items.find(({ kind, fighterId }: any) => kind === 'away' && fighterId === 'dov');
    const said = Number(/; (\d+) class/.exec(asked.sentence)![1]);
    expect(said).toBe(sums('dov', dayBefore(181))['classes']);
  });

  it('of a fighter are all reached, page by page', async () => {
    const rounds: string[] = [];
    for (let next: string | null = ''; next !== null;) {
      const { body }: { body: any } = await call(
        'GET',
        `fighters/ada/log?limit=200${next && `&after=${next}`}`,
      );
      rounds.push(...body.rounds.map(({ runId, round }: any) => `${runId} ${round}`));
      next = body.next;
    }
    const { tally } = (await call('GET', 'fighters/ada/log')).body;
    expect(new Set(rounds).size).toBe(rounds.length);
    expect(rounds).toHaveLength(tally.rounds);
  });
});
