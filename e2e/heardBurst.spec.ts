import { expect, test } from './test.ts';
import { roundSound } from '@eurhythm/core/simulation';
import { DETECTOR_VERSION } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import { choose } from './choose.ts';
import { strikingMicrophone } from './strikingMicrophone.ts';
import { takeToTheFloor } from './takeToTheFloor.ts';
import { openPart } from './openParts.ts';

/** A hall in which a pad is struck this often a second, all the time. */
function padWork(perSecond: number, seconds: number) {
  const [sampleRate, random] = [48_000, seededRandom(8)];
  const at = Array.from({ length: perSecond * seconds }, (_, i) => i / perSecond + 0.1);
  return { sampleRate, samples: roundSound(at, { sampleRate, seconds, struck: 'pad' }, random) };
}

test('a burst is counted by the microphone, kept with what was heard, and counted again by hand', async ({
  page,
}) => {
  // What sounds begins again and again, so that it does not matter when the burst begins.
  await strikingMicrophone(page, [], { beside: padWork(3, 20) });
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Oskar Bello');
  await choose(page.getByLabel('Counted by'), 'Microphone');
  await page.getByLabel(/Keep the sound/).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/the microphone counts/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/One trial, saved/)).toBeVisible({ timeout: 60_000 });
  const fighters = await (await page.request.get('/api/fighters')).json();
  const { id } = fighters.items.find(({ name }: { name: string }) => name === 'Oskar Bello');
  const newest = async () => (await (await page.request.get(`/api/fighters/${id}/attempts`)).json()).items[0];
  await expect.poll(async () => (await newest()).measured).toBe('microphone');
  const trial = await newest();
  // Three a second for ten seconds; the bells may hide one each, and so may the seam of what sounds.
  expect(trial.count).toBeGreaterThanOrEqual(26);
  expect(trial.count).toBeLessThanOrEqual(32);
  expect(trial.instants).toHaveLength(trial.count);
  expect(trial.heard).toMatchObject({ source: 'microphone', due: null });
  expect(trial.heard.detector).toBe(`${DETECTOR_VERSION}, own sound taken out`);
  expect(trial.heard.onsets.length).toBeGreaterThanOrEqual(trial.count);
  const gaps = trial.instants.slice(1).map((at: number, i: number) => at - trial.instants[i]);
  expect(gaps.filter((gap: number) => Math.abs(gap - 1 / 3) < 0.02).length).toBeGreaterThan(18);

  // Heard again in the sound that was kept, it is the same; a strike on the bell may fall to either side.
  await expect.poll(async () => (await newest()).recorded, { timeout: 15_000 }).toBeGreaterThan(10);
  const again = await (await page.request.post(`/api/attempts/${trial.id}/again`)).json();
  expect(Math.abs(again.count - trial.count)).toBeLessThanOrEqual(1);
  const isHeardAgain = (at: number): boolean =>
    again.instants.some((other: number) => Math.abs(other - at) < 0.05);
  expect(trial.instants.filter(isHeardAgain).length).toBeGreaterThanOrEqual(trial.count - 1);

  await page.getByLabel('Counted by hand').fill('27');
  await page.getByRole('button', { name: 'Take this number' }).click();
  await expect.poll(async () => (await newest()).count).toBe(27);
  await expect(page.getByText('2.7 a second')).toBeVisible();
  // A number alone says nothing of the thirds.
  await expect(page.getByText(/first third/)).toHaveCount(0);
  const corrected = await newest();
  expect(corrected).toMatchObject({ measured: 'by-hand', first: trial.count });
  expect(corrected.heard).toEqual(again.heard);

  // The sound was kept, as was agreed, is heard again, and can be taken out.
  await expect.poll(async () => (await newest()).recorded, { timeout: 15_000 }).toBeGreaterThan(10);
  await page.goto(`/fighters/${id}`);
  await openPart(page, 'Trials');
  // The newest stands first: a story that runs once more finds what the one before it kept.
  await page
    .getByRole('button', { name: /with its sound/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Play its sound' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the sound out' }).click();
  await expect.poll(async () => (await newest()).recorded).toBeNull();
});
