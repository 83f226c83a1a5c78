import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';

/** What holds everywhere: the gym's ways, who may train, going anywhere by name, and a server that is away. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const json = async (page: Page, path: string) => (await page.request.get(`/api/${path}`)).json();

test('what the gym says of itself decides what is found in a line', async ({ page }) => {
  const { school } = await json(page, 'gym');
  await open(page, '/combos/new');
  await page.getByLabel('Beat line').fill('f:high 2 r:round 1');
  const says = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'What limits the speed' }) });
  const fastest = async (): Promise<number> =>
    (
      await (
        await page.request.post('/api/combos/analyse', { data: { line: 'f:high 2 r:round 1', lead: 'left' } })
      ).json()
    ).fastestBpm;
  const before = await fastest();
  await expect(says).not.toContainText('ribs');
  await open(page, '/gym');
  await choose(page.getByLabel('High block with the front arm'), 'avoided: it opens the ribs');
  await choose(page.getByLabel('End of a strike'), 'drives through');
  await page.getByLabel('Room for one fighter, steps each way').fill('nought');
  await page.getByRole('button', { name: 'Save' }).first().click();
  await expect(page.getByText('The floor goes from 0.5 to 50 steps.')).toBeVisible();
  await page.getByLabel('Room for one fighter, steps each way').fill('2.5');
  await page.getByRole('button', { name: 'Save' }).first().click();
  await expect(page.getByText('The gym’s ways are saved.')).toBeVisible();
  expect(await fastest()).toBeLessThan(before);
  await page.goto('/combos/new');
  await expect(page.getByLabel('Beat line')).toContainText('f:high 2');
  await expect(says).toContainText('ribs');
  await page.request.put('/api/gym/school', { data: school });
});

test('who is not fit to train is reported everywhere, and joins no run until the mark is lifted', async ({
  page,
}) => {
  await open(page, '/fighters/emeka');
  await page.getByRole('button', { name: 'Mark as not fit to train' }).click();
  await page.getByRole('button', { name: 'Mark as not fit', exact: true }).click();
  await expect(page.getByText('The reason is plain text of 1 to 200 characters')).toBeVisible();
  await page.getByLabel('Why not').fill('Sprained ankle');
  await page.getByLabel('Who says so').fill('Ama');
  await page.getByRole('button', { name: 'Mark as not fit', exact: true }).click();
  await expect(page.getByText('Not fit to train: Sprained ankle · said by Ama')).toBeVisible();
  await page.goto('/floor');
  await expect(page.getByRole('button', { name: /^Emeka Roux/ })).toBeDisabled();
  const refused = await page.request.put('/api/runs/with-emeka', {
    data: { sessionId: 'first-steps', fighterIds: ['emeka'], startedAt: new Date().toISOString() },
  });
  expect([refused.status(), (await refused.json()).message]).toEqual([
    422,
    expect.stringContaining('Emeka Roux cannot join: marked not fit to train.'),
  ]);
  await page.goto('/fighters/emeka');
  await page.getByRole('button', { name: 'Lift the mark' }).click();
  await page.getByLabel('What lets this fighter train again').fill('Walks without pain');
  // Whoever said it last on this device is asked only once.
  await expect(page.getByLabel('Who says so')).toHaveValue('Ama');
  await page.getByRole('dialog').getByRole('button', { name: 'Lift the mark' }).click();
  await expect(page.getByText(/^Not fit to train:/)).toBeHidden();
  await expect(page.getByText('Fit again: Walks without pain · said by Ama')).toBeVisible();
  await page.goto('/floor');
  await expect(page.getByRole('button', { name: /^Emeka Roux/ })).toBeEnabled();
});

test('anything is gone to by its name, and the keys of a page are reported', async ({ page }) => {
  await open(page, '/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('a room, combo, session or fighter').fill('tomasz');
  await expect(page.getByRole('option', { name: 'Tomasz Brandt' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/fighters\/tomasz$/);
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('a room, combo, session or fighter').fill('nothing at all');
  await expect(page.getByText('Nothing is called that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('/combos/flood-4');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('move the pin by a quarter beat');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('an own move is written, and lines know it at once, by its code and by another word', async ({
  page,
}) => {
  await open(page, '/moves/new');
  await page.getByLabel('Name', { exact: true }).fill('Scoop kick');
  await page.getByLabel('Spoken, long').fill('scoop kick');
  await page.getByLabel('Spoken, short').fill('scoop');
  await page.getByLabel('Other words, one on a line').fill('löffel');
  await page
    .getByRole('button', { name: /^(Save|Put it in)/ })
    .first()
    .click();
  await expect(page.getByText('A code is 1 to 24 small letters, such as jab.')).toBeVisible();
  await page.getByLabel('Code, as lines write it').fill('scoop');
  for (const label of ['Part 1', 'Cue of part 1'])
    await page.getByLabel(label, { exact: true }).fill('Lift the knee');
  await page
    .getByRole('button', { name: /^(Save|Put it in)/ })
    .first()
    .click();
  await expect(page.getByText('Scoop kick is saved.')).toBeVisible();
  await page.goto('/combos/new');
  await page.getByLabel('Beat line').fill('1 löffel');
  await expect(page.getByRole('region', { name: 'Read as' })).toContainText('1 scoop');
  await page.getByLabel('Beat line').press('ControlOrMeta+a');
  await page.keyboard.insertText('1 scoop');
  await expect(page.getByRole('group', { name: /scoop kick/ })).toBeVisible();
  await page.request.delete('/api/moves/scoop');
});

test('while the server is away nothing is lost, and it is kept when it is back', async ({ page }) => {
  await open(page, '/sessions/first-steps');
  const word = (): Promise<string> => json(page, 'sessions/first-steps').then((session) => session.word);
  await page.route('**/api/sessions/first-steps?*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Word of the day').fill('ebb tide');
  await expect(page.getByText('1 session waits for the server')).toBeVisible();
  expect(await word()).not.toBe('ebb tide');
  await page.unroute('**/api/sessions/first-steps?*');
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible({ timeout: 15_000 });
  expect(await word()).toBe('ebb tide');
  await page.getByLabel('Word of the day').fill('');
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
});
