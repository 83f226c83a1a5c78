import { expect, test, type Page } from './test.ts';
import { takeToTheFloor } from './takeToTheFloor.ts';

/** By how many pixels what is called stands out of its place, on any side. */
function cutOff(page: Page): Promise<number> {
  return page.getByTestId('call').evaluate((call) => {
    const place = call.parentElement!.getBoundingClientRect();
    const lines = [...call.children].map((line) => line.getBoundingClientRect());
    return Math.max(
      0,
      ...lines.flatMap(({ left, right, top, bottom }) => [
        place.left - left,
        right - place.right,
        place.top - top,
        bottom - place.bottom,
      ]),
    );
  });
}

test('the call is whole on every screen, on two lines at the most, with the whole gym on the Floor', async ({
  page,
  request,
}) => {
  const { items } = await (await request.get('/api/fighters')).json();
  const fit = items.filter((each: { fit: boolean }) => each.fit).map(({ name }: { name: string }) => name);
  await takeToTheFloor(page, fit);
  const seen = new Set<string>();
  await page.keyboard.press(' ');
  for (const [width, height] of [
    [1024, 600],
    [1280, 800],
    [3840, 2160],
    [360, 740],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect.poll(() => cutOff(page)).toBeLessThan(1);
    expect(await page.getByTestId('call').locator('> *').count()).toBeLessThanOrEqual(2);
    seen.add((await page.getByTestId('call').textContent())!);
  }
  expect([...seen].join('')).not.toBe('');
});

test('the sides of strokes are called in the gym’s own words, and the workbench shows what is understood', async ({
  page,
}) => {
  await page.goto('/gym');
  await page.getByLabel('Sides are called').click();
  await page.getByRole('option', { name: 'left and right' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The gym’s ways are saved.')).toBeVisible();
  await page.goto('/combos/new');
  await page.getByLabel('Beats a minute').fill('50');
  await page.getByLabel('Beat line').fill('1 . r:push . f:knee');
  const heard = page.getByRole('list', { name: 'Calls and what is understood' });
  await expect(heard.getByRole('listitem')).toHaveText([
    'one' + 'left hand: jab, head',
    'right push kick' + 'right leg: push kick, body',
    'left knee' + 'left leg: knee, body',
  ]);
  await page.getByRole('button', { name: 'Other lead' }).click();
  await expect(heard.getByRole('listitem').nth(1)).toHaveText('left push kick' + 'left leg: push kick, body');
  await page.getByLabel('Beats a minute').fill('140');
  // As a coach does it, by keys: a selection that only the browser knows is lost when the findings of the tempo are drawn.
  await page.getByLabel('Beat line').press('ControlOrMeta+a');
  await page.keyboard.insertText('1=r:push=f:knee');
  await expect(heard.getByText('not understood: right leg: knee, body')).toBeVisible();
});
