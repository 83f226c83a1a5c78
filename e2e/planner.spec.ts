import { expect, test } from '@playwright/test';

/** Rounds of several blocks, lengths that follow from counts, and a session that fits the hour. */
test('a technique block is counted for two groups, and the session is fitted to its minutes', async ({
  page,
}) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/sessions/new');
  await page.getByLabel('Title').first().fill('Kicks and pads');
  await page
    .getByLabel('Add a block')
    .selectOption({ label: 'On the count: a move or line, so many on each side' });
  const blocks = page.getByRole('list', { name: 'Blocks' });
  await expect(blocks.getByRole('listitem')).toHaveCount(3);
  await page.getByLabel('Seconds each').fill('2');
  await page.getByLabel('Sets').fill('1');
  await page.getByLabel('Groups, such as Minnows 15, Ebb 25').fill('Minnows 10, Ebb 20');
  await expect(blocks.getByText('1:26')).toBeVisible(); // two sides of three seconds and twenty times two
  await page.getByLabel('Move or line').fill('rund');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/Did you mean round|rund/).first()).toBeVisible();
  await page.getByLabel('Move or line').fill('r:round');
  await page.getByLabel('Minutes of the class').fill('5');
  const proposed = page.getByRole('list', { name: 'Proposed changes' });
  await expect(proposed.getByRole('listitem')).not.toHaveCount(0);
  await page.getByRole('button', { name: /Take all/ }).click();
  await expect(page.getByText('It fits to the second.')).toBeVisible();
  await expect(page.getByText('5:00 in all')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('5:00 in all')).toBeHidden();
  await page.getByRole('button', { name: 'Redo' }).first().click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('“Kicks and pads” is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByRole('menuitem', { name: /Card/ }).click();
  await expect(page.getByRole('article')).toContainText('a qualified coach come first');
  await expect(page.getByRole('article')).toContainText('Round kick: 15 each side × 1');
});
