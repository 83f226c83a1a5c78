import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';

/** What is typed stays as it is typed, is undone, and never stops the page. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const status = (page: Page, text: RegExp) =>
  expect(page.getByRole('status').filter({ hasText: text })).toBeVisible();

test('numbers with a point or a comma are typed key by key', async ({ page }) => {
  await open(page, '/moves/new');
  const out = page.getByLabel('Out, seconds');
  await out.fill('');
  await out.pressSequentially('0.28');
  await expect(out).toHaveValue('0.28');
  await open(page, '/fighters/new');
  const height = page.getByLabel('Height, cm');
  await height.pressSequentially('171,5');
  await expect(height).toHaveValue('171,5');
  await page.getByLabel('Name').fill('Ama Lindqvist');
  await page.getByRole('button', { name: /^Save$|Take in/ }).click();
  await expect(page.getByRole('heading', { name: 'Ama Lindqvist' })).toBeVisible();
  const { items } = await (await page.request.get('/api/fighters')).json();
  expect(items.find((each: { name: string }) => each.name === 'Ama Lindqvist').height).toBe(171.5);
});

test('a block with nonsense in its fields is reported, drawn as empty, and mended', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Typed badly');
  const blocks = page.getByRole('list', { name: 'Blocks' });
  for (const [label, nonsense, right] of [
    ['Contact, percent', 'much, more', '0, 25'],
    ['Beats a minute', '99999999', '80'],
    ['Times each combo', '-', '4'],
  ] as const) {
    await page.getByLabel(label).fill(nonsense);
    await expect(page.getByLabel(label)).toHaveValue(nonsense);
    await status(page, /^not saved: /);
    await expect(page.getByRole('region', { name: 'Timeline' })).toBeVisible();
    await expect(page.getByText('NaN')).toHaveCount(0);
    await page.getByLabel(label).fill(right);
  }
  await status(page, /^saved$/);
  await choose(page.getByLabel('Add a block'), 'On the count: a move or line, so many on each side');
  await page.getByRole('button', { name: 'A group', exact: true }).click();
  await page.getByLabel('Group 1', { exact: true }).fill('Minnows');
  for (const nonsense of ['many', '999999999', '', '10']) {
    await page.getByLabel('Times of group 1').fill(nonsense);
    await expect(blocks).toBeVisible();
    await expect(page.getByText('NaN')).toHaveCount(0);
  }
  await status(page, /^saved$/);
});

test('a time shows what undo brings back', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Times');
  await page.getByRole('button', { name: 'Add shadow' }).click();
  const work = page.getByRole('list', { name: 'Blocks' }).getByLabel('Work');
  await expect(work).toHaveValue('2:00');
  await work.fill('3:3');
  await expect(work).toHaveValue('3:3');
  await work.fill('3:30');
  await work.blur();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(work).toHaveValue('2:00');
  await page.getByRole('button', { name: 'Redo' }).first().click();
  await expect(work).toHaveValue('3:30');
});

test('a combo without a tempo, or with an endless bar, is still a page', async ({ page }) => {
  await open(page, '/combos/new');
  await page.getByLabel('Beat line').fill('1-2 3');
  await page.getByLabel('Beats a minute').fill('');
  await expect(page.getByRole('button', { name: 'Slow' })).toBeDisabled();
  await page.getByLabel('Beats in a bar').fill('99999999');
  await page.getByLabel('Beats in a cycle').fill('0.0001');
  await expect(page.getByText('NaN')).toHaveCount(0);
  await expect(page.getByRole('group', { name: /From the left lead/ })).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The bar is a whole number from 1 to 12 beats.')).toBeVisible();
  await expect(page.getByLabel('Beats in a bar')).toHaveValue('99999999');
});
