/**
 * The Floor and the hall in Debian's Chromium: how soon it is ready, how smoothly it runs with three lanes, how far the wall is behind
 * the coach's screen over a link that jitters, how near both are to the sound, and how soon a press is stored.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { serveApp } from '../servedApp.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { row } from './table.mjs';

const PORT = 4394;
const LINK = 4395;
const WATCHED_MS = 40_000;
const SETTLED_MS = 2500;
const PRESSES = 40;
/** Three keys are pressed for each mark; nobody is faster. */
const BETWEEN_MS = 400;
/** A text that changes farther from every sound than this, in milliseconds, has none: a block begins, or a call is old. */
const NEAR = 200;

const sorted = (values) => [...values].sort((a, b) => a - b);
const share = (values, p) => sorted(values)[Math.min(values.length - 1, Math.floor(p * values.length))];

/** A link whose every packet waits 5 to 60 ms, and none overtakes another. */
function jitteryLink() {
  const link = createServer((near) => {
    const far = createConnection(PORT, '127.0.0.1');
    for (const [one, other] of [
      [near, far],
      [far, near],
    ]) {
      const line = [];
      let last = 0;
      const later = (what) => {
        line.push(what);
        last = Math.max(last, Date.now() + 5 + 55 * Math.random());
        // Timers of one instant come in no order; the line has one.
        setTimeout(() => line.shift()(), last - Date.now());
      };
      one.on('data', (data) => later(() => other.writable && other.write(data)));
      one.on('close', () => later(() => other.end()));
      one.on('error', () => other.destroy());
    }
  });
  return new Promise((done) => link.listen(LINK, '127.0.0.1', () => done(link)));
}

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, PORT, { EURHYTHM_NAMES: `127.0.0.1:${LINK}` });
await app.voiceIsReady();
const link = await jitteryLink();
const browser = await chromium.launch({
  executablePath: needChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await (
  await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
).newPage();
await acceptNotice(page, app.base);
// Every sound that the page puts on its audio clock.
await page.addInitScript(() => {
  window.sounds = [];
  const { start } = AudioBufferSourceNode.prototype;
  AudioBufferSourceNode.prototype.start = function (when = 0, ...more) {
    window.sounds.push([this, when]);
    return start.call(this, when, ...more);
  };
});
const { items } = await (await page.request.get(`${app.base}/api/fighters`)).json();
const fighterIds = items.filter(({ fit }) => fit).map(({ id }) => id);
await page.request.put(`${app.base}/api/runs/bench`, {
  data: { sessionId: 'three-groups', fighterIds, startedAt: new Date().toISOString() },
});
const ready = async () => {
  const from = performance.now();
  await page.goto(`${app.base}/floor/bench`);
  await page.getByText('ready when you are').waitFor({ timeout: 120_000 });
  return performance.now() - from;
};
await ready();
const times = [await ready(), await ready(), await ready()];
row(
  'Floor ready, an hour for three groups',
  `${Math.round(share(times, 0.5))} ms`,
  'at most 1,500 ms, calls cached',
);

const { code } = await (await page.request.put(`${app.base}/api/runs/bench/hall`, { data: {} })).json();
const wall = await (
  await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
).newPage();
await wall.goto(`http://127.0.0.1:${LINK}/hall/${code}/wall`);
await wall.getByText('ready when you are').waitFor({ timeout: 60_000 });
await page.keyboard.press(' ');
await page.waitForTimeout(600);
for (let i = 0; i < 3; i++) {
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(400);
}
// A screen that follows stands where the class does once it has heard where that is.
await page.waitForTimeout(SETTLED_MS);
const watch = (each) =>
  each.evaluate(() => {
    window.seen = [];
    window.frames = 0;
    window.longTasks = 0;
    const call = document.querySelector('[data-testid=call]');
    new MutationObserver(() =>
      // The time of the frame that shows it.
      window.seen.push([call.textContent, performance.timeOrigin + document.timeline.currentTime]),
    ).observe(call, { characterData: true, childList: true, subtree: true });
    const count = () => {
      window.frames += 1;
      requestAnimationFrame(count);
    };
    requestAnimationFrame(count);
    new PerformanceObserver((list) => (window.longTasks += list.getEntries().length)).observe({
      entryTypes: ['longtask'],
    });
  });
await Promise.all([watch(page), watch(wall)]);
await page.waitForTimeout(WATCHED_MS);
// When each sound comes out of the loudspeaker, by the browser's own account.
const sounds = await page.evaluate(() =>
  window.sounds.map(([{ context }, when]) => {
    const { contextTime, performanceTime } = context.getOutputTimestamp();
    return performance.timeOrigin + performanceTime + (when - contextTime) * 1000;
  }),
);
const [own, others] = await Promise.all(
  [page, wall].map((each) =>
    each.evaluate(() => ({
      seen: window.seen,
      frames: window.frames,
      longTasks: window.longTasks,
    })),
  ),
);
row(
  'frames on the Floor, three lanes',
  `${((own.frames * 1000) / WATCHED_MS).toFixed(1)} a second`,
  `${own.longTasks} tasks over 50 ms in ${WATCHED_MS / 1000} s`,
);
// The same call on both screens, the nearest in time.
const behind = own.seen.flatMap(([text, at]) => {
  const near = others.seen.filter(([other]) => other === text).map(([, when]) => when - at);
  const nearest = sorted(near.map(Math.abs))[0];
  return nearest === undefined || nearest > 500 ? [] : [nearest];
});
row(
  'wall against the coach’s screen, link of 5 to 60 ms each way',
  `${share(behind, 0.5).toFixed(0)} ms, p95 ${share(behind, 0.95).toFixed(0)} ms`,
  `${behind.length} calls; clocks agree within 20 ms, a frame is 17 ms`,
);
for (const [whose, { seen }, most] of [
  ['the coach’s screen', own, 25],
  ['the wall', others, 40],
]) {
  const off = seen.flatMap(([text, at]) => {
    const nearest = sorted(sounds.map((sound) => Math.abs(at - sound)))[0];
    return text === '' || nearest > NEAR ? [] : [nearest];
  });
  row(
    `a call on ${whose} against the start of its sound`,
    `${share(off, 0.5).toFixed(0)} ms, p95 ${share(off, 0.95).toFixed(0)} ms`,
    `at most ${most} ms; ${off.length} of ${seen.length} changes have a sound`,
  );
}

// From the last key, with which it is known whose mark it is, to the end of the server's answer, as the page has them.
await page.evaluate(() => {
  globalThis.keys = [];
  performance.clearResourceTimings();
  window.addEventListener('keydown', ({ timeStamp }) => globalThis.keys.push(timeStamp), true);
});
// The wall is another machine's work.
await wall.close();
const stored = [];
for (let i = 0; i < PRESSES; i++) {
  const answer = page.waitForResponse(
    (response) => response.url().includes('/results/') && response.request().method() === 'PUT',
  );
  await page.keyboard.press(i % 2 === 0 ? 'l' : 'c');
  await page.keyboard.press('0');
  await page.keyboard.press(String(1 + (i % 9)));
  await (await answer).finished();
  await page.waitForTimeout(BETWEEN_MS);
  stored.push(
    await page.evaluate(() => {
      const puts = performance.getEntriesByType('resource').filter(({ name }) => name.includes('/results/'));
      return puts.at(-1).responseEnd - globalThis.keys.at(-1);
    }),
  );
}
row(
  'press to stored',
  `${share(stored, 0.5).toFixed(0)} ms, p95 ${share(stored, 0.95).toFixed(0)} ms`,
  'last key to the answer’s end; at most 50 ms p95',
);

await browser.close();
link.close();
await app.stop();
rmSync(data, { recursive: true, force: true });
