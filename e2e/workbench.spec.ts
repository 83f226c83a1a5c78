import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';

/** The workbench tells what a body cannot do, teaches, and lets the line be changed on its strip. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const lineOf = (page: Page) => page.getByLabel('Beat line');

test('a line that a body cannot do at its tempo is reported in the list, in the text and on the strip', async ({
  page,
}) => {
  await open(page, '/combos/new');
  await lineOf(page).click();
  await page.keyboard.type('1 2 r:round-2');
  const findings = page.getByRole('list', { name: 'Findings' });
  await page.getByLabel('Beats a minute').fill('110');
  await expect(findings).toContainText('110 a minute is too fast from the round kick to the cross');
  await expect(page.locator('.cm-lintRange-warning')).toHaveText(/r:round-2/);
  await expect(page.getByText('0.52 s', { exact: true })).toBeVisible();
  await page.getByLabel('Beats a minute').fill('50');
  await expect(page.getByText(/too fast/)).toBeHidden();
});

test('a rule can be muted for the gym, and turned on again', async ({ page }) => {
  await open(page, '/combos/new');
  await lineOf(page).click();
  await page.keyboard.type('2 f:hookkick');
  const finding = page.getByText(/turn the hips the same way/);
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: /Mute .same-turn-twice/ }).click();
  await expect(finding).toBeHidden();
  await page.goto('/gym');
  const rule = page.getByLabel('the hips turn the same way twice');
  await expect(rule).not.toBeChecked();
  await rule.check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The gym’s ways are saved.')).toBeVisible();
});

test('a pin is moved by keys and by dragging, and undo brings the line back', async ({ page }) => {
  await open(page, '/combos/new');
  await lineOf(page).click();
  await page.keyboard.type('1 2 3');
  const pin = (n: number) =>
    page
      .getByRole('group', { name: /From the left lead/ })
      .getByRole('button')
      .nth(n);
  await pin(1).focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(lineOf(page)).toHaveText('1:5/4 2:3/4 3');
  await page.keyboard.press('Alt+ArrowDown');
  await expect(lineOf(page)).toHaveText('1:5/4 2@b:3/4 3');
  const box = (await pin(2).locator('circle').first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 70, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(lineOf(page)).not.toHaveText('1:5/4 2@b:3/4 3');
  await lineOf(page).click();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Control+z');
  await expect(page.getByRole('list', { name: 'Faults' })).toContainText('The line is empty');
});

test('a combo is made easier for a grade, copied, saved, and an older version brought back', async ({
  page,
}) => {
  await open(page, '/combos/flood-4');
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('heading', { name: 'Low gate, knee through, again' })).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^Flood \d+ is saved\.$/)).toBeVisible();
  const teach = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Teach it' }) });
  await choose(teach.getByLabel('for'), 'Ebb');
  await expect(teach).toContainText('The knee is left out.');
  await teach.getByText('The knee is left out.').locator('..').getByRole('button', { name: 'Take' }).click();
  await expect(lineOf(page)).not.toContainText('knee');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Before now' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(lineOf(page)).toContainText('knee');
});

test('a new line is made for a grade, taken, and saved; a harder form of it is kept', async ({ page }) => {
  await open(page, '/combos');
  await page.getByRole('button', { name: 'New lines for a grade' }).click();
  const sheet = page.getByRole('dialog', { name: 'New lines for a grade' });
  await choose(sheet.getByLabel('Grade'), 'Slack');
  await choose(sheet.getByLabel('With'), 'Knee');
  const lines = sheet.getByRole('list', { name: 'New lines' }).getByRole('listitem');
  await expect(lines.first()).toContainText('Works the rear leg, which does 1 of 16 strikes');
  await expect(lines.first()).toContainText('knee');
  const line = (await lines.first().locator('code').textContent())!;
  await sheet.getByRole('button', { name: 'Other ones' }).click();
  await expect(lines.first().locator('code')).not.toHaveText(line);
  await sheet.getByLabel('Beats a minute').fill('290');
  await expect(sheet).toContainText('makes no new line like that');
  await sheet.getByLabel('Beats a minute').fill('76');
  const taken = (await lines.first().locator('code').textContent())!;
  await lines.first().getByRole('button', { name: 'Take' }).click();
  await expect(lineOf(page)).toHaveText(taken);
  await page.getByLabel('Title').fill('From the quay');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^Slack \d+ is saved\.$/)).toBeVisible();

  const harder = page.getByRole('list', { name: 'Harder, one thing at a time' }).getByRole('listitem');
  await harder.first().getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('From the quay, harder');
  await expect(lineOf(page)).not.toHaveText(taken);
});

test('codes and numbers are offered with their names while typing', async ({ page }) => {
  await open(page, '/combos/new');
  await lineOf(page).click();
  await page.keyboard.type('1 spin');
  const offered = page.getByRole('listbox');
  await expect(offered).toContainText('spinhook');
  await expect(offered).toContainText('spinning hook kick');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(lineOf(page)).toHaveText(/^1 spin\w+$/);
});

test('a changed number shows the lines it touches and writes them anew', async ({ page }) => {
  await open(page, '/moves/numbers');
  const numbers = page.getByLabel('Number', { exact: true });
  await numbers.nth(0).fill('2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('2 stands for jab already.')).toBeVisible();
  await numbers.nth(1).fill('1');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('list', { name: 'Lines that change' })).toContainText('Ebb 1');
  await page.getByRole('button', { name: 'Write them anew' }).click();
  await expect(page.getByText('The number map is saved.')).toBeVisible();
  await page.goto('/combos/ebb-1');
  await expect(lineOf(page)).toHaveText('2 1');
});
