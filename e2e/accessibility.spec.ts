import { expect, test, type Page } from './test.ts';
import { SIZES, faultsOf, tooWide } from './axe.ts';

// Each page is a story of its own.
test.describe.configure({ mode: 'parallel' });

for (const path of [
  '/',
  '/moves/new',
  '/moves/grades/ebb',
  '/combos/new',
  '/sessions/three-groups/card',
  '/combos/wall/flood',
  '/floor',
  '/fighters',
  '/fighters/new',
  '/fighters/from-file',
  '/fighters/class',
  '/fighters/register',
  '/fighters/memory',
  '/fighters/test-day/flood',
  '/fighters/mbali/grade',
  '/fighters/mbali/report',
  '/gym/requirements/slack',
  '/fighters/tests/new',
]) {
  test(`axe finds nothing on ${path}, light on a laptop and dark on a phone`, async ({ page, request }) => {
    await request.put('/api/gym/notice', { data: { accepted: true } });
    await page.goto(path);
    await expect(page.getByRole('main')).not.toBeEmpty();
    await page.waitForLoadState('networkidle');
    expect(await faultsOf(page)).toEqual([]);
    await page.setViewportSize(SIZES.tablet);
    expect(await tooWide(page)).toBe(0);
    await page.emulateMedia({ colorScheme: 'dark' });
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

const UNFOLDED = 'all unfolded';

/** Opens whatever folds, one panel and menu after the other, and asks axe at each. */
async function openEverything(page: Page, size: 'laptop' | 'phone'): Promise<string[]> {
  const faults: string[] = [];
  const look = async (what: string): Promise<void> => {
    // What opens is the same on either; that it fits is looked at on both.
    if (size === 'laptop' || what === UNFOLDED)
      for (const fault of await faultsOf(page)) faults.push(`${what}: ${fault}`);
    const wide = await tooWide(page);
    if (wide > 0) faults.push(`${what}: ${wide} pixels too wide`);
  };
  for (const fold of await page.locator('details:not([open]) > summary').all())
    if (await fold.isVisible()) await fold.click();
  await look(UNFOLDED);
  for (const tab of await page.getByRole('tab').all()) {
    await tab.click();
    await look(`tab ${await tab.innerText()}`);
  }
  const openers = page.locator(
    'main :is([aria-haspopup]:not([aria-haspopup="listbox"]), [role="combobox"]):enabled',
  );
  const names = new Set<string>();
  for (let i = 0; i < (await openers.count()); i++) {
    const opener = openers.nth(i);
    // On a phone the list is a page of its own.
    if (!(await opener.isVisible())) continue;
    const name = `${await opener.getAttribute('role')} ${(await opener.getAttribute('aria-haspopup')) ?? ''}`;
    // one choice of each sort stands for its like; every panel and menu is opened
    if (name.startsWith('combobox') && names.has(name)) continue;
    names.add(name);
    await opener.click();
    await look(`opened ${await opener.innerText()}`);
    await page.keyboard.press('Escape');
  }
  return faults;
}

for (const path of [
  '/combos/flood-4',
  '/combos',
  '/sessions/three-groups',
  '/sessions/three-groups/sheet',
  '/sessions/calendar',
  '/moves/round',
  '/moves/numbers',
  '/gym',
  '/gym/sound',
  '/gym/voice',
  '/gym/lab',
  '/gym/keep',
  '/fighters/ines',
]) {
  test(`axe finds nothing with everything opened on ${path}, light on a laptop and dark on a phone`, async ({
    page,
    request,
  }) => {
    await request.put('/api/gym/notice', { data: { accepted: true } });
    await page.goto(path);
    await expect(page.getByRole('main')).not.toBeEmpty();
    await page.waitForLoadState('networkidle');
    expect(await openEverything(page, 'laptop')).toEqual([]);
    await page.setViewportSize(SIZES.tablet);
    expect(await tooWide(page)).toBe(0);
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.setViewportSize(SIZES.phone);
    expect(await openEverything(page, 'phone')).toEqual([]);
  });
}

test('axe finds nothing with faults shown, in any form', async ({ page, request }) => {
  await request.put('/api/gym/notice', { data: { accepted: true } });
  for (const [path, spoil, reported] of [
    ['/combos/new', { 'Beat line': '1-2 nonsense' }, /nonsense/],
    ['/combos/new', { 'Beat line': '1-2', 'Beats in a bar': '99' }, /The bar is a whole number/],
    ['/moves/new', { 'Out, seconds': 'soon' }, /Out|name|code/i],
    ['/fighters/new', { Name: '', 'Height, cm': 'tall' }, /name|height/i],
    ['/sessions/new', { 'Beats a minute': '99999999', 'Times each combo': '-' }, /not saved/],
    ['/gym', { 'Room for one fighter, steps each way': 'wide' }, /number/i],
  ] as const) {
    await page.setViewportSize(SIZES.laptop);
    await page.goto(path);
    for (const [label, text] of Object.entries(spoil))
      await page.getByLabel(label, { exact: true }).first().fill(text);
    const save = page.getByRole('button', { name: /^(Save|Take in)/ }).first();
    if (await save.isEnabled()) await save.click();
    await expect(page.getByText(reported).first()).toBeVisible();
    for (const size of [SIZES.laptop, SIZES.phone]) {
      await page.setViewportSize(size);
      expect([path, await tooWide(page), await faultsOf(page)]).toEqual([path, 0, []]);
    }
  }
});
