import { expect, test, type BrowserContext, type Page } from './test.ts';
import { choose } from './choose.ts';

/** What is written is kept and arrives: with the server away, from two tabs, over a closed page, refused or overtaken. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const json = async (page: Page, path: string) => (await page.request.get(`/api/${path}`)).json();

/** The server takes no writes until it is reported to. */
async function withoutWrites(context: BrowserContext): Promise<() => Promise<void>> {
  const writes = '**/api/{runs,attempts,sessions,combos}/**';
  await context.route(writes, (route) =>
    route.request().method() === 'GET' ? route.continue() : route.abort(),
  );
  return () => context.unroute(writes);
}

async function held(page: Page, id: string): Promise<void> {
  await page.request.put(`/api/runs/${id}`, {
    data: { sessionId: 'first-steps', fighterIds: ['ines', 'radek'], startedAt: new Date().toISOString() },
  });
}

test('marks of two tabs wait for the server, outlive both pages, and arrive from another room', async ({
  context,
  page,
}) => {
  await held(page, 'two-tabs');
  await open(page, '/floor/two-tabs');
  await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
  const back = await withoutWrites(context);
  // Before the first bell it can be said who sits the round out.
  await page.keyboard.press('s');
  await page.keyboard.press('1');
  await expect(page.getByText('1 mark waits for the server')).toBeVisible();
  // One tab plays the run; another one may take it over.
  const other = await context.newPage();
  await open(other, '/floor/two-tabs');
  await other.getByRole('button', { name: 'Play it here' }).click();
  await expect(other.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
  await expect(page.getByText('This class is played elsewhere')).toBeVisible();
  await other.keyboard.press('s');
  await other.keyboard.press('2');
  await expect(other.getByText('2 marks wait for the server')).toBeVisible();
  await other.close();
  await page.goto('/combos');
  await expect(page.getByText('2 marks wait for the server')).toBeVisible();
  await back();
  await expect(page.getByText('2 marks wait for the server')).toBeHidden({ timeout: 40_000 });
  const { results } = await json(page, 'runs/two-tabs');
  expect(results.map(({ fighterId }: { fighterId: string }) => fighterId).sort()).toEqual(['ines', 'radek']);
});

test('a mark that the server refuses stands on the shelf with its sentence until it is put away', async ({
  page,
}) => {
  await held(page, 'shelf');
  await open(page, '/floor/shelf');
  await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
  await page.route('**/api/runs/shelf/results/*', (route) =>
    route.fulfill({ status: 422, json: { message: 'This fighter is not in the run.' } }),
  );
  await page.keyboard.press('s');
  await page.keyboard.press('1');
  await page.getByRole('button', { name: '1 change was refused' }).click();
  const shelf = page.getByRole('dialog', { name: 'What the server refused' });
  await expect(shelf).toContainText('This fighter is not in the run.');
  await shelf.getByText('What was written').click();
  await expect(shelf).toContainText('"done": "sat-out"');
  await expect(shelf.getByRole('link', { name: 'Back to where it was written' })).toBeVisible();
  await shelf.getByRole('button', { name: 'Put it away' }).click();
  await expect(page.getByRole('button', { name: '1 change was refused' })).toBeHidden();
});

test('a combo that was saved elsewhere meanwhile shows both texts, and the coach chooses', async ({
  page,
}) => {
  await open(page, '/combos/spring-2');
  const notes = page.getByLabel('Notes');
  await notes.fill('Mine: chin down');
  const { id: _, grade: __, updatedAt: ___, version: ____, ...theirs } = await json(page, 'combos/spring-2');
  await page.request.put('/api/combos/spring-2', { data: { ...theirs, notes: 'Theirs: hands up' } });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const both = page.getByRole('alert').filter({ hasText: 'changed elsewhere meanwhile' });
  await expect(both.getByRole('row', { name: /Notes/ })).toContainText('Theirs: hands up');
  await expect(both.getByRole('row', { name: /Notes/ })).toContainText('Mine: chin down');
  expect((await json(page, 'combos/spring-2')).notes).toBe('Theirs: hands up');
  await expect(notes).toHaveValue('Mine: chin down');
  await both.getByRole('button', { name: 'Save mine all the same' }).click();
  await expect(page.getByText(/is saved\./)).toBeVisible();
  expect((await json(page, 'combos/spring-2')).notes).toBe('Mine: chin down');
  await page.request.put('/api/combos/spring-2', { data: theirs });
});

test('a minute of breathing is built into a round, and reported in and out', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Calm');
  await choose(
    page.getByLabel('Add a block'),
    'Breath: a minute to breathe, or to see the work before the eyes',
  );
  await page.getByLabel('Said first').fill('See the next round');
  await page.getByLabel('Kept, seconds').fill('2');
  await expect(page.getByText('See the next round: in 4, kept 2, out 6').first()).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const vtt = await (await page.request.get(`/api/sessions/${id}/calls.vtt`)).text();
  const said = vtt.split('\n').filter((line) => /^(see|breathe|hold)/.test(line));
  expect(said.slice(0, 4)).toEqual(['see the next round', 'breathe in', 'hold', 'breathe out']);
  expect(said.filter((line) => line === 'breathe out')).toHaveLength(4);
});

test('a class that begins in line says its words in turn', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Bow in');
  await choose(page.getByLabel('Add a block'), 'Line up: everybody in line, to begin or to end');
  await page.getByLabel('Said in turn').fill('Line up, Face the flag, Bow');
  await expect(page.getByText('Line up, Face the flag, Bow').first()).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const vtt = await (await page.request.get(`/api/sessions/${id}/calls.vtt`)).text();
  const said = vtt.split('\n').filter((line) => /^(line up|face|bow)/.test(line));
  expect(said).toEqual(['line up', 'face the flag', 'bow']);
});
