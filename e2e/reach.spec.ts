import { expect, test } from './test.ts';
import { tooWide } from './axe.ts';

/** What may be missing or different on a device: sound, a font, the size of text; and where the keyboard is. */
test.beforeEach(({ request }) => request.put('/api/gym/notice', { data: { accepted: true } }));

test('without sound the Floor runs, and says so; a combo that is to be heard says it too', async ({
  page,
}) => {
  await page.addInitScript(() => Reflect.deleteProperty(window, 'AudioContext'));
  await page.goto('/combos/flood-4');
  await page.getByRole('button', { name: /^Hear it/ }).click();
  await expect(page.getByText('This browser makes no sound.')).toBeVisible();
  await page.goto('/floor');
  await page.getByRole('button', { name: 'Take to the Floor' }).click();
  await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
  await expect(page.getByText('This browser makes no sound.')).toBeVisible();
  const clock = page.getByRole('timer');
  const before = await clock.textContent();
  await page.keyboard.press(' ');
  await expect(clock).not.toHaveText(before!);
  await page.keyboard.press(' ');
  await expect(page.getByTestId('call')).toHaveText('held');
});

/** As everything is laid out for a text twice as large: half as much room, since widths follow the text. */
const TWICE = { width: 640, height: 400 };

test('with text twice as large, and without the fonts, nothing is wider than the screen', async ({
  page,
}) => {
  await page.setViewportSize(TWICE);
  await page.route('**/*.woff2', (route) => route.abort());
  for (const path of ['/', '/combos/flood-4', '/sessions/three-groups', '/fighters/ines', '/gym']) {
    await page.goto(path);
    await expect(page.getByRole('main')).not.toBeEmpty();
    await page.waitForLoadState('networkidle');
    expect([path, await tooWide(page)]).toEqual([path, 0]);
  }
});

test('the focus comes back to what opened a panel, and Escape closes it', async ({ page }) => {
  await page.goto('/gym');
  await expect(page.getByRole('heading', { name: 'Where schools differ' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeFocused();
  await page.goto('/fighters/ines');
  const opener = page.getByRole('button', { name: 'Mark as not fit to train' });
  await opener.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(opener).toBeFocused();
  // The command box and the keys give it back too.
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(opener).toBeFocused();
});

test('after a new fighter is saved the focus is on the new page, not lost with the old one', async ({
  page,
}) => {
  await page.goto('/fighters/new');
  await page.getByLabel('Name', { exact: true }).fill('Vesna Okonkwo');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Vesna Okonkwo' })).toBeVisible();
  await expect(page.getByRole('main')).toBeFocused();
  await page.request.delete(`/api/fighters/${new URL(page.url()).pathname.split('/').at(-1)}?sure=yes`);
});
