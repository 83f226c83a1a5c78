import { expect, test } from '@playwright/test';
import { SIZES, faultsOf, tooWide } from './axe.ts';

for (const path of [
  '/',
  '/moves/round',
  '/moves/new',
  '/moves/numbers',
  '/moves/grades/ebb',
  '/gym',
  '/gym/sound',
  '/gym/voice',
  '/combos/flood-4',
  '/combos/new',
  '/sessions/three-groups',
  '/sessions/three-groups/card',
  '/sessions/three-groups/sheet',
  '/sessions/calendar',
  '/combos/wall/flood',
  '/floor',
  '/fighters',
  '/fighters/ines',
  '/fighters/new',
]) {
  test(`axe finds nothing on ${path}, light and dark, large and small`, async ({ page, request }) => {
    await request.put('/api/gym/notice', { data: { accepted: true } });
    await page.goto(path);
    await expect(page.getByRole('main')).not.toBeEmpty();
    await page.waitForLoadState('networkidle');
    expect(await faultsOf(page)).toEqual([]);
    await page.emulateMedia({ colorScheme: 'dark' });
    expect(await faultsOf(page)).toEqual([]);
    await page.setViewportSize(SIZES.tablet);
    expect(await tooWide(page)).toBe(0);
    await page.setViewportSize(SIZES.phone);
    expect(await tooWide(page)).toBe(0);
    expect(await faultsOf(page)).toEqual([]);
  });
}

test('the line stays a line of tape for forty strokes: it scrolls, and half beats keep 24 pixels', async ({
  page,
  request,
}) => {
  await request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/combos/new');
  await page.getByLabel('Beat line').click();
  await page.keyboard.type('{1-1 2 3}x10');
  const strip = page.getByRole('group', { name: /From the left lead/ });
  await expect(strip.getByRole('button')).toHaveCount(40);
  const [a, b] = await Promise.all(
    [0, 1].map((n) => strip.getByRole('button').nth(n).locator('circle').first().boundingBox()),
  );
  expect(b!.x - a!.x).toBeGreaterThanOrEqual(24);
});
