import { expect, test, type Page } from './test.ts';
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
/** A round as it is played, with its times through and what could not be done as written. */
async function compiled(
  page: Page,
  blocks: unknown,
): Promise<{
  cycles: { lead: string }[];
  findings: { rule: string; message: string }[];
}> {
  const answer = await page.request.post('/api/rounds/compile', { data: { blocks, lead: 'left', seed: 1 } });
  expect(answer.ok()).toBe(true);
  return answer.json();
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
  await expect(page.getByText(/a minute, clean up to 266/)).toBeVisible();
  // Its harder forms take no longer for the repeat: the same figure stands beside each.
  const forms = page.getByRole('list', { name: 'Harder, one thing at a time' }).getByText(/^clean up to/);
  await expect(forms.first()).toBeVisible();
  expect(new Set(await forms.allTextContents())).toEqual(new Set(['clean up to 266']));
  await expect(page.getByText('999')).toHaveCount(0);
  await page.getByLabel('Beats in a cycle').fill('1');
  await expect(page.getByText(/is the fastest clean tempo while it is repeated every/).first()).toBeVisible();
  const ladder = (await page.getByText(/a minute, clean up to \d+/).textContent())!;
  const [clean, ...rungs] = ladder.match(/\d+/g)!.map(Number).reverse();
  expect(clean).toBe(66);
  for (const rung of rungs) expect(rung).toBeLessThanOrEqual(clean!);
});

test('a side that changes nothing is reported with what was meant, and a line that walks off with its room', async ({
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

test('each group does its own on one count, is reported so once, and hears when it is done', async ({
  page,
}) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('One count, two groups');
  await choose(page.getByLabel('Add another round'), 'Technique');
  await page.getByLabel('Times', { exact: true }).fill('12');
  await page.getByLabel('Sets').fill('1');
  await page.getByRole('button', { name: 'A group', exact: true }).click();
  await page.getByLabel('Group 1', { exact: true }).fill('Minnows');
  await page.getByLabel('What group 1 does').fill('f:push');
  await page.getByLabel('Times of group 1').fill('6');
  await expect(page.getByText('Minnows 6 f:push').first()).toBeVisible();
  await saved(page);
  const heard = await heardIn(page);
  const from = heard.findIndex((text) => text.startsWith('round kick'));
  expect(heard[from + 1]).toBe('minnows, push kick');
  const done = heard.findIndex((text) => /^minnows( done)?$/.test(text));
  expect([heard[done - 1], heard[done + 1]]).toEqual(['six', 'seven']);
  expect(heard.filter((text) => text.startsWith('twelve'))).toHaveLength(2);
  await page.getByLabel('What group 1 does').fill('psh');
  await expect(page.getByText(/The move book has no/).first()).toBeVisible();
});

test('calls of a reaction have answers of their own, and the limits of children are reported with their place', async ({
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
  await page.getByRole('tab', { name: /^Check/ }).click();
  const warnings = page.getByRole('list', { name: 'Warnings' });
  await expect(warnings).toContainText('Minnows in “Reactions”: knee: no knees for their band.');
  await saved(page);
  const heard = await heardIn(page);
  await page.goto(`/sessions/${idOf(page)}/card`);
  await expect(page.getByRole('list', { name: 'Children’s limits' })).toContainText(
    'no knees for their band',
  );
  expect(heard.filter((text) => text === 'low').length).toBeGreaterThan(2);
  expect(heard.filter((text) => text === 'now').length).toBeGreaterThan(2);
});

test('a session that is not there says so', async ({ page }) => {
  await open(page, '/sessions/no-such-session');
  await expect(page.getByText('This session does not exist.')).toBeVisible();
});

test('combos go by repetitions, and the page says how often from each lead', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Ten from each lead');
  await choose(page.getByLabel('Goes by'), 'Repetitions');
  await page.getByLabel('Times from each lead').fill('6');
  const reported = page.getByText('6 times through from the left lead, 6 from the right');
  await expect(reported).toBeVisible();
  await page.getByRole('button', { name: /^Slow: \d+$/ }).click();
  await expect(reported).toBeVisible();
  await saved(page);
  const { rounds } = await (await page.request.get(`/api/sessions/${idOf(page)}`)).json();
  const { cycles, findings } = await compiled(page, rounds[0].blocks);
  expect(cycles.map(({ lead }) => lead)).toEqual([
    ...Array.from({ length: 6 }, () => 'left'),
    ...Array.from({ length: 6 }, () => 'right'),
  ]);
  expect(findings.filter(({ rule }) => rule === 'count-cut')).toEqual([]);
});

test('each grade’s own number fills every group in one choice', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Number one of each grade');
  await page.locator('summary').filter({ hasText: 'Everybody is one group' }).click();
  await page.getByRole('button', { name: /^One for each grade that comes/ }).click();
  await choose(page.getByLabel('Each grade’s own'), 'number 1');
  for (const grade of ['Minnows', 'Ebb']) {
    await expect(page.getByText(`${grade} do instead`)).toBeVisible();
    await expect(page.getByRole('list', { name: `Lane of ${grade}` })).toBeVisible();
  }
});

test('a new combo starts empty; what was begun before is kept and can be taken up', async ({ page }) => {
  await open(page, '/combos/new');
  await page.getByLabel('Beat line').fill('1 2 2 1');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Write a combo' }).click();
  await expect(page.getByLabel('Beat line')).toHaveText(/for two beats/);
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(page.getByLabel('Beat line')).toHaveText('1 2 2 1');
});

test('a session that nobody changed is not kept', async ({ page }) => {
  const titles = async (): Promise<number> =>
    (await (await page.request.get('/api/sessions')).json()).items?.length ?? 0;
  const before = await titles();
  await open(page, '/sessions/new');
  await expect(page.getByRole('list', { name: 'Blocks' })).toBeVisible();
  await page.waitForTimeout(2000);
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  expect(await titles()).toBe(before);
});

test('a start that is pressed while the Floor still loads is kept, reported, and done', async ({ page }) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  const id = `early-${Date.now()}`;
  const { items } = await (await page.request.get('/api/fighters')).json();
  await page.request.put(`/api/runs/${id}`, {
    data: { sessionId: 'first-steps', fighterIds: [items[0].id], startedAt: new Date().toISOString() },
  });
  let letGo = (): void => {};
  const gate = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/api/runs/*/plan', async (route) => {
    await gate;
    await route.continue();
  });
  await page.goto(`/floor/${id}`);
  await expect(page.getByText('Fetching the session')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Starts when the voice is there.')).toBeVisible();
  letGo();
  await expect(page.getByRole('button', { name: 'Space hold' })).toBeVisible({ timeout: 60_000 });
});

test('who is ticked at the door stands on the Floor, by two in turns, with new partners reported', async ({
  page,
}) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('By two');
  await choose(page.getByLabel('They work'), 'by two: work, hold');
  const times = page.getByRole('list', { name: 'Rounds of the session' });
  await expect(times).toContainText('4:55'); // twice two minutes, 15 s between, 40 s of rest
  await saved(page);
  const session = idOf(page);
  await page.getByRole('link', { name: 'Who is here' }).click();
  const four = ['Sanne Ibarra', 'Emeka Roux', 'Mbali Serrano', 'Nuria Castellan'];
  for (const name of four) await page.getByRole('checkbox', { name }).check();
  await expect(page.getByRole('status').filter({ hasText: '4 here, kept' })).toBeVisible();
  await page.goto(`/floor?session=${session}`);
  await expect(page.getByText(/^4 of \d+, as ticked at the door/)).toBeVisible();
  await page.getByRole('button', { name: 'Take to the Floor' }).click();
  const partners = page.getByRole('list', { name: 'Partners' });
  await expect(partners.getByRole('listitem')).toHaveCount(2, { timeout: 60_000 });
  await expect(partners.getByText(/works$/)).toHaveCount(2);
  for (const name of four) await expect(partners).toContainText(name.split(' ')[0]!);
  const vtt = await (await page.request.get(`/api/sessions/${session}/calls.vtt`)).text();
  expect(vtt).toContain('change, holders work');
});
