/** Pages of a gym that has trained for years: the demo’s log nineteen times, brought in by a file. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serveApp } from '../servedApp.mjs';
import { both, ms, row, spread } from './table.mjs';

const TIMES = 19;
const DAYS_APART = 70;
const ASKED = 20;

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4393);
const gym = await (await fetch(`${app.base}/api/export.json`)).json();
const earlier = (at, k) => at && new Date(Date.parse(at) - k * DAYS_APART * 86_400_000).toISOString();
const again = (list, k, change) => list.map((item) => ({ ...item, ...change(item, k) }));
const longer = { ...gym };
for (const [part, change] of Object.entries({
  runs: ({ id, startedAt, endedAt }, k) => ({
    id: `${k}-${id}`,
    startedAt: earlier(startedAt, k),
    endedAt: earlier(endedAt, k),
  }),
  runEvents: ({ runId, at }, k) => ({ runId: `${k}-${runId}`, at: earlier(at, k) }),
  results: ({ runId, at }, k) => ({ runId: `${k}-${runId}`, at: earlier(at, k) }),
  attempts: ({ id, runId, at }, k) => ({
    id: `${k}-${id}`,
    at: earlier(at, k),
    ...(runId ? { runId: `${k}-${runId}` } : {}),
  }),
}))
  longer[part] = Array.from({ length: TIMES }, (_, k) =>
    k === 0 ? gym[part] : again(gym[part], k, change),
  ).flat();
const from = performance.now();
const taken = await fetch(`${app.base}/api/import`, {
  method: 'POST',
  headers: { 'content-type': 'application/json', origin: app.base },
  body: JSON.stringify(longer),
});
if (!taken.ok) throw new Error(await taken.text());
row(
  `a log of ${longer.runs.length} runs brought in`,
  ms(performance.now() - from),
  `${longer.results.length} marks, ${longer.attempts.length} trials`,
);
const { id } = gym.fighters[0];
for (const path of [
  'today',
  'runs',
  'sessions',
  'fighters',
  `fighters/${id}/log`,
  `fighters/${id}/attempts`,
]) {
  const took = [];
  for (let i = 0; i < ASKED; i++) {
    const start = performance.now();
    await (await fetch(`${app.base}/api/${path}`)).arrayBuffer();
    took.push(performance.now() - start);
  }
  row(`  GET ${path.replace(id, ':id')}`, both(spread(took)), `${ASKED} times`);
}
await app.stop();
rmSync(data, { recursive: true, force: true });
