/** A station in Debian's Chromium whose microphone hears strikes: how soon each is on the screen, and what listening costs. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { serveApp } from '../servedApp.mjs';
import { strikingPage } from '../strikes/strikingPage.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { row } from './table.mjs';

const PORT = 4394;
const STRIKES = 60;
const WATCHED_MS = 20_000;

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, PORT);
const browser = await chromium.launch({
  executablePath: needChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--autoplay-policy=no-user-gesture-required',
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
  ],
});
const system = await browser.newBrowserCDPSession();
/** Seconds of processor that all pages have used. */
const used = async () => {
  const { processInfo } = await system.send('SystemInfo.getProcessInfo');
  return processInfo.filter(({ type }) => type === 'renderer').reduce((sum, { cpuTime }) => sum + cpuTime, 0);
};
const page = await browser.newPage({ viewport: { width: 360, height: 740 } });
await acceptNotice(page, app.base);

// What listening costs a station: the browser's own silent microphone, against the same page that does not listen.
const { items } = await (await page.request.get(`${app.base}/api/fighters`)).json();
const run = `${app.base}/api/runs/bench`;
const startedAt = new Date().toISOString();
await page.request.put(run, {
  data: { sessionId: 'knees-behind-the-cross', fighterIds: [items[0].id], startedAt },
});
const { code } = await (await page.request.put(`${run}/hall`, { data: {} })).json();
await page.request.put(`${run}/events/at`, {
  data: { kind: 'start', round: 2, position: 10, at: new Date().toISOString() },
});
await page.goto(`${app.base}/hall/${code}/station`);
await page.getByRole('button', { name: items[0].name.split(' ')[0] }).click();
await page.getByRole('button', { name: 'That is all' }).click();
const cost = async () => {
  await page.waitForTimeout(2000);
  const before = await used();
  await page.waitForTimeout(WATCHED_MS);
  return (await used()) - before;
};
const quiet = await cost();
await page.getByRole('button', { name: 'Microphone' }).click();
const listening = await cost();
const percent = (seconds) => `${((100_000 * seconds) / WATCHED_MS).toFixed(1)} %`;
row(
  'processor of a station that listens',
  percent(listening),
  `of a core, drawing and all; ${percent(quiet)} where it draws, more often, and does not listen; at most 15 %`,
);

// How soon a strike is on the screen.
await strikingPage(page);
await page.goto(`${app.base}/gym/lab`);
await page.getByLabel('Hear with').click();
await page.getByRole('option', { name: 'Microphone' }).click();
await page.waitForTimeout(2500);
const strikes = async (times) => {
  const shown = document.querySelector('[data-testid=lab-count]');
  const seen = [];
  for (let i = 0; i < times; i++) {
    await new Promise((done) => setTimeout(done, 300 + 100 * Math.random()));
    const at = performance.now() + 50;
    window.strike(0.05);
    await new Promise((done) => {
      const observer = new MutationObserver(() => {
        observer.disconnect();
        requestAnimationFrame((frame) => done(seen.push(frame - at)));
      });
      observer.observe(shown, { childList: true, characterData: true, subtree: true });
      setTimeout(() => done(observer.disconnect()), 1500);
    });
  }
  return seen;
};
const late = (await page.evaluate(strikes, STRIKES)).sort((a, b) => a - b);
row(
  'a strike is on the screen',
  `${late[late.length >> 1]?.toFixed(0)} ms after it`,
  `p95 ${late[Math.floor(0.95 * late.length)]?.toFixed(0)} ms; ${late.length} of ${STRIKES} seen; at most 120 ms`,
);

await browser.close();
await app.stop();
rmSync(data, { recursive: true, force: true });
