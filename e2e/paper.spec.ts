import { expect, test } from './test.ts';

/** What is printed, and how dates are written. */
test.beforeEach(({ request }) => request.put('/api/gym/notice', { data: { accepted: true } }));

test('a class sheet has everybody’s name with boxes to tick, before anybody is ticked', async ({ page }) => {
  await page.goto('/sessions/three-groups/sheet');
  const names = page.getByRole('table', { name: 'Who is here' });
  await expect(page.getByRole('heading', { name: 'At the door' })).toBeVisible();
  await expect(names).toBeHidden();
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  await expect(names).toBeVisible();
  const { items } = await (await page.request.get('/api/fighters')).json();
  await expect(names.getByRole('row')).toHaveCount(items.length + 1);
  // Paper is white, whatever the screen is.
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe(
    'rgb(255, 255, 255)',
  );
  const ink = await names
    .getByRole('rowheader')
    .first()
    .evaluate((name) => getComputedStyle(name).color);
  expect(ink).toBe('rgb(0, 0, 0)');
});

test('reports of a class are one page of paper each', async ({ page }) => {
  await page.goto('/fighters/class/reports');
  await expect(page.getByRole('article').first()).toBeVisible();
  const reports = await page.getByRole('article').count();
  const paper = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(paper.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(reports);
});

test('dates, the clock and the first day of the week are as the gym has them', async ({ page }) => {
  const gym = await (await page.request.get('/api/gym')).json();
  const ways = { dayOrder: 'month-first', clock: '12', weekBegins: 'sunday' };
  const put = (school: object): Promise<unknown> => page.request.put('/api/gym/school', { data: school });
  try {
    await put({ ...gym.school, ...ways });
    await page.goto('/sessions/calendar');
    await expect(page.getByRole('columnheader').first()).toHaveText('Sun');
    await page.goto('/sessions/three-groups');
    await expect(page.getByRole('navigation', { name: 'Sessions' })).toContainText(
      /[A-Z][a-z]{2} \d+ 6:30 pm/,
    );
    await page.goto('/gym');
    await expect(page.getByLabel('The clock has')).toHaveText('12 hours');
  } finally {
    await put(gym.school);
  }
});
