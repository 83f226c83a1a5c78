/** `npm run screenshots`: one picture of each main view at 1280×800, from the demo gym, into docs/screenshots. */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from './chromium.mjs';
import { ROOT, build, install } from './house.mjs';
import { VIEWS, acceptNotice } from './views.mjs';

install();
build();
const only = process.argv.slice(2);
const out = process.env.SHOTS ?? join(ROOT, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const data = mkdtempSync(join(tmpdir(), 'eurhythm-shots-'));
const port = 4391;
const base = `http://127.0.0.1:${port}`;
const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
  cwd: ROOT,
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...process.env, EURHYTHM_DATA: data, PORT: String(port) },
});
try {
  for (
    let tries = 0;
    !(await fetch(`${base}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ));
    tries++
  ) {
    if (tries > 150) throw new Error('the server does not answer');
    await new Promise((done) => setTimeout(done, 200));
  }
  const browser = await chromium.launch({
    executablePath: needChromium(),
    args: ['--no-sandbox', '--disable-background-networking', '--autoplay-policy=no-user-gesture-required'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  for (const [name, view] of Object.entries(VIEWS)) {
    if (only.length > 0 && !only.includes(name)) continue;
    if (name !== 'notice') await acceptNotice(page, base);
    await view(page, base);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(out, `${name}.png`) });
    console.log(name);
  }
  await browser.close();
} finally {
  const ended = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await ended;
  rmSync(data, { recursive: true, force: true });
}
