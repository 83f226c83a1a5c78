import { expect, test } from './test.ts';
import { encodeWav } from '@eurhythm/core/sound';
import { roundSound } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { browserThatHears } from './microphone.ts';
import { choose } from './choose.ts';
import { takeToTheFloor } from './takeToTheFloor.ts';

/** A hall in which a pad is struck this often a second, all the time. */
function padWork(perSecond: number, seconds: number): Uint8Array {
  const [sampleRate, random] = [48_000, seededRandom(8)];
  const at = Array.from({ length: perSecond * seconds }, (_, i) => i / perSecond + 0.1);
  return encodeWav({ sampleRate, samples: roundSound(at, { sampleRate, seconds, struck: 'pad' }, random) });
}

test('a burst is counted by the browser’s own microphone, and counted again by hand', async ({ baseURL }) => {
  // The file begins again and again, so that it does not matter when the burst begins.
  const browser = await browserThatHears(padWork(3, 20));
  const page = await browser.newPage({ baseURL: baseURL!, viewport: { width: 1280, height: 800 } });
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Oskar Bello');
  await choose(page.getByLabel('Counted by'), 'Microphone');
  await page.getByRole('button', { name: 'Start' }).click();
  // The audio of a machine without a sound card may have holes while it is busy; then that is what is told.
  await expect(page.getByText(/the microphone counts|comes with holes/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/One trial, saved/)).toBeVisible({ timeout: 60_000 });
  const newest = async () => (await (await page.request.get('/api/fighters/oskar/attempts')).json()).items[0];
  await expect.poll(async () => (await newest()).measured).toBe('microphone');
  const trial = await newest();
  // Three a second for ten seconds, less what fell into the holes: what exactly is heard is a story on a device that loses nothing.
  expect(trial.count).toBeGreaterThanOrEqual(15);
  expect(trial.count).toBeLessThanOrEqual(33);
  expect(trial.heard).toMatchObject({ source: 'microphone', due: null });
  await page.getByLabel('Counted by hand').fill('27');
  await page.getByRole('button', { name: 'Take this number' }).click();
  await expect.poll(async () => (await newest()).count).toBe(27);
  await browser.close();
});

test('a burst is tried out with nobody striking: a number is shown, and nothing kept', async ({ page }) => {
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press('t');
  await choose(page.getByLabel('Counted by'), 'Demo source (no one strikes)');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Only tried: nothing was kept.')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/\d\.\d a second/)).toBeVisible();
});

test('without a microphone a burst says why, and taps count as before', async ({ page }) => {
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('none', 'NotFoundError'));
  });
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press('t');
  await choose(page.getByLabel('Counted by'), 'Microphone');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText('No microphone was found');
  await choose(page.getByLabel('Counted by'), 'Taps');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/tap anywhere/)).toBeVisible({ timeout: 30_000 });
});
