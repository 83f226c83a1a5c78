import type { RoundToPlay } from '@eurhythm/core/run';
import { usualBlock } from '@eurhythm/core/rounds';
import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';
import { beginHeard, heardOf } from './heardRun.ts';
import { openPart } from './openParts.ts';

/** Taps the field at these instants of the clock, in milliseconds since 1970. */
async function tapAt(page: Page, instants: readonly number[]): Promise<void> {
  await expect(page.getByRole('button', { name: /^tap/ })).toBeVisible();
  await page.evaluate((all) => {
    const field = [...document.querySelectorAll('button')].find(({ textContent }) =>
      /^tap/.test(textContent!),
    )!;
    const tap = () =>
      field.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, cancelable: true }));
    for (const at of all) if (at > Date.now()) setTimeout(tap, at - Date.now());
  }, instants);
}

/** The newest trial of a fighter. */
async function newestOf(page: Page, name: string) {
  const { items } = await (await page.request.get('/api/fighters')).json();
  const { id } = items.find((each: { name: string }) => each.name === name);
  return (await (await page.request.get(`/api/fighters/${id}/attempts`)).json()).items[0];
}

/** What is measured without any sensor: by the taps of somebody who watches, and by numbers that are read off. */
test('a combo is timed by taps on the Floor, kept as taps, with how far they can be trusted', async ({
  page,
}) => {
  test.setTimeout(150_000);
  const { id, landing } = await beginHeard(page.request, ['Oskar Bello'], 34);
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('i');
  await choose(page.getByLabel('This device hears with'), 'Taps, by you or the holder');
  await expect(page.getByText('A tap varies by about ±0.05 s')).toBeVisible();
  // Somebody who watches taps a tenth of a second after each strike.
  await tapAt(
    page,
    landing.map((at) => at + 100),
  );
  await expect(page.getByLabel('What landed')).toBeVisible({ timeout: 90_000 });
  const { landed, of } = await heardOf(page, 'Oskar');
  expect(of).toBeGreaterThan(5);
  expect(landed).toBeGreaterThan(of / 2);
  await page.keyboard.press('PageDown');
  await expect
    .poll(async () => {
      const { runId, measured, kind } = await newestOf(page, 'Oskar Bello');
      return [runId, measured, kind];
    })
    .toEqual([id, 'taps', 'combo-time']);
});

test('reactions are timed by taps on the Floor', async ({ page }) => {
  test.setTimeout(150_000);
  const react = { ...usualBlock('react', 'r'), seconds: 60, call: 'now', line: '1' };
  const rounds = [
    { id: 'one', title: 'Reactions', kind: 'technique', blocks: [react, usualBlock('rest', 'rest')] },
    { id: 'two', title: 'Shadow', kind: 'shadow', blocks: [usualBlock('free', 'f')] },
  ];
  const sessionId = 'reactions-by-taps';
  const saved = await page.request.put(`/api/sessions/${sessionId}`, {
    data: { title: 'Reactions by taps', lead: 'left', rounds },
  });
  expect(await saved.text()).toContain(sessionId);
  // Ten seconds to get ready come before the first round.
  const dueIn = ({ cues }: RoundToPlay) => cues.filter(({ kind, text }) => kind === 'call' && text === 'now');
  const heard = { sessionId, round: 0, workEnds: 70, dueIn };
  const { id, landing } = await beginHeard(page.request, ['Oskar Bello'], 24, 40, heard);
  expect(landing.length).toBeGreaterThan(4);
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('i');
  await choose(page.getByLabel('This device hears with'), 'Taps, by you or the holder');
  await tapAt(
    page,
    landing.map((at) => at + 270),
  );
  await expect(page.getByRole('heading', { level: 1 })).toContainText('rest', { timeout: 90_000 });
  await page.keyboard.press('PageDown');
  await expect
    .poll(async () => {
      const { runId, measured, kind } = await newestOf(page, 'Oskar Bello');
      return [runId, measured, kind];
    })
    .toEqual([id, 'taps', 'reaction']);
  // Struck 0.3 s after the call, and seen at once.
  const { value } = await newestOf(page, 'Oskar Bello');
  expect(Math.abs(value - 0.3)).toBeLessThan(0.15);
});

test('a test of the gym’s own is made, its results are written down for both sides, and it is a goal', async ({
  page,
}) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/fighters/tests/new');
  await page.getByLabel('Name').fill('Height of the round kick');
  await page.getByLabel('Unit').fill('');
  await page.getByRole('button', { name: 'Save test' }).click();
  await expect(page.getByLabel('Unit')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('Unit').fill('cm');
  await page.getByRole('button', { name: 'Save test' }).click();
  const left = page.getByLabel('Ines Okafor, left side');
  await left.fill('9000');
  await page.keyboard.press('Enter');
  await expect(page.getByText('9000 cm is too much: the most is 350 cm')).toBeVisible();
  await left.fill('142');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ines Okafor, right side')).toBeFocused();
  await page.keyboard.type('131');
  await page.keyboard.press('Enter');
  await expect(page.getByText('142 cm', { exact: false })).toBeVisible();
  await expect(page.getByText(/% of height/).first()).toBeVisible();
  await expect(async () => {
    await page.goto('/fighters/ines');
    await page.getByLabel('Which test').getByText('Height of the round kick').click({ timeout: 5000 });
    await expect(page.getByText('Left side', { exact: false }).first()).toBeVisible();
  }).toPass({ timeout: 60_000 });
  await openPart(page, 'Goals');
  await page.getByRole('button', { name: 'Set a goal' }).click();
  await choose(page.getByLabel('Test', { exact: true }), 'Height of the round kick');
  await choose(page.getByLabel('Which side'), 'left side');
  await page.getByLabel('In cm').fill('150');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByText('Height of the round kick, left side: 150 cm')).toBeVisible();
});
