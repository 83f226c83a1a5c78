import { expect, test, type Page } from '@playwright/test';
import { choose } from './choose.ts';

/** What a coach would catch on the mat: what the body can do again and again, what is heard, and whose limits count. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
const idOf = (page: Page): string => new URL(page.url()).pathname.split('/').at(-1)!;
/** What is heard in a session, call by call, from its captions. */
async function heardIn(page: Page): Promise<string[]> {
  const vtt = await (await page.request.get(`/api/sessions/${idOf(page)}/calls.vtt`)).text();
  return vtt.split('\n').filter((line) => line !== '' && !/-->|^WEBVTT|^\d+$/.test(line));
}
async function write(page: Page, line: string): Promise<void> {
  await open(page, '/combos/new');
  await expect(page.getByRole('heading', { name: 'A new combo' })).toBeVisible();
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(line);
}

test('a lone kick has the tempo of its repeat, and no ladder goes beyond it', async ({ page }) => {
  await write(page, 'r:round');
  const tempo = page.getByText(/Fastest clean tempo at club pace, when it is repeated every 4 beats/);
  await expect(tempo).toBeVisible();
  await expect(page.getByText('clean up to 266')).toBeVisible();
  await expect(page.getByText('999')).toHaveCount(0);
  await page.getByLabel('Beats in a cycle').fill('1');
  await expect(page.getByText(/is the fastest clean tempo while it is repeated every/).first()).toBeVisible();
  const ladder = (await page.getByText(/a minute, clean up to \d+/).textContent())!;
  const [clean, ...rungs] = ladder.match(/\d+/g)!.map(Number).reverse();
  expect(clean).toBe(66);
  for (const rung of rungs) expect(rung).toBeLessThanOrEqual(clean!);
});

test('a side that changes nothing is told with what was meant, and a line that walks off with its room', async ({
  page,
}) => {
  await write(page, 'r:jab in-2');
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText('always done with the front side. Did you mean cross?');
  await expect(findings).toContainText('Ends 1 step forward of where it began.');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2> 2> 2> 2>');
  await expect(
    page.getByText('one step has to be done before the feet can move again').first(),
  ).toBeVisible();
});

test('each group does its own on one count, is told so once, and hears when it is done', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('One count, two groups');
  await choose(page.getByLabel('Add another round'), 'Technique');
  await page.getByLabel('Times', { exact: true }).fill('12');
  await page.getByLabel('Sets').fill('1');
  await page.getByLabel(/^Groups, such as/).fill('Minnows 6 f:push');
  await expect(page.getByText('Minnows 6 f:push').first()).toBeVisible();
  await saved(page);
  const heard = await heardIn(page);
  const from = heard.findIndex((text) => text.startsWith('round kick'));
  expect(heard[from + 1]).toBe('minnows, push kick');
  const done = heard.indexOf('minnows done');
  expect([heard[done - 1], heard[done + 1]]).toEqual(['six', 'seven']);
  expect(heard.filter((text) => text.startsWith('twelve'))).toHaveLength(2);
  await page.getByLabel(/^Groups, such as/).fill('Minnows 6 psh');
  await expect(page.getByText(/The move book has no/).first()).toBeVisible();
});

test('calls of a reaction have answers of their own, and the limits of children are told with their place', async ({
  page,
}) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Answers');
  await choose(page.getByLabel('Add another round'), 'Reactions');
  await page.getByRole('button', { name: 'Another call' }).click();
  await page.getByRole('textbox', { name: 'Call 2' }).fill('low');
  await page.getByRole('textbox', { name: 'Answer 2' }).fill('r:knee');
  await page.getByLabel('Shortest wait, s').fill('0.5');
  await page.getByLabel('Longest wait, s').fill('2');
  await page.locator('summary').filter({ hasText: 'Everybody is one group' }).click();
  await page.getByRole('button', { name: 'Add a group' }).click();
  await expect(page.getByText('On one clock: Minnows')).toBeVisible();
  const warnings = page.getByRole('list', { name: 'Warnings' });
  await expect(warnings).toContainText('Minnows in “Reactions”: knee: no knees for their band.');
  await saved(page);
  const heard = await heardIn(page);
  expect(heard.filter((text) => text === 'low').length).toBeGreaterThan(2);
  expect(heard.filter((text) => text === 'now').length).toBeGreaterThan(2);
});

test('a session that is not there says so', async ({ page }) => {
  await open(page, '/sessions/no-such-session');
  await expect(page.getByText('This session does not exist.')).toBeVisible();
});
