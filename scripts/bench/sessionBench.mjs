/** The builder in Debian's Chromium: an hour of 60 blocks for three groups, from a key to everything redrawn. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { both, row, spread, timed } from './table.mjs';

const ROUNDS = 20;
const EDITS = 40;
/** The first edits are still being compiled by the browser. */
const WARM_UP = 6;
/** Shorter than the rest after which a change is saved, so that only the redrawing is measured. */
const BETWEEN_KEYS = 400;

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4396);
await app.voiceIsReady();
const browser = await chromium.launch({
  executablePath: needChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await acceptNotice(page, app.base);

const lanes = [
  { group: 'Minnows', combos: [{ comboId: 'minnows-1' }] },
  { group: 'Herons', combos: [{ comboId: 'herons-1' }] },
];
const combo = (id, comboId) => ({
  kind: 'combo',
  id,
  seconds: 80,
  combos: [{ comboId }],
  bpm: 76,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
  lanes,
});
const combos = (await (await page.request.get(`${app.base}/api/combos`)).json()).items.map(({ id }) => id);
const session = {
  title: 'Sixty blocks',
  lead: 'left',
  plannedFor: null,
  word: '',
  groups: [
    { name: 'Minnows', gradeIds: ['minnows'] },
    { name: 'Herons', gradeIds: ['herons'] },
    { name: 'Adults', gradeIds: ['ebb', 'slack', 'flood', 'spring'] },
  ],
  rounds: Array.from({ length: ROUNDS }, (_, i) => ({
    id: `r${i}`,
    title: `Round ${i + 1}`,
    kind: i === 0 ? 'warm-up' : 'pads',
    blocks: [
      combo(`r${i}-1`, combos[i % combos.length]),
      combo(`r${i}-2`, combos[(i + 5) % combos.length]),
      { kind: 'rest', id: `r${i}-3`, seconds: 20 },
    ],
  })),
};
const kept = await page.request.put(`${app.base}/api/sessions/sixty`, { data: session });
if (!kept.ok()) throw new Error(await kept.text());
await page.goto(`${app.base}/sessions/sixty`);
await page
  .getByText(/times through/)
  .first()
  .waitFor({ timeout: 120_000 });
await app.voiceIsReady();
const work = page.getByLabel('Work', { exact: true }).first();
await work.click();
await page.evaluate(() => {
  window.took = [];
  window.typed = [];
  window.pressed = 0;
  window.addEventListener('keydown', (event) => (window.pressed = event.timeStamp), true);
  const look = new MutationObserver(() => (window.last = performance.now()));
  for (const watched of ['section[aria-label=Timeline]', '[role=tablist]', 'header h1 ~ *', 'main strong'])
    for (const element of document.querySelectorAll(watched))
      look.observe(element, { subtree: true, childList: true, attributes: true, characterData: true });
  // What is typed is drawn at once; totals and warnings come from a thread of their own.
  new MutationObserver(() => (window.first ||= performance.now())).observe(
    document.querySelector('section[aria-label=Timeline]'),
    { subtree: true, childList: true, attributes: true, characterData: true },
  );
});
for (let i = 0; i < WARM_UP + EDITS; i++) {
  await page.evaluate(() => (window.last = window.first = 0));
  await page.keyboard.press('End');
  await page.keyboard.press(i % 2 === 0 ? 'Backspace' : String(i % 6));
  await page.waitForTimeout(BETWEEN_KEYS);
  await page.evaluate(() => {
    if (window.last > 0) window.took.push(window.last - window.pressed);
    if (window.first > 0) window.typed.push(window.first - window.pressed);
  });
}
const took = (await page.evaluate(() => window.took)).slice(WARM_UP);
const typed = (await page.evaluate(() => window.typed)).slice(WARM_UP);
row('60 blocks, three groups: key to redrawn', both(spread(typed)), `${typed.length} edits`);
row('60 blocks, three groups: key to totals and warnings', both(spread(took)), `${took.length} edits`);

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ draftSession }, { starterBook }] = await Promise.all([core('plan'), core('moves')]);
const LINES = ['1 2 3', '1-2 r:round@l', '3 2-r:knee', '1 weave 3-2', '7 . 2', '1-1 2@b 3-r:round@l'];
const many = Array.from({ length: 300 }, (_, i) => ({
  id: `c${i}`,
  grade: 'Flood',
  gradeId: 'flood',
  number: i + 1,
  title: `Combo ${i}`,
  line: LINES[i % LINES.length],
  beatsPerBar: 4,
  bpm: 80,
  focus: [],
  daysAgo: i % 50,
}));
const group = (name) => ({
  name,
  combos: many,
  techniques: [{ title: 'Round kick', line: 'r:round', reps: 15, sides: 'both', sets: 2, rest: 20 }],
});
const wish = {
  minutes: 60,
  groups: ['Adults', 'Herons', 'Minnows'].map(group),
  focus: null,
  floorSteps: 4,
  kit: [],
  people: 20,
  library: [],
  words: 'numbers',
  prompts: ['Hands high'],
  factor: 1.25,
};
const book = starterBook();
row('draft of an hour, three groups of 300 combos', both(timed(() => draftSession(wish, book), 20)));

await browser.close();
await app.stop();
rmSync(data, { recursive: true, force: true });
