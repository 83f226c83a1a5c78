import { expect, test, type Locator, type Page } from './test.ts';
import { moveByKeys } from './moveByKeys.ts';
import { choose } from './choose.ts';

/** Classes are planned: rounds, groups, the library, partners, the calendar, and all of it by keyboard. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();

test('a technique block is counted for two groups, and the session is fitted to its minutes', async ({
  page,
}) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Kicks and pads');
  await choose(page.getByLabel('Add a block'), 'On the count: a move or line, so many on each side');
  const blocks = page.getByRole('list', { name: 'Blocks' });
  await expect(blocks.getByRole('listitem')).toHaveCount(3);
  await page.getByLabel('Seconds each').fill('2');
  await page.getByLabel('Sets').fill('1');
  for (const [i, [group, times]] of [
    ['Minnows', '10'],
    ['Ebb', '20'],
  ].entries()) {
    await page.getByRole('button', { name: 'A group', exact: true }).click();
    await page.getByLabel(`Group ${i + 1}`, { exact: true }).fill(group!);
    await page.getByLabel(`Times of group ${i + 1}`).fill(times!);
  }
  await expect(blocks.getByText('1:26')).toBeVisible(); // two sides of three seconds and twenty times two
  await page.getByLabel('Move or line').fill('rund');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/Did you mean round|rund/).first()).toBeVisible();
  await page.getByLabel('Move or line').fill('r:round');
  await page.getByRole('tab', { name: 'Fit' }).click();
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

test('every change is kept by itself, can be undone after that, and a fault is reported without a press', async ({
  page,
}) => {
  await open(page, '/sessions/first-steps');
  await page.getByLabel('Word of the day').fill('heron');
  await saved(page);
  expect((await (await page.request.get('/api/sessions/first-steps')).json()).word).toBe('heron');
  await page.getByLabel('Title').first().fill('');
  await expect(
    page.getByRole('status').filter({ hasText: 'not saved: The title is plain text' }),
  ).toBeVisible();
  await page.getByRole('heading', { name: 'A new session' }).click();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await saved(page);
  await expect
    .poll(async () => (await (await page.request.get('/api/sessions/first-steps')).json()).word)
    .toBe('');
});

test('a save of what was written before moves nothing and takes no report away', async ({ page }) => {
  await open(page, '/sessions/new');
  let onItsWay: () => void = () => undefined;
  const isOnItsWay = new Promise<void>((done) => (onItsWay = done));
  await page.route('**/api/sessions/*', async (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    onItsWay();
    await page.waitForTimeout(1500);
    await route.continue();
  });
  await page.getByLabel('Title').first().fill('Written in a hurry');
  await isOnItsWay;
  const answered = page.waitForResponse((response) => response.request().method() === 'PUT');
  await page.getByRole('button', { name: /Take .* out of the round/ }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const report = page.getByText('Choose at least one combo.', { exact: true });
  await expect(report).toBeVisible();
  const before = await report.boundingBox();
  await answered;
  await expect(page.getByRole('link', { name: 'Who is here' })).toBeVisible();
  await page.waitForTimeout(500);
  await expect(report).toBeVisible();
  expect(await report.boundingBox()).toEqual(before);
});

test('the class of an hour is built by keyboard alone', async ({ page }) => {
  const { keyboard } = page;
  const press = async (...keys: string[]): Promise<void> => {
    for (const key of keys) await keyboard.press(key);
  };
  await open(page, '/sessions');
  /** Goes from tab to tab until the wanted thing has the focus. */
  const tabTo = async (wanted: Locator): Promise<void> => {
    const hasFocus = (): Promise<boolean> =>
      wanted.first().evaluate((element) => element === document.activeElement, null, { timeout: 120_000 });
    // A page with thirteen rounds has some three hundred stops; what twice as many keys do not reach cannot be reached.
    for (let tabs = 0; tabs < 600; tabs++) {
      if (await hasFocus()) return;
      await press('Tab');
    }
    throw new Error('no tab leads there');
  };
  /** Goes from one tab of a pane to the next ones; each is there before the next key. */
  const arrowTo = async (...names: (string | RegExp)[]): Promise<void> => {
    for (const name of names) {
      await press('ArrowRight');
      await expect(page.getByRole('tab', { name })).toBeFocused();
    }
  };
  const to = (
    name: string | RegExp,
    role: 'button' | 'link' | 'textbox' | 'combobox' | 'spinbutton' = 'button',
  ): Promise<void> => tabTo(page.getByRole(role, { name, exact: typeof name === 'string' }));
  await to('Build a session', 'link');
  await press('Enter');
  await to('Title', 'textbox');
  await press('Control+a');
  await keyboard.type('Hour by keys');
  // Three groups, each with a grade.
  await tabTo(page.locator('summary').filter({ hasText: 'Everybody is one group' }));
  await press('Enter');
  for (let i = 0; i < 3; i++) {
    await to('Add a group');
    await press('Enter');
  }
  await expect(page.getByText('On one clock: Minnows, Herons, Ebb')).toBeVisible();
  // A warm-up from the library, moved to the front by its grip.
  await tabTo(page.getByRole('tab', { name: 'Round' }));
  await arrowTo(/^Check/, 'Library');
  await to(/^Squats, kicks and held stretches/);
  await press('Enter');
  await to('Put at the end');
  await press('Enter');
  const rounds = page.getByRole('list', { name: 'Rounds of the session' });
  await expect(rounds.getByRole('listitem')).toHaveCount(2);
  await to('Move round Squats, kicks, stretches');
  await moveByKeys(page, 'ArrowUp');
  await expect(rounds.getByRole('listitem').first()).toContainText('Squats, kicks, stretches');
  // The pads: a combo of their own for the Minnows, and twelve times.
  await to(/^Pads Ebb 1/);
  await press('Enter');
  await to(/^Combos Ebb 1/);
  await press('Enter');
  await to('Own combo for Minnows', 'combobox');
  await press('Enter');
  // What is typed leads there once the list has found its place; a list forgets what it was told a second ago.
  await expect(async () => {
    await Promise.all([...'Minnows 1'].map((key) => keyboard.press(key)));
    await expect(page.locator('[role=option]:focus')).toContainText('Minnows 1', { timeout: 1500 });
  }).toPass();
  await press('Enter');
  await expect(page.getByText('Minnows do instead')).toBeVisible();
  await to('Number of rounds', 'spinbutton');
  await press('Control+a');
  await keyboard.type('12');
  await expect(page.getByRole('list', { name: 'Held 12 times' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Lane of Minnows' })).toContainText('1');
  // Fitted to the hour, and kept.
  await tabTo(page.getByRole('tab', { name: 'Round' }));
  await arrowTo(/^Check/, 'Library', 'Fit');
  await to('Minutes of the class', 'textbox');
  await keyboard.type('60');
  await to(/^Take all/);
  await press('Enter');
  await expect(page.getByText('1:00:00 in all')).toBeVisible();
  await press('Control+s');
  await expect(page.getByText('“Hour by keys” is saved.')).toBeVisible();
  await to('Take to the Floor', 'link');
  await press('Enter');
  await expect(page).toHaveURL(/\/floor\?session=/);
});

test('blocks are dragged from round to round, and a round is kept in the library', async ({ page }) => {
  await open(page, '/sessions/new');
  await page.getByLabel('Title').first().fill('Dragging');
  await page.getByRole('button', { name: 'Add shadow' }).click();
  await choose(page.getByLabel('Add a block'), 'Burst: as many as possible in ten seconds');
  const blocks = page.getByRole('list', { name: 'Blocks' }).getByRole('listitem');
  await expect(blocks).toHaveCount(3);
  const grip = await page.getByRole('button', { name: 'Move block Burst' }).boundingBox();
  const target = await page.getByRole('button', { name: 'Move round Pads' }).boundingBox();
  await page.mouse.move(grip!.x + 5, grip!.y + 10);
  await page.mouse.down();
  await page.mouse.move(target!.x + 60, target!.y + 12, { steps: 12 });
  await page.mouse.move(target!.x + 62, target!.y + 12);
  await page.mouse.up();
  await expect(blocks).toHaveCount(2);
  await page.getByRole('button', { name: /^Pads Ebb 1/ }).click();
  await expect(blocks).toHaveCount(3);
  await page.getByRole('button', { name: 'Keep in the library' }).click();
  await expect(page.getByText('“Pads” is in the library.')).toBeVisible();
  await page.getByRole('tab', { name: 'Library' }).click();
  const own = page.getByRole('list', { name: 'Library' }).getByRole('button', { name: /^Pads own/ });
  await own.click();
  await page.getByRole('button', { name: 'Take Pads out of the library' }).click();
  await expect(own).toBeHidden();
});

test('a session is drafted, looked through for what is missing, and heard from the middle', async ({
  page,
}) => {
  await open(page, '/sessions/new');
  await page.getByRole('button', { name: 'Draft for me' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Minutes').fill('45');
  await sheet.getByLabel('Flood').check();
  const drafted = sheet.getByRole('list', { name: 'Drafted rounds' }).getByRole('listitem');
  await expect(drafted.first()).toContainText('from the library');
  expect(await drafted.count()).toBeGreaterThan(6);
  await sheet.getByRole('button', { name: /^Take it: .*45:00$/ }).click();
  await expect(page.getByText('45:00 in all')).toBeVisible();
  await saved(page);
  await page.getByText(/^Time calls:/).click();
  await page.getByRole('group', { name: 'Time calls' }).getByLabel('thirty seconds').check();
  await expect(page.getByText(/^Time calls:.*thirty seconds/)).toBeVisible();
  await choose(page.getByLabel('Phase'), 'Pads');
  await page.getByRole('button', { name: /to look at before the class/ }).click();
  await expect(page.getByRole('list', { name: 'Warnings' })).not.toBeEmpty();
  await page.getByRole('tab', { name: 'Totals' }).click();
  await expect(page.getByRole('img', { name: /^Strikes: left hand \d+/ })).toBeVisible();
  await page.getByLabel('Place in the session').focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
  await page.getByRole('button', { name: /^Listen from/ }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop' }).click();
});

test('who is here is ticked at the door, and works with somebody new each time', async ({ page }) => {
  await open(page, '/sessions/first-steps/sheet');
  for (const name of ['Sanne Ibarra', 'Emeka Roux', 'Mbali Serrano', 'Nuria Castellan'])
    await page.getByRole('checkbox', { name }).check();
  await page.getByRole('group', { name: 'Checked for Sanne Ibarra' }).getByLabel('gloves').check();
  const rotations = page.getByRole('list', { name: 'Rotations' });
  const first = await rotations.getByRole('listitem').filter({ hasText: 'Rotation 1' }).first().innerText();
  await page.getByRole('checkbox', { name: 'Radek' }).check();
  const late = page.locator('li').filter({ has: page.getByRole('checkbox', { name: 'Radek' }) });
  await late.getByText('Comes late, leaves early').click();
  await choose(late.getByLabel('Here from rotation'), '2');
  await expect(rotations.getByRole('listitem').filter({ hasText: 'Rotation 1' }).first()).toHaveText(
    new RegExp(first.split('\n')[1]!.trim().slice(0, 12)),
  );
  await expect(rotations).toContainText('by three');
  // Whoever does not work in a rotation is named in it all the same.
  for (const name of ['Sanne', 'Emeka', 'Mbali', 'Nuria', 'Radek'])
    await expect(rotations.locator('> li').filter({ hasText: 'Rotation 2' })).toContainText(name);
  await expect(page.getByRole('status')).toContainText('5 here, kept');
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'gloves' }).first()).toBeVisible();
  await expect(page.getByRole('status')).toContainText('5 here');
  // Once the class is on the Floor its list counts: what the sheet says else is told, and made the same with one press.
  const run = {
    sessionId: 'first-steps',
    fighterIds: ['sanne', 'suda'],
    startedAt: new Date().toISOString(),
  };
  expect((await page.request.put('/api/runs/sheet-and-floor', { data: run })).ok()).toBe(true);
  await page.reload();
  await expect(page.getByText(/The class is on the Floor with 2 fighters/)).toContainText(
    /Not ticked here: Suda Lindqvist\. Ticked here, and not there: Emeka Roux, /,
  );
  await page.getByRole('button', { name: 'Tick those on the Floor' }).click();
  await expect(page.getByRole('status')).toContainText('2 here, kept');
  await expect(
    page.getByRole('group', { name: 'Checked for Sanne Ibarra' }).getByLabel('gloves'),
  ).toBeChecked();
  await page.request.delete('/api/runs/sheet-and-floor');
});

test('the register of a month opens where there is something in it', async ({ page }) => {
  await open(page, '/fighters/register');
  const register = page.getByRole('table', { name: 'Register' });
  await expect(register.getByRole('row').nth(1)).toBeVisible();
  await expect(register).toContainText('Ines Okafor');
});

test('a session is repeated for some weeks, and a week gets a theme', async ({ page }) => {
  await open(page, '/sessions/shadow-and-rhythm');
  await page.getByRole('button', { name: 'Repeat weekly' }).click();
  await page.getByLabel('How many weeks more').fill('2');
  await page.getByRole('button', { name: 'Plan them' }).click();
  await expect(page.getByText('“Shadow and broken rhythm” is planned 2 more times.')).toBeVisible();
  await page.getByRole('link', { name: 'Calendar and themes' }).click();
  await page.getByLabel('Theme', { exact: true }).fill('Elbows in');
  await page.getByLabel('Last day').click();
  await page.getByRole('button', { name: /previous month/i }).click();
  await page.getByRole('button', { name: /\b15(th)?\b/ }).click();
  await page.getByRole('button', { name: 'Keep the theme' }).click();
  await expect(page.getByText('The last day comes before the first one.')).toBeVisible();
  await page.getByRole('button', { name: 'One week' }).click();
  await page.getByRole('button', { name: 'Keep the theme' }).click();
  await expect(page.getByRole('list', { name: 'Themes' })).toContainText('Elbows in');
  await page.goto('/');
  await expect(page.getByText('Elbows in')).toBeVisible();
});

test('the combos of a grade are printed for the wall', async ({ page }) => {
  await open(page, '/combos/wall/flood');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('article')).toContainText('Low gate, knee through');
  await expect(page.getByRole('article')).toContainText('a qualified coach come first');
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});
