import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';
import { beginHeard, heardOf } from './heardRun.ts';
import { strikingMicrophone } from './strikingMicrophone.ts';

/** Two thirds of a minute of strikes; before them a busy machine has the time to open the page and to learn the way from the loudspeaker. */
const [READY_IN, FROM] = [24, 80];
/** So loud it comes back to the microphone: louder than anybody strikes. */
const LOUD = 0.7;

/** The coach's own device plays the round at full loudness and listens, until the rest says what landed. */
async function listens(page: Page, strikes: (landing: readonly number[]) => readonly number[]) {
  const { id, landing } = await beginHeard(page.request, ['Lumi Achterberg', 'Oskar Bello'], READY_IN, FROM);
  await strikingMicrophone(page, strikes(landing), { hearsItself: LOUD });
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('i');
  await choose(page.getByLabel('This device hears with'), 'Microphone');
  await choose(page.getByLabel('Whose strikes'), 'Oskar Bello');
  await expect(page.getByText('this device', { exact: true })).toBeVisible();
  await expect(page.getByLabel('What landed')).toBeVisible({ timeout: 110_000 });
  return heardOf(page, 'Oskar');
}

test('the device’s own voice and ticks beside its microphone hide no strike', async ({ page }) => {
  test.setTimeout(200_000);
  const { landed, of, beside } = await listens(page, (landing) => landing);
  expect(of).toBeGreaterThan(24);
  expect(landed).toBeGreaterThanOrEqual(of - 4);
  expect(beside).toBeLessThanOrEqual(3);
});

test('where nobody strikes, the device’s own voice and ticks are no strikes', async ({ page }) => {
  test.setTimeout(200_000);
  const { landed, beside } = await listens(page, () => []);
  // Until the way from the loudspeaker is learnt a call may be taken for one.
  expect(landed + beside).toBeLessThanOrEqual(6);
});
