import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test } from '@playwright/test';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Fault {
  readonly id: string;
  readonly nodes: readonly { readonly html: string }[];
}

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
  test(`axe finds nothing on ${path}`, async ({ page, request }) => {
    await request.put('/api/gym/notice', { data: { accepted: true } });
    await page.goto(path);
    await expect(page.getByRole('main')).not.toBeEmpty();
    await page.waitForLoadState('networkidle');
    // the page's policy lets no script in from outside; the tests bring theirs through the debugger instead
    await page.evaluate(axe);
    const faults = await page.evaluate(async () => {
      const { violations } = await (
        window as unknown as { axe: { run(): Promise<{ violations: Fault[] }> } }
      ).axe.run();
      return violations.map(
        ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
      );
    });
    expect(faults).toEqual([]);
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
