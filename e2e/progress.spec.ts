import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';
import { openPart } from './openParts.ts';

/** A fighter whose trials are given, so that what the page says is known. */
async function fighterWith(page: Page, id: string, days: readonly (readonly number[])[]): Promise<void> {
  const name = `Story ${id}`;
  const fighter = { name, gradeId: 'ebb', lead: 'left', note: '', fit: true };
  expect((await page.request.put(`/api/fighters/${id}`, { data: fighter })).ok()).toBe(true);
  for (const [i, values] of days.entries())
    for (const [j, said] of values.entries()) {
      const at = new Date(Date.now() - (days.length - i) * 7 * 86_400_000 + j * 60_000).toISOString();
      const trial = {
        fighterId: id,
        testId: 'two-straights',
        lead: 'left',
        instants: [],
        said,
        measured: 'partner',
      };
      const { status } = await page.request
        .put(`/api/attempts/${id}-${i}-${j}`, { data: { ...trial, at } })
        .then((answer) => ({ status: answer.status() }));
      expect(status).toBe(200);
    }
}

/** Other stories find the gym as it was. */
test.afterEach(async ({ request }) => {
  for (const id of ['gain', 'plateau', 'lucky', 'goal']) await request.delete(`/api/fighters/${id}?sure=yes`);
  const sanne = await (await request.get('/api/fighters/sanne/log')).json();
  const { name, lead, note, fit, height, apart } = sanne.fighter;
  const data = { name, lead, note, fit, height, apart, gradeId: 'ebb' };
  expect((await request.put('/api/fighters/sanne', { data })).ok()).toBe(true);
});

test.beforeEach(({ request }) => request.put('/api/gym/notice', { data: { accepted: true } }));

test('a real gain, a plateau and one lucky best are told apart, with their trials', async ({ page }) => {
  const calm = [[22, 23], [23, 22], [22, 22], [23, 23], [22, 23], [23, 22], [22, 23]]; // prettier-ignore
  await fighterWith(page, 'gain', [...calm, [27, 28], [28, 27], [27, 28]]);
  await fighterWith(page, 'plateau', [...calm, [23, 22], [22, 23], [23, 23]]);
  await fighterWith(page, 'lucky', [...calm, [22, 29]]);
  await page.goto('/fighters/gain');
  await expect(
    page.getByText(
      /^▲ left lead: Clear change for the better: 27\.5 strikes in 10 s over 6 trials, against 22\.5/i,
    ),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /Two straights, left lead: 20 trials, best 28/ })).toBeVisible();
  await page.getByRole('button', { name: 'Show the trials as text' }).click();
  await expect(page.getByRole('cell', { name: '27, 28' }).first()).toBeVisible();
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Table' }).click(),
  ]);
  expect(table.suggestedFilename()).toBe('Story gain Two straights.csv');
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Picture' }).click(),
  ]);
  expect(picture.suggestedFilename()).toMatch(/\.png$/);
  await page.goto('/fighters/plateau');
  await expect(page.getByText(/left lead: No real change/i)).toBeVisible();
  await page.goto('/fighters/lucky');
  await expect(page.getByText(/a single trial makes the difference/).first()).toBeVisible();
  await page.goto('/fighters/gain');
  await openPart(page, 'All that these trials say');
  await expect(page.getByText(/Compared with the time before/)).toBeVisible();
});

test('a page about a fighter begins with the answer, and keeps the rest closed', async ({ page }) => {
  for (const { id } of (await (await page.request.get('/api/fighters')).json()).items) {
    await page.goto(`/fighters/${id}`);
    await expect(page.getByText('What changed')).toBeVisible();
    await expect(page.getByText('What next')).toBeVisible();
    const words = (await page.getByRole('main').innerText()).split(/\s+/).filter(Boolean);
    expect({ id, words: words.length }).toEqual({ id, words: expect.any(Number) });
    expect(words.length).toBeLessThanOrEqual(350);
  }
  await page.goto('/fighters/tomasz');
  await expect(page.getByRole('definition').nth(1)).toContainText(/The right lead is behind by 2\d %/);
});

test('a grade: the check list fills itself, the coach marks one thing, two examiners mark, a coach signs', async ({
  page,
}) => {
  await page.goto('/fighters/sanne');
  await expect(page.getByText('6 of 7 are there')).toBeVisible();
  await openPart(page, 'For Slack');
  await page.getByRole('link', { name: 'Check list and sheet' }).click();
  await expect(page.getByText(/clean, right lead, 76 a minute/).first()).toBeVisible();
  // Nobody signs without a name.
  await page.getByRole('button', { name: 'Sign: Slack' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('Coach, who signs').fill('Ama Holloway');
  await page.getByRole('textbox', { name: 'Second examiner' }).fill('Ben Tarkine');
  await page.getByRole('button', { name: 'I saw it' }).click();
  await expect(page.getByText('7 of 7 are there')).toBeVisible();
  await expect(page.getByText(/seen by Ama Holloway/).first()).toBeVisible();
  for (const mark of await page.getByRole('button', { name: /examiner: not marked/ }).all())
    await mark.focus();
  const marks = page.getByRole('button', { name: /examiner: not marked/ });
  for (let left = await marks.count(); left > 0; left--) await marks.first().click();
  await expect(page.getByText('7 of 7 passed')).toBeVisible();
  await page.getByRole('button', { name: 'Sign: Slack' }).click();
  await expect(page.getByText(/Slack, passed\. Signed by Ama Holloway with Ben Tarkine/)).toBeVisible();
  await expect(page.getByText('Slack now', { exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Sanne Ibarra: for Flood' })).toBeVisible();
});

test('a grade is not passed by accident, and can be taken back', async ({ page }) => {
  await page.goto('/fighters/dario/grade');
  await page.getByLabel('Coach, who signs').fill('Ama Holloway');
  await page.getByRole('button', { name: 'Sign: Slack' }).click();
  await expect(page.getByRole('alert')).toContainText('There is no second examiner.');
  await expect(page.getByRole('alert')).toContainText('Not shown by the log: Names the gym’s eight numbers');
  await page.getByLabel('Why you pass Slack anyway').fill('Ben saw the rest on Tuesday.');
  await page.getByRole('button', { name: 'Sign: Slack' }).click();
  await expect(page.getByText('Slack now', { exact: true })).toBeVisible();
  await expect(page.getByText(/Passed although the sheet was not complete: Ben saw the rest/)).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).first().click();
  await page.getByLabel('Who takes it back').fill('Ama Holloway');
  await page.getByLabel('Why', { exact: true }).fill('The wrong sheet');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Ebb now', { exact: true })).toBeVisible();
  await expect(page.getByText(/^Taken back on .* by Ama Holloway: The wrong sheet/)).toBeVisible();
});

test('combos are asked with one press for all and exceptions by name, and are due again in time', async ({
  page,
}) => {
  await page.goto('/fighters/memory');
  await choose(page.getByLabel('Grade'), 'Ebb');
  await page
    .getByRole('group', { name: /^Ebb 3 · .*everybody/ })
    .getByRole('button', { name: 'Recalled' })
    .click();
  const emeka = page.getByRole('group', { name: /^Ebb 3 · .*Emeka Roux/ });
  await expect(emeka.getByRole('button', { name: 'Recalled' })).toHaveAttribute('aria-pressed', 'true');
  await emeka.getByRole('button', { name: 'Forgot' }).click();
  const ofCombo = async (who: string) => {
    const { items } = await (await page.request.get(`/api/progress/memory?who=${who}`)).json();
    return items.find(({ combo }: { combo: string }) => combo === 'Ebb 3')?.last;
  };
  await expect.poll(() => ofCombo('emeka')).toBe('forgot');
  await expect.poll(() => ofCombo('dario')).toBe('recalled');
  await page.goto('/fighters/emeka');
  await openPart(page, 'Remembers');
  await expect(page.getByRole('listitem').filter({ hasText: /^Ebb 3 asked.*forgotten/ })).toBeVisible();
});

test('at the end of a class its combos are asked, and the log keeps the answers', async ({ page }) => {
  const at = new Date().toISOString();
  const data = { sessionId: 'knees-behind-the-cross', fighterIds: ['ines', 'suda'], startedAt: at };
  await page.request.put('/api/runs/asked', { data });
  const { rounds } = await (await page.request.get('/api/runs/asked')).json();
  const skip = { kind: 'skip', round: rounds.length, running: false, at };
  await page.request.put('/api/runs/asked/events/start', {
    data: { kind: 'start', round: 0, position: 0, at },
  });
  await page.request.put('/api/runs/asked/events/skip', { data: skip });
  await page.goto('/floor/asked');
  await expect(page.getByText('That was the session')).toBeVisible({ timeout: 60_000 });
  const asked = page.getByRole('region', { name: 'Who still has them?' });
  await asked
    .getByRole('group', { name: /^Slack 2 · .*everybody/ })
    .getByRole('button', { name: 'With help' })
    .click();
  const suda = asked.getByRole('group', { name: /^Slack 2 · .*Suda Lindqvist/ });
  await suda.getByRole('button', { name: 'Recalled' }).click();
  const last = async (who: string) => {
    const { items } = await (await page.request.get(`/api/progress/memory?who=${who}`)).json();
    return items.find(({ combo }: { combo: string }) => combo === 'Slack 2')?.last;
  };
  await expect.poll(() => last('ines')).toBe('with-help');
  await expect.poll(() => last('suda')).toBe('recalled');
  await page.getByRole('button', { name: 'Close the session' }).click();
  await expect(page.getByRole('heading', { name: 'Fighters' })).toBeVisible();
});

test('a goal is set in the page and stands against the trend', async ({ page }) => {
  await fighterWith(page, 'goal', [[20, 20], [21, 21], [22, 22], [23, 23], [24, 24]]); // prettier-ignore
  await page.goto('/fighters/goal');
  await openPart(page, 'Goals');
  await page.getByRole('button', { name: 'Set a goal' }).click();
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('How many, or seconds').fill('30');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByText('Two straights, left lead: 30')).toBeVisible();
  await expect(page.getByText(/On the way: .* on that day by the trend/)).toBeVisible();
});

test('what the log says leads to doing something about it', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Clear change for the better').first()).toBeVisible();
  await page.getByRole('link', { name: 'Put it into a session' }).first().click();
  await expect(page.getByLabel('Beats a minute').first()).toHaveValue(/^\d+$/);
  await expect(page.getByText(/For \d+ fighters who may do it: \d+ bpm/)).toBeVisible();
});

test('a test day: who takes part, a session from what is asked, a sheet for each', async ({ page }) => {
  await page.goto('/fighters/test-day/flood');
  await expect(page.getByRole('region', { name: /^Sheet of/ })).toHaveCount(3);
  await page.getByRole('button', { name: /^Mbali Serrano/ }).click();
  await expect(page.getByRole('region', { name: /^Sheet of/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Make its session' }).click();
  await expect(page.getByLabel('Title').first()).toHaveValue('Test day: Flood');
  await expect(page.getByRole('button', { name: /Two straights/ }).first()).toBeVisible();
});

test('what a grade asks for is written by the gym', async ({ page }) => {
  await page.goto('/gym/requirements/minnows');
  await choose(page.getByLabel('Add', { exact: true }), 'something shown or known');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('In the gym’s own words').fill('Lines up without being told');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('What Minnows asks for is saved.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('In the gym’s own words')).toHaveValue('Lines up without being told');
});

test('a report is one page of plain words, and names nobody else', async ({ page }) => {
  await page.goto('/fighters/sanne/report');
  await expect(
    page.getByText(
      /^Ebb 2, left lead\. Clear change for the better: 1\.3\d s over \d+ trials, against 1\.[45]\d s over \d+ trials;/,
    ),
  ).toBeVisible();
  await page.goto('/fighters/tomasz/report');
  await expect(page.getByRole('heading', { name: 'What was trained' })).toBeVisible();
  await expect(page.getByText(/The right lead is behind by 2\d %/)).toBeVisible();
  const text = await page.getByRole('article').innerText();
  for (const other of ['Sanne', 'Mbali', 'Nuria', 'Emeka']) expect(text).not.toContain(other);
});
