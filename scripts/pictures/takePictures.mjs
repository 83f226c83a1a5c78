/** `npm run screenshots`: one picture of each main view at 1280×800, from the demo gym, into docs/screenshots. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { ROOT, build, install } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { SHEETS, STRIPS, contactSheet, drawListener, drawStrip } from './sheets.mjs';
import { VIEWS } from './views.mjs';

install();
build();
const only = process.argv.slice(2);
const out = process.env.SHOTS ?? join(ROOT, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const data = mkdtempSync(join(tmpdir(), 'eurhythm-shots-'));
const app = await serveApp(data, 4391);
const { base } = app;
try {
  const browser = await chromium.launch({
    executablePath: needChromium(),
    args: ['--no-sandbox', '--disable-background-networking', '--autoplay-policy=no-user-gesture-required'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  for (const [name, view] of Object.entries(VIEWS)) {
    if (only.length > 0 && !only.includes(name)) continue;
    await acceptNotice(page, base);
    await view(page, base);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(out, `${name}.png`) });
    console.log(name);
  }
  for (const [name, sheet] of Object.entries(SHEETS)) {
    if (only.length > 0 && !only.includes(name)) continue;
    const made = await contactSheet(browser, base, sheet, async (shown) => {
      await shown.evaluate(() => document.fonts.ready);
      await shown.waitForTimeout(400);
      return shown.screenshot();
    });
    await made.screenshot({ path: join(out, `${name}.png`), fullPage: true });
    console.log(name);
  }
  if (only.length === 0 || only.includes('strips')) {
    const folder = join(ROOT, 'docs/strips');
    mkdirSync(folder, { recursive: true });
    for (const [name, line] of Object.entries(STRIPS)) {
      const strip = await drawStrip(page, base, line);
      await page.waitForTimeout(300);
      const { x, y, width, height } = await strip.boundingBox();
      // The lowest pixels belong to the buttons under the strip.
      await page.screenshot({
        path: join(folder, `${name}.png`),
        clip: { x: x - 4, y, width: width + 4, height: height - 6 },
      });
    }
    const listener = await drawListener(page, base, '1-2 sw f:round@l-2');
    await listener.screenshot({ path: join(folder, 'what-a-listener-hears.png') });
    console.log('strips');
  }
  await browser.close();
} finally {
  await app.stop();
  rmSync(data, { recursive: true, force: true });
}
