import { expect, test, type Page } from './test.ts';

/** Nothing asks "are you sure?": what is taken out comes back whole when Undo is pressed. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const undo = (page: Page, said: string) =>
  page.getByRole('listitem').filter({ hasText: said }).getByRole('button', { name: 'Undo' }).click();
const json = async (page: Page, path: string) => (await page.request.get(`/api/${path}`)).json();

test('a session comes back with who was ticked at the door; one that was held stays', async ({ page }) => {
  const { id: _, version: __, ...session } = await json(page, 'sessions/knees-behind-the-cross');
  await page.request.put('/api/sessions/to-go', { data: { ...session, title: 'To go' } });
  const present = [{ fighterId: 'sanne', from: 0, until: null, ticked: [] }];
  await page.request.put('/api/sessions/to-go/sheet', { data: { present, size: 2, rotations: 3 } });
  const before = await json(page, 'sessions/to-go');
  await open(page, '/sessions/to-go');
  await page.getByRole('button', { name: 'Remove session' }).click();
  await expect(page.getByRole('navigation', { name: 'Sessions' }).getByText('To go')).toBeHidden();
  expect((await page.request.get('/api/sessions/to-go')).status()).toBe(404);
  await undo(page, '“To go” is taken out.');
  await expect(page.getByRole('heading', { name: 'To go' })).toBeVisible();
  expect(await json(page, 'sessions/to-go')).toEqual(before);
  expect((await json(page, 'sessions/to-go/sheet')).present).toEqual(present);

  await open(page, '/sessions/first-steps');
  await page.getByRole('button', { name: 'Remove session' }).click();
  await expect(page.getByText('This session has been held, and its log belongs to it.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /First steps/ })).toBeVisible();
});

test('a combo comes back as it was saved, with what was being written', async ({ page }) => {
  await open(page, '/combos/spring-1');
  const before = await json(page, 'combos/spring-1');
  await page.getByLabel('Notes').fill('Half a thought');
  await page.getByRole('button', { name: 'Take out of the book' }).click();
  await expect(page).toHaveURL(/\/combos\/(?!spring-1)/);
  await undo(page, 'is out of the book.');
  await expect.poll(async () => (await page.request.get('/api/combos/spring-1')).status()).toBe(200);
  const after = await json(page, 'combos/spring-1');
  expect({ ...after, updatedAt: before.updatedAt }).toEqual(before);
  await page.goto('/combos/spring-1');
  await expect(page.getByLabel('Notes')).toHaveValue('Half a thought');
});

test('a round goes back to its place, and what was done since stays', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Put back');
  await page.getByRole('button', { name: 'Add shadow' }).click();
  const rounds = page.getByRole('region', { name: 'Rounds' });
  await rounds.getByRole('button', { name: /^Pads/ }).click();
  await rounds.getByRole('button', { name: 'Take out' }).click();
  await page.getByRole('button', { name: 'Add shadow' }).click();
  await undo(page, '“Pads” is taken out.');
  await expect(rounds.getByRole('button', { name: /^(Pads|Shadow)/ })).toHaveText([
    /^Pads/,
    /^Shadow/,
    /^Shadow/,
  ]);
});

test('a move that is needed is retired, and comes back', async ({ page }) => {
  await open(page, '/moves/weave');
  await page.getByRole('button', { name: /Take out|Retire/ }).click();
  await expect(page.getByText(/is retired, not gone: used by/)).toBeVisible();
  const weave = async () =>
    (await json(page, 'moves')).items.find((move: { code: string }) => move.code === 'weave');
  expect((await weave()).retired).toBe(true);
  await undo(page, 'is retired, not gone');
  await expect.poll(async () => (await weave()).retired).toBe(false);
});

test('a theme comes back to its days', async ({ page }) => {
  await page.request.put('/api/themes/gone', {
    data: { title: 'Low kicks', from: '2030-01-07', until: '2030-01-13' },
  });
  await open(page, '/sessions/calendar');
  const themes = page.getByRole('list', { name: 'Themes' });
  const theme = themes.getByRole('listitem').filter({ hasText: 'Low kicks' });
  await theme.getByRole('button', { name: /Take/ }).click();
  await expect(theme).toBeHidden();
  await undo(page, '“Low kicks” is taken out.');
  await expect(theme).toBeVisible();
});
