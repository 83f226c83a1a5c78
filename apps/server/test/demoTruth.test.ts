import { readFileSync } from 'node:fs';
import type { CourseView, EvennessView, FighterProgress } from '../../../packages/contract/src/index.ts';
import { FIGHTERS, type DemoFighter } from '../src/demo/saltmarsh.ts';
import { serverForThisFile } from './startedServer.ts';

/** What the pages say of the demonstration, held against what is true of its virtual fighters (docs/demo.md). */
const { call } = serverForThisFile();
const progressOf = async ({ id }: DemoFighter): Promise<FighterProgress> =>
  (await call('GET', `fighters/${id}/progress`)).body;

/** How much better somebody truly does now than in the weeks before, as a share. */
const growth = ({ story }: DemoFighter): number => {
  const at = (week: number) => 1 + story.weekly * Math.min(week, story.plateauFrom ?? week);
  const mean = (weeks: readonly number[]) => weeks.reduce((sum, week) => sum + at(week), 0) / weeks.length;
  return mean([4, 5, 6, 7]) / mean([0, 1, 2, 3]) - 1;
};
const named = ({ title, lead }: CourseView): string => `${title}, ${lead}`;

it.each(FIGHTERS)('$name is told no change that is not true', async (fighter) => {
  const { courses, leads } = await progressOf(fighter);
  const said = (verdict: string) => courses.filter(({ month }) => month?.verdict === verdict).map(named);
  expect(growth(fighter)).toBeGreaterThan(0);
  // Nobody in the demonstration gets worse.
  expect(said('slower')).toEqual([]);
  expect(courses.filter(({ trend }) => trend?.way === 'worse').map(named)).toEqual([]);
  const wrongLead = leads.filter(({ behind }: EvennessView) => behind === fighter.lead);
  expect(wrongLead.map(({ title }) => title)).toEqual([]);
});

it('whose growth is no more than two in a hundred is told none, however lucky a trial was', async () => {
  const slow = FIGHTERS.filter((fighter) => growth(fighter) < 0.02);
  expect(slow.map(({ id }) => id)).toEqual(['tomasz', 'joost', 'suda']);
  for (const fighter of slow) {
    const { courses } = await progressOf(fighter);
    const bursts = courses.filter(({ kind, month }) => kind === 'burst' && month?.verdict === 'faster');
    expect(bursts.map(named)).toEqual([]);
  }
});

it('what is large is found: the one who grew most, and the one who is far behind on one side', async () => {
  const sanne = await progressOf(FIGHTERS.find(({ id }) => id === 'sanne')!);
  const straights = sanne.courses.find(({ testId, lead }) => testId === 'two-straights' && lead === 'left')!;
  expect(straights.month!.verdict).toBe('faster');
  const tomasz = await progressOf(FIGHTERS.find(({ id }) => id === 'tomasz')!);
  expect(tomasz.leads).toHaveLength(3);
  for (const { behind, from, to } of tomasz.leads) {
    expect(behind).toBe('right');
    // Nineteen of twenty such ranges hold the truth, which is 24 %; negative where the left is the stronger one.
    expect(Math.min(Math.abs(from), Math.abs(to))).toBeLessThan(24);
    expect(Math.max(Math.abs(from), Math.abs(to))).toBeGreaterThan(24);
  }
});

it('docs/demo.md tells the truth as it is simulated', () => {
  const page = readFileSync(new URL('../../../docs/demo.md', import.meta.url), 'utf8').replace(/ +/g, ' ');
  for (const { name, gradeId, story } of FIGHTERS) {
    const [rate, weekly] = [Math.round(10 * story.rate), (100 * story.weekly).toFixed(1)];
    const slower = `${Math.round(100 * story.otherLeadSlower)} % slower`;
    expect(page).toContain(`| ${name} | ${gradeId} | ${rate} | ${weekly} % | ${slower} |`);
  }
});
