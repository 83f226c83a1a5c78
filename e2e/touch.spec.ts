import { expect, test, type Locator, type Page } from './test.ts';
import { SIZES, tooWide } from './axe.ts';

/** A class is planned on a phone with fingers alone: what is pressed is as large as a finger, and nothing goes off the screen. */
test.use({ viewport: SIZES.phone, hasTouch: true, isMobile: true });

/** How large a control is for a finger: its box or what `finger` adds around it, no more than the 44 pixels that are asked for. */
const reachOf = (control: Locator): Promise<string> =>
  control.evaluate((element) => {
    const box = element.getBoundingClientRect();
    const around = getComputedStyle(element, '::after');
    const within = (size: number, more: string): number =>
      Math.min(44, Math.round(Math.max(size, Number.parseFloat(more) || 0)));
    return `${within(box.width, around.width)} × ${within(box.height, around.height)}`;
  });

async function press(page: Page, controls: Locator): Promise<void> {
  const control = controls.first();
  await control.scrollIntoViewIfNeeded();
  await expect.poll(() => reachOf(control), await control.innerText()).toBe('44 × 44');
  await control.tap();
  expect(await tooWide(page)).toBe(0);
}

test('a combo is written and saved', async ({ page }) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/');
  await press(page, page.getByRole('link', { name: 'Combos', exact: true }));
  // The list is a page, and so is what is pressed in it.
  await press(
    page,
    page.getByRole('navigation', { name: 'Combos' }).getByRole('link', { name: /Ebb 1|First knock/ }),
  );
  await expect(page.getByRole('heading', { name: 'First knock' })).toBeInViewport();
  await expect(page.getByRole('link', { name: 'Write a combo' })).toBeHidden();
  await press(page, page.getByRole('link', { name: 'All combos' }));
  await press(page, page.getByRole('link', { name: 'Write a combo' }));
  await page.getByLabel('Beat line').tap();
  await page.keyboard.type('1-2 3');
  await expect(page.getByRole('group', { name: /From the left lead/ }).getByRole('button')).toHaveCount(3);
  await page.getByLabel('Title').fill('With a thumb');
  await press(page, page.getByRole('button', { name: 'Save', exact: true }));
  await expect(page.getByText(/ is saved\.$/)).toBeVisible();
  expect(await tooWide(page)).toBe(0);
});

test('a session is built, filled from the library, fitted, dated and kept', async ({ page }) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/');
  await press(page, page.getByRole('link', { name: 'Sessions', exact: true }));
  // Today has such a link, too, and is shown until the other room has come.
  await page.waitForURL(/\/sessions$/);
  await expect(page.getByRole('link', { name: 'Calendar and themes' })).toBeVisible();
  await press(page, page.getByRole('link', { name: 'Build a session' }));
  await page.getByLabel('Title').first().fill('On the bus');
  const rounds = page.getByRole('list', { name: 'Rounds of the session' }).getByRole('listitem');
  await press(page, page.getByRole('button', { name: 'Add shadow' }));
  await expect(rounds).toHaveCount(2);
  for (const kind of await page.getByLabel('Add a block').all()) {
    await press(page, kind);
    await press(page, page.getByRole('option', { name: /^On the count/ }));
  }
  await press(page, page.getByRole('tab', { name: 'Library' }));
  await press(page, page.getByRole('button', { name: /^Squats, kicks and held stretches/ }));
  await press(page, page.getByRole('button', { name: 'Put at the end' }));
  await expect(rounds).toHaveCount(3);
  await press(page, rounds.last().getByRole('button', { name: 'Earlier' }));
  await press(page, page.getByRole('tab', { name: 'Fit' }));
  await page.getByLabel('Minutes of the class').fill('20');
  await press(page, page.getByRole('button', { name: /Take all/ }));
  await expect(page.getByText('It fits to the second.')).toBeVisible();
  await press(page, page.getByRole('button', { name: 'When' }));
  await press(page, page.getByRole('gridcell').filter({ hasText: '15' }).getByRole('button'));
  await page.keyboard.press('Escape');
  for (const tab of ['Check', 'Totals', 'Round']) await press(page, page.getByRole('tab', { name: tab }));
  await press(page, page.getByRole('button', { name: 'Undo' }));
  await press(page, page.getByRole('button', { name: 'Save', exact: true }));
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
  const { items } = await (await page.request.get('/api/sessions')).json();
  const kept = items.find(({ title }: { title: string }) => title === 'On the bus');
  // Two of its rounds are done once more, before any is made much longer than it was meant to be.
  expect(kept.rounds).toBe(5);
  await page.request.delete(`/api/sessions/${kept.id}`);
});
