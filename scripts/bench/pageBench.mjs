/** The pages in Debian's Chromium at 1280×800: from a key to the redrawn strip, and a long list. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { serveApp } from '../servedApp.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { both, ms, row, spread } from './table.mjs';

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4397);
await app.voiceIsReady();
const browser = await chromium.launch({
  executablePath: needChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await acceptNotice(page, app.base);

/** From a new browser's first request to Today's content in the document, in milliseconds. */
async function todayFromNothing() {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const fresh = await context.newPage();
  await fresh.addInitScript(() => {
    const look = () => {
      if (document.querySelector('main a[href^="/fighters/"]')) window.shownAt = performance.now();
      else requestAnimationFrame(look);
    };
    look();
  });
  await fresh.goto(app.base);
  const at = await (await fresh.waitForFunction(() => window.shownAt)).jsonValue();
  await context.close();
  return at;
}
const opened = [];
for (let i = 0; i < 9; i++) opened.push(await todayFromNothing());
row('Today, from nothing to its content', both(spread(opened)), 'at most 600 ms');

/** From each key going down to the strip being another one in the document, in milliseconds. */
async function keysToStrip(start) {
  await page.goto(`${app.base}/combos/new`);
  await page.getByLabel('Beat line').click();
  await page.evaluate(() => {
    window.took = [];
    let pressed = 0;
    window.addEventListener('keydown', (event) => (pressed = event.timeStamp), true);
    const bench = document.querySelector('main');
    new MutationObserver((changes) => {
      if (pressed === 0 || !changes.some(({ target }) => target.closest?.('svg[role=group]'))) return;
      window.took.push(performance.now() - pressed);
      pressed = 0;
    }).observe(bench, { subtree: true, childList: true, attributes: true });
  });
  await page.keyboard.type(start);
  for (let i = 0; i < 25; i++) {
    await page.waitForTimeout(40);
    await page.keyboard.press(String((i % 4) + 1));
    await page.waitForTimeout(40);
    await page.keyboard.press('Backspace');
  }
  return page.evaluate(() => window.took);
}
const few = await keysToStrip('1 2-3 1 2 ');
const many = await keysToStrip('{1-1 2 3}x9 1 2 3 ');
row('key to redrawn strip, 6 strokes', both(spread(few)), `${few.length} redraws`);
row('key to redrawn strip, 40 strokes', both(spread(many)), `${many.length} redraws`);

const { items } = await (await page.request.get(`${app.base}/api/combos`)).json();
const MANY = 2000;
const long = Array.from({ length: MANY }, (_, i) => ({
  ...items[i % items.length],
  id: `many-${i}`,
  number: (i % 99) + 1,
  gradeId: `g${Math.floor(i / 99)}`,
  grade: `Grade ${Math.floor(i / 99) + 1}`,
}));
await page.route('**/api/combos', (route) => route.fulfill({ json: { items: long } }));
const from = performance.now();
await page.goto(`${app.base}/combos/many-0`);
await page.getByRole('link', { name: /^1/ }).first().waitFor();
row(`list of ${MANY} combos: opened`, ms(performance.now() - from));
await page.evaluate(() => {
  window.frames_ = [];
  let last = performance.now();
  const look = (now) => {
    window.frames_.push(now - last);
    last = now;
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
});
await page.mouse.move(150, 500);
for (let i = 0; i < 120; i++) {
  await page.mouse.wheel(0, 120);
  await page.waitForTimeout(16);
}
const frames = await page.evaluate(() => window.frames_.slice(2));
const drawn = await page.getByRole('navigation', { name: 'Combos' }).getByRole('link').count();
row(`list of ${MANY} combos: frame while it scrolls`, both(spread(frames)), `${drawn} rows in the document`);

await browser.close();
await app.stop();
rmSync(data, { recursive: true, force: true });
