import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';

/** A coach plans towards a grading: its day, the weeks to it, a class from one of them, and who takes care. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}

test('a grading is planned, a season leads to it, and its classes are drafted', async ({ page }) => {
  await open(page, '/sessions/calendar');
  await page.getByLabel('Grading', { exact: true }).fill('Flood to Spring');
  await page
    .getByRole('group', { name: /^Who is tested/ })
    .getByLabel('Flood')
    .check();
  await page.getByRole('button', { name: 'Plan it with 3 candidates' }).click();
  const candidates = page.getByRole('list', { name: 'Candidates of Flood to Spring' });
  await expect(candidates).toContainText('Radek Ilić for Spring');
  await expect(candidates).toContainText(/lacks .+; \d+ classes left/);
  await page.getByRole('link', { name: 'Season', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To the next grading' })).toBeVisible();
  await page.getByLabel('Title').fill('Spring, at last');
  await choose(page.getByLabel('To the grading'), 'Flood to Spring');
  await page.getByRole('group', { name: 'Who trains in it' }).getByLabel('Flood').check();
  await page.getByRole('button', { name: 'Plan the season' }).click();
  await expect(page.getByRole('heading', { name: 'Spring, at last' })).toBeVisible();
  const weeks = page.getByRole('row');
  await expect(weeks.last()).toContainText('grading');
  const first = weeks.nth(1);
  await expect(first).toContainText(/New: Flood|Again: Flood/);
  await first.getByRole('button', { name: 'Draft it' }).click();
  await expect(first).toContainText(/min work, \d+ strikes/);
  await first.getByRole('button', { name: 'Change' }).click();
  await choose(first.getByLabel('Kind of week'), 'lighter');
  await expect(first).toContainText('A lighter week');
  await first.getByLabel('Theme of this week').fill('knees, moonwalk');
  await first.getByLabel('Theme of this week').blur();
  await expect(first).toContainText('Nothing in this gym fits “moonwalk”: drafts leave it out.');
  const before = await weeks.count();
  await page.getByRole('button', { name: 'Change days, classes or grades' }).click();
  const change = page.getByRole('region', { name: 'Change the season' });
  await expect(change.getByLabel('Title')).toHaveValue('Spring, at last');
  await choose(change.getByLabel('To the grading'), 'none: to a day');
  await change.getByLabel('Until').click();
  const month = page.getByRole('dialog', { name: 'Until' });
  await month.getByRole('button', { name: /next month/i }).click();
  await month.getByRole('button', { name: /^28, / }).click();
  await change.getByRole('button', { name: 'Save the season' }).click();
  await expect(change).toBeHidden();
  await expect.poll(() => weeks.count()).toBeGreaterThan(before);
  await expect(first).toContainText('moonwalk');
  await first.getByRole('link', { name: /18:30$/ }).click();
  await expect(page.getByText(/in all$/)).toBeVisible();
  await page.getByRole('tab', { name: 'Check' }).click();
  await expect(page.getByText('both sides and children’s limits look right')).toBeVisible();
});

test('who takes care is told for each round, with what is done instead', async ({ page }) => {
  await open(page, '/fighters/radek');
  await page
    .getByRole('button', { name: /Entry|Change/ })
    .first()
    .click();
  await page.getByLabel('No contact to the head').check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect
    .poll(async () => (await (await page.request.get('/api/fighters/radek')).json()).care?.noHeadContact)
    .toBe(true);
  await page.goto('/sessions/new');
  await page.getByRole('button', { name: 'Draft for me' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Flood').check();
  const drafted = sheet.getByRole('list', { name: 'Drafted rounds' });
  await expect(drafted).toContainText(/Radek Ilić: no contact to the head: .* instead of/);
  await sheet.getByRole('button', { name: /^Another one/ }).click();
  await sheet.getByRole('button', { name: /^Take it/ }).click();
  await page.getByRole('tab', { name: 'Check' }).click();
  await expect(page.getByRole('list', { name: 'Who takes care' })).toContainText('no contact to the head');
});
