/** Is a change reported right, and how fast are the pages of the log: simulated fighters whose change is known, and a log of ten years. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { calibrate } from './calibration.mjs';
import { ms, row, spread } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const { fitPace, shrunk, typicalError } = await core('progress');
const { classDays, virtualTrials } = await core('simulation');
const { normalDraw, seededRandom } = await core('units');
const { PACE_FACTORS } = await core('body');

const FIGHTERS = 1000;
const ERROR = 1.2;
const percent = (share) => `${(100 * share).toFixed(1)} %`;

calibrate();

const random = seededRandom(21);
const errors = Array.from({ length: FIGHTERS }, () => {
  const days = virtualTrials(
    { level: 24, perFourWeeks: 1, error: ERROR },
    classDays('2026-01-05', 20, 3),
    2,
    random,
  );
  return typicalError(days.map(({ values }) => values));
});
const off = (error) => Math.abs(error / ERROR - 1);
const gym = { error: ERROR, degreesOfFreedom: 500 };
const near = (list) => percent(list.filter((error) => off(error) <= 0.15).length / list.length);
row(
  'typical error within 15 %, 20 pairs',
  `${near(errors.map(({ error }) => error))} of fighters`,
  `mean ${(errors.reduce((sum, { error }) => sum + error, 0) / FIGHTERS / ERROR).toFixed(3)} × truth; ${near(errors.map((own) => shrunk(own, gym).error))} where the gym is known`,
);

let good = 0;
let all = 0;
for (const factor of Object.values(PACE_FACTORS))
  for (let fighter = 0; fighter < 100; fighter++) {
    const gaps = Array.from({ length: 180 }, (_, i) => {
      const least = i % 2 === 0 ? 0.3 : 0.24;
      const line = least * [0.9, 1.1, 1.3, 1.7][(i >> 1) % 4];
      const seconds = Math.max(line, factor * least) + 0.02 * normalDraw(random);
      return { pair: i % 2 === 0 ? 'hand-leg' : 'hand-hand', line, least, seconds };
    });
    for (const pair of fitPace(gaps, 1.25).pairs) {
      all += 1;
      good += Math.abs(pair.factor / factor - 1) <= 0.1;
    }
  }
row('pace factors within 10 % of the profile', percent(good / all), 'after 60 combos of three gaps');

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4393);
const gymFile = await (await fetch(`${app.base}/api/export.json`)).json();
const fill = async (more) => {
  const answer = await fetch(`${app.base}/api/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: app.base },
    body: JSON.stringify({ ...gymFile, ...more }),
  });
  if (!answer.ok) throw new Error(await answer.text());
};
const DAY = 86_400_000;
const ago = (days) => new Date(Date.now() - days * DAY).toISOString();

// One fighter with ten years of three sessions a week, and a gym of 500 with a test a week.
const sessions = 10 * 52 * 3;
const [run] = gymFile.runs.filter(({ fighterIds }) => fighterIds.includes('ines'));
const years = { runs: [], results: [], attempts: [] };
for (let i = 0; i < sessions; i++) {
  const at = ago(60 + (i * 7) / 3);
  years.runs.push({
    ...run,
    id: `year-${i}`,
    startedAt: at,
    endedAt: at,
    fighterIds: ['ines'],
    groupOf: {},
    partners: [],
  });
  for (const [round] of run.rounds.entries())
    years.results.push({
      ...{ id: `year-${i}-${round}`, runId: `year-${i}`, round, fighterId: 'ines', done: 'finished' },
      ...{ quality: i % 3 === 0 ? 'loose' : 'clean', seconds: null, lead: null, at },
    });
  for (const lead of ['left', 'right'])
    for (let trial = 0; trial < 2; trial++)
      years.attempts.push({
        ...{
          id: `year-${i}-${lead}-${trial}`,
          fighterId: 'ines',
          runId: `year-${i}`,
          testId: 'two-straights',
          lead,
        },
        ...{ instants: [], at, toldAt: null, said: Math.round(40 + normalDraw(random)), measured: 'partner' },
        ...{ history: [], heard: null, value: null },
      });
}
const people = Array.from({ length: 500 }, (_, i) => ({
  ...gymFile.fighters[i % gymFile.fighters.length],
  ...{ id: `many-${i}`, name: `Fighter ${i}`, apart: [] },
}));
const trials = people.flatMap(({ id }, i) =>
  Array.from({ length: 12 }, (_, week) => week).flatMap((week) =>
    ['left', 'right'].map((lead) => ({
      ...{ id: `${id}-${week}-${lead}`, fighterId: id, runId: null, testId: 'two-straights', lead },
      ...{ instants: [], at: ago(1 + 7 * week + (i % 5) / 10), toldAt: null, said: 20 + (i % 9) },
      ...{ measured: 'partner', history: [], heard: null, value: null },
    })),
  ),
);
await fill({
  runs: [...gymFile.runs, ...years.runs],
  results: [...gymFile.results, ...years.results],
  attempts: [...gymFile.attempts, ...years.attempts],
});
const timed = async (path, times) => {
  const took = [];
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    const answer = await fetch(`${app.base}/api/${path}`);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
    took.push(performance.now() - start);
  }
  return took.sort((a, b) => a - b);
};
const p95 = (took) => took[Math.min(took.length - 1, Math.floor(0.95 * took.length))];
const timedRow = (name, took, asked) =>
  row(name, `p95 ${ms(p95(took))}`, `median ${ms(spread(took).median)}; ${asked}`);
timedRow('a fighter of ten years: GET progress', await timed('fighters/ines/progress', 40), 'at most 150 ms');
timedRow(
  '  GET log',
  await timed('fighters/ines/log', 40),
  `${years.results.length} marks, ${years.attempts.length} trials`,
);
const browser = await chromium.launch({ executablePath: needChromium(), args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.request.put(`${app.base}/api/gym/notice`, { data: { accepted: true } });
const drawn = [];
for (let i = 0; i < 5; i++) {
  await page.goto(`${app.base}/fighters`);
  await page.getByRole('link', { name: /Ines Okafor/ }).waitFor();
  const start = performance.now();
  await page.getByRole('link', { name: /Ines Okafor/ }).click();
  await page
    .getByRole('img', { name: / trials, best / })
    .locator('svg, canvas')
    .first()
    .waitFor();
  drawn.push(performance.now() - start);
}
await browser.close();
timedRow(
  '  from the press to its picture',
  drawn.sort((a, b) => a - b),
  'at most 1 s',
);
await fill({ fighters: [...gymFile.fighters, ...people], attempts: [...gymFile.attempts, ...trials] });
timedRow(
  'a class of 500: GET class table',
  await timed('progress/class?testId=two-straights', 20),
  'at most 300 ms',
);
timedRow('  GET questions', await timed('progress/questions', 5), `${trials.length} trials`);
await app.stop();
rmSync(data, { recursive: true, force: true });
