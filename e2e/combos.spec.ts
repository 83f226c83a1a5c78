import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';
import { moveByKeys } from './moveByKeys.ts';

/** Forms of combos, the palette, the list, and what each grade trains. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const lineOf = (page: Page) => page.getByLabel('Beat line');

test('a form of a combo is kept, follows its parent, and goes its own way once edited', async ({ page }) => {
  await open(page, '/combos/flood-3');
  const teach = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Teach it' }) });
  await teach.getByText('every strike a touch').locator('..').getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/light form of Flood 3, follows its line/)).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^Flood \d+ is saved\.$/)).toBeVisible();
  await lineOf(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' 1');
  await expect(page.getByText(/light form of Flood 3, edited: it goes its own way/)).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/follows its line/)).toBeVisible();
});

test('a move is put on the strip from the palette, and the line loops until it is stopped', async ({
  page,
}) => {
  await open(page, '/combos/new');
  await page.getByRole('button', { name: /put jab$/ }).click();
  await page.getByRole('radio', { name: 'rear', exact: true }).click();
  await page.getByRole('button', { name: /put cross$/ }).click();
  await expect(lineOf(page)).toHaveText('1 2');
  await page.getByRole('button', { name: 'Loop is off' }).click();
  await page.getByRole('button', { name: /^Fast/ }).click();
  await expect(page.getByRole('button', { name: /Stop/ })).toBeVisible({ timeout: 30_000 });
  await page.waitForTimeout(9000); // far longer than twice through
  await page.getByRole('button', { name: /Stop/ }).click();
  await expect(page.getByRole('button', { name: /Hear it/ })).toBeVisible();
});

test('combos are narrowed by filters, and take another number by keyboard', async ({ page }) => {
  await open(page, '/combos/ebb-2');
  const list = page.getByRole('navigation', { name: 'Combos' });
  await list.getByText('More filters').click();
  await choose(list.getByLabel('Uses'), 'knees');
  await expect(list.getByRole('link', { name: /Knee behind/ })).toBeVisible();
  await expect(list.getByRole('link', { name: /Push away/ })).toBeHidden();
  await choose(list.getByLabel('Uses'), 'any moves');
  const numberOf = async (title: string): Promise<string> =>
    (await list.getByRole('link', { name: new RegExp(title) }).textContent())!.replace(/\D/g, '');
  expect([await numberOf('Round the post'), await numberOf('Push away')]).toEqual(['2', '3']);
  await list.getByRole('button', { name: 'Move Ebb 2 to another number' }).focus();
  await moveByKeys(page, 'ArrowDown');
  await expect.poll(() => numberOf('Round the post')).toBe('3');
  expect(await numberOf('Push away')).toBe('2');
});

test('what a grade trains is written with its counts, and tells its minutes', async ({ page }) => {
  await open(page, '/moves/grades/spring');
  const list = page.getByRole('list', { name: 'What Spring trains' });
  await choose(page.getByLabel('Add a move'), 'Round kick, rear');
  await list.getByLabel('Times').last().fill('0');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('The count is a whole number from 1 to 500 repetitions.')).toBeVisible();
  await list.getByLabel('Times').last().fill('30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('What Spring trains is saved.')).toBeVisible();
  await page.reload();
  await expect(list.getByRole('listitem')).toHaveCount(3);
});

test('a grade in use cannot be taken out, and says why', async ({ page }) => {
  await open(page, '/gym');
  await page.getByRole('button', { name: 'Take Slack out' }).click();
  await page.getByRole('button', { name: 'Save the grades' }).click();
  await expect(page.getByText(/Slack still has \d+ combos, \d+ fighters and \d+ moves/)).toBeVisible();
});

test('an easier form is kept in the grade that it is made for, and follows there', async ({ page }) => {
  await open(page, '/combos/slack-2');
  const teach = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Teach it' }) });
  await choose(teach.getByLabel('for'), 'Ebb');
  await teach
    .getByText(/The knee is left out/)
    .locator('..')
    .getByRole('button', { name: 'Keep' })
    .click();
  await expect(page.getByText(/easier form of Slack 2, follows its line/)).toBeVisible();
  await expect(page.getByLabel('Grade', { exact: true }).last()).toHaveText('Ebb');
});

test('a paste of ten thousand characters is reported what to do, and typing goes on', async ({ page }) => {
  await open(page, '/combos/new');
  await lineOf(page).fill('1 2 '.repeat(2500));
  await expect(page.getByRole('list', { name: 'Faults' })).toContainText(
    '400 is the most. Cut it into two combos.',
  );
  await lineOf(page).fill('1 2');
  await expect(page.getByRole('group', { name: /From the left lead/ })).toBeVisible();
});
