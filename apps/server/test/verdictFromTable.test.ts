import { parse } from 'csv-parse/sync';
import { format } from 'date-fns';
import { course } from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import { serverForThisFile } from './startedServer.ts';

/** Everything that a verdict rests on stands in the table of trials: anybody can work it out again. */
const { call } = serverForThisFile();

type Row = Readonly<Record<string, string>>;

const valueOf = ({ count, value, unit }: Row): number =>
  unit!.startsWith('strikes') ? Number(count) : Number(value);
const worthwhileOf = ({ worthwhile }: Row) =>
  worthwhile!.endsWith('%') ? { share: Number.parseFloat(worthwhile!) / 100 } : Number(worthwhile);

it('the month of every fighter in every test is worked out from the table alone as the page says it', async () => {
  const rows: Row[] = parse((await call('GET', 'export/attempts.csv')).body, { columns: true, bom: true });
  let verdicts = 0;
  for (const [fighter, own] of groupBy(rows, (row) => row['fighter']!)) {
    const { courses } = (await call('GET', `fighters/${fighter}/progress`)).body;
    for (const [key, trials] of groupBy(own, ({ test, lead }) => `${test} ${lead}`)) {
      const numberIn = (column: string, way: string): number =>
        Number(trials.find(({ counted }) => counted === way)?.[column] ?? '');
      const found = course(
        trials.map((row) => ({
          day: format(new Date(row['at']!), 'yyyy-MM-dd'),
          value: valueOf(row),
          measured: row['counted'] as 'taps',
        })),
        {
          better: trials[0]!['better'] as 'higher',
          today: format(new Date(), 'yyyy-MM-dd'),
          worthwhile: worthwhileOf(trials[0]!),
          errorOf: (way) => ({
            error: numberIn('gym_error', way),
            degreesOfFreedom: numberIn('gym_error_beyond', way),
          }),
          spreadOf: (way) => ({
            variance: numberIn('days_variance', way),
            degreesOfFreedom: numberIn('days_beyond', way),
          }),
        },
      );
      const shown = courses.find(({ testId, lead }: any) => `${testId} ${lead}` === key);
      expect([fighter, key, found!.month?.verdict, found!.month?.change]).toEqual([
        fighter,
        key,
        shown.month?.verdict,
        shown.month?.change,
      ]);
      verdicts += found!.month ? 1 : 0;
    }
  }
  expect(verdicts).toBeGreaterThan(70);
});

it('trials are as many in the table, in the list and in the pictures of everybody', async () => {
  const rows: Row[] = parse((await call('GET', 'export/attempts.csv')).body, { columns: true, bom: true });
  for (const [fighter, own] of groupBy(rows, (row) => row['fighter']!)) {
    const { items } = (await call('GET', `fighters/${fighter}/attempts`)).body;
    const { courses } = (await call('GET', `fighters/${fighter}/progress`)).body;
    const inCourses = courses.flatMap(({ trials, otherWays, outliers }: any) => [
      trials,
      outliers.length,
      ...otherWays.map((way: any) => way.trials),
    ]);
    const all = inCourses.reduce((sum: number, count: number) => sum + count, 0);
    expect([fighter, items.length, all]).toEqual([fighter, own.length, own.length]);
  }
});

it('marks stand with the combos that the fighter’s own group did, and their tempo', async () => {
  const rows: Row[] = parse((await call('GET', 'export/results.csv')).body, { columns: true, bom: true });
  const lumi = rows.filter(({ fighter, combos }) => fighter === 'lumi' && combos !== '');
  expect(lumi.length).toBeGreaterThan(20);
  for (const { combos, bpm } of lumi) {
    expect(combos).toMatch(/^Minnows \d(;Minnows \d)?$/);
    expect(Number(bpm)).toBeGreaterThan(50);
  }
});
