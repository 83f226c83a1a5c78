import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './test.ts';
import { encodeWav, readWav } from '@eurhythm/core/sound';
import { musicSound, roundSound } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { choose } from './choose.ts';
import { strikeNow, strikingMicrophone } from './strikingMicrophone.ts';
import { openPart } from './openParts.ts';

const accept = (page: Page) => page.request.put('/api/gym/notice', { data: { accepted: true } });

/** A bag on which “3 2-r:knee” is struck six times at 92 a minute, the knee a little late each time. */
function bag(): Buffer {
  const [sampleRate, beat] = [24_000, 60 / 92];
  const at = Array.from({ length: 6 }, (_, n) =>
    [0, beat, 1.5 * beat + 0.03].map((x) => 1 + 4.2 * n + x),
  ).flat();
  const samples = roundSound(at, { sampleRate, seconds: 28, struck: 'heavy bag' }, seededRandom(5));
  return Buffer.from(encodeWav({ sampleRate, samples }));
}

const chosenFile = (page: Page) => page.getByLabel('Recording, film or table of times');

test('the lab learns a hall: what is quiet, how strong strikes are, and keeps it for the place', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await accept(page);
  await strikingMicrophone(page);
  await page.goto('/gym');
  await page.getByRole('link', { name: 'Strike sensors and microphone' }).click();
  await choose(page.getByLabel('Hear with'), 'Microphone');
  await page.getByRole('button', { name: 'Learn this hall' }).click();
  await expect(page.getByText(/^Quiet: \d/)).toBeVisible();
  await expect(page.getByText('Strike: 0 of 10')).toBeVisible({ timeout: 15_000 });
  for (let i = 0; i < 10; i++) {
    await strikeNow(page);
    await page.waitForTimeout(450);
  }
  const learnt = page.getByLabel('What was learnt');
  await expect(learnt).toContainText('counts from');
  await expect(page.getByText('counts from here')).toBeVisible();
  // It is known here, and nowhere else.
  await page.getByLabel('Where it stands').fill('cellar');
  await expect(learnt).toHaveCount(0);
  await page.getByLabel('Where it stands').fill('the hall');
  await expect(learnt).toBeVisible();
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(learnt).toHaveCount(0);
});

test('the lab says when somebody struck in the quiet, and when the microphone is gone', async ({ page }) => {
  await accept(page);
  await strikingMicrophone(page);
  await page.goto('/gym/lab');
  await choose(page.getByLabel('Hear with'), 'Microphone');
  await page.getByRole('button', { name: 'Learn this hall' }).click();
  await page.waitForTimeout(1500);
  await strikeNow(page);
  await expect(page.getByRole('alert')).toContainText('struck in the quiet', { timeout: 15_000 });
  await page.evaluate(() => (window as unknown as { unplug(): void }).unplug());
  await expect(page.getByText('The microphone is gone')).toBeVisible();
});

const song = { sampleRate: 16_000, seconds: 14 };

test('music is reported where strikes are heard, in the lab and in a file, and a bag is none', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await accept(page);
  const samples = musicSound(song, seededRandom(2));
  await strikingMicrophone(page, [], { beside: { ...song, samples } });
  await page.goto('/gym/lab');
  await choose(page.getByLabel('Hear with'), 'Microphone');
  await expect(page.getByText('Music is heard here')).toBeVisible({ timeout: 40_000 });
  await page.goto('/fighters/from-file');
  const wav = Buffer.from(encodeWav({ ...song, samples }));
  await chosenFile(page).setInputFiles({ name: 'song.wav', mimeType: 'audio/wav', buffer: wav });
  await expect(page.getByText('Music plays in this file')).toBeVisible({ timeout: 40_000 });
  await chosenFile(page).setInputFiles({ name: 'bag.wav', mimeType: 'audio/wav', buffer: bag() });
  await expect(page.getByText('18 strikes')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText('Music plays in this file')).toHaveCount(0);
});

test('two ears hear the same strikes: the lab tells what each hears alone', async ({ page }) => {
  test.setTimeout(60_000);
  await accept(page);
  await page.goto('/gym/lab');
  await page.getByRole('button', { name: 'Simulated strike sensor' }).click();
  await choose(page.getByLabel('Hear with'), 'Strike sensor');
  await expect
    .poll(async () => Number(await page.getByTestId('lab-count').textContent()), { timeout: 20_000 })
    .toBeGreaterThan(1);
  await choose(page.getByLabel('Strike sensor beside'), 'Demo source (no one strikes)');
  await page.getByRole('button', { name: 'Compare' }).click();
  await page.waitForTimeout(4000);
  await page.getByRole('button', { name: 'That is enough' }).click();
  await expect(
    page.getByText(/heard by both, \d+ by the first alone, \d+ by the second alone/),
  ).toBeVisible();
  // What is reported about a sensor that is away is reported no longer once it is back.
  await page.getByRole('button', { name: 'Switch the simulated sensor off' }).click();
  await expect(page.getByText('The sensor is away')).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Simulated strike sensor' }).click();
  await expect(page.getByText('The sensor is away')).toHaveCount(0, { timeout: 15_000 });
});

test('a recording brings its strikes: pins put right, the line found, stored, and heard again', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await accept(page);
  await page.goto('/fighters');
  await page.getByRole('link', { name: 'Strikes from a file' }).click();
  await chosenFile(page).setInputFiles({ name: 'bag.wav', mimeType: 'audio/wav', buffer: bag() });
  await expect(page.getByRole('heading', { name: '18 strikes' })).toBeVisible({ timeout: 30_000 });
  // One too many, and out again.
  await page
    .getByRole('button', { name: /^strike at/ })
    .first()
    .focus();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('heading', { name: '17 strikes' })).toBeVisible();
  await page.getByRole('button', { name: 'as heard' }).click();
  await expect(page.getByRole('heading', { name: '18 strikes' })).toBeVisible();
  const best = page.getByLabel('Lines that fit').getByRole('button').first();
  await expect(best).toContainText('Slack 2');
  await expect(best).toContainText('6 times');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const csv = await readFile((await (await saved).path())!, 'utf8');
  expect(csv.split('\r\n')).toHaveLength(20);
  const labelled = page.waitForEvent('download');
  await page.getByRole('button', { name: 'WAV with regions' }).click();
  const wav = await readFile((await (await labelled).path())!);
  expect(readWav(wav).ok && wav.includes('rgn ')).toBe(true);
  const notes = page.waitForEvent('download');
  await page.getByRole('button', { name: 'MIDI' }).click();
  expect((await readFile((await (await notes).path())!)).subarray(0, 4).toString()).toBe('MThd');
  await choose(page.getByLabel('Fighter', { exact: true }), 'Ines Okafor');
  await page.getByRole('button', { name: 'Store 6 times through as one trial' }).click();
  await expect(page.getByText('Stored as a trial.')).toBeVisible();
  // Stored again it is there once.
  await page.getByRole('button', { name: 'Store 6 times through as one trial' }).click();
  await expect(page.getByText('Stored in place of what was stored before.')).toBeVisible();
  await choose(page.getByLabel('What it was'), 'A burst, as many as fit');
  await page.getByLabel('From which second').fill('900');
  await expect(page.getByText('No strike comes after this second.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store as a trial' })).toBeDisabled();
  await page.goto('/fighters/ines');
  await openPart(page, 'Trials');
  await expect(page.getByRole('button', { name: /Slack 2.*from a file/ })).toHaveCount(1);
  await page.getByRole('button', { name: /Slack 2.*from a file/ }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('Whole times through: 6');
  await expect(sheet).toContainText('costs most');
  await sheet.getByRole('button', { name: 'Play against the line' }).click();
  await expect(sheet.getByRole('button', { name: 'Stop' })).toBeVisible();
  await sheet.getByRole('button', { name: 'Stop' }).click();
  await sheet.getByRole('button', { name: 'Work it out again' }).click();
  await expect(page.getByText('Worked out again: it is the same.')).toBeVisible();
});

test('a table of times is read as strikes; what is no recording is reported plainly', async ({ page }) => {
  await accept(page);
  await page.goto('/fighters/from-file');
  const give = (name: string, content: string | Buffer) =>
    chosenFile(page).setInputFiles({ name, mimeType: '', buffer: Buffer.from(content) });
  await give('times.csv', 'time\n1.0\n1.5\n2.0\n4.0\n4.5\n5.0\n');
  await expect(page.getByRole('heading', { name: '6 strikes' })).toBeVisible();
  await give('times.csv', 'time\n1.0\nsoon\n');
  await expect(page.getByRole('status').first()).toContainText('Line 3 begins with “soon”');
  // What was there stays.
  await expect(page.getByRole('heading', { name: '6 strikes' })).toBeVisible();
  await give('bag.wav', 'no sound at all');
  await expect(page.getByRole('status').first()).toContainText('no WAV file');
  await give('bag.mp4', 'no film');
  await expect(page.getByRole('status').first()).toContainText('cannot read the sound');
  await give('empty.wav', '');
  await expect(page.getByRole('status').first()).toContainText('empty');
  const silence = encodeWav({ sampleRate: 16_000, samples: new Float32Array(32_000) });
  await give('silence.wav', Buffer.from(silence));
  await expect(page.getByRole('status').first()).toContainText('No strike was heard');
});
