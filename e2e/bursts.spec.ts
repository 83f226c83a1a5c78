import { expect, test, type Locator, type Page } from './test.ts';
import { faultsOf } from './axe.ts';
import { choose } from './choose.ts';
import { takeToTheFloor } from './takeToTheFloor.ts';

/** Ten-second bursts, planned and between two rounds. */
const call = (page: Page): Locator => page.getByTestId('call');

test('a burst by keyboard alone counts from the instant at which it says so, and a key that is held down once', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press('t');
  const start = page.getByRole('button', { name: 'Start', exact: true });
  await start.focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  await expect(start).toBeFocused();
  await page.keyboard.press('Enter');
  const count = page.getByTestId('burst-count');
  await expect(page.getByText('get ready')).toBeVisible();
  await page.keyboard.press(' ');
  await expect(count).toHaveText('0');
  // As soon as it is drawn that they count, and not when a test looks again.
  await page.evaluate(() => {
    const look = (): void => {
      if (!document.body.innerText.includes('tap anywhere')) return void requestAnimationFrame(look);
      document.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space', bubbles: true }));
    };
    look();
  });
  await expect(page.getByText('tap anywhere')).toBeVisible({ timeout: 30_000 });
  await expect(count).toHaveText('1');
  for (let i = 0; i < 5; i++) await page.keyboard.down('PageDown');
  await page.keyboard.up('PageDown');
  await expect(count).toHaveText('2');
  await page.keyboard.press('Tab');
  await page.keyboard.press(' ');
  await page.keyboard.press('Enter');
  await expect(count).toHaveText('4');
  await expect(page.getByText('0.4 a second')).toBeVisible({ timeout: 60_000 });
});

test('a burst of the class: after the bell the numbers go through the names, and who has none stays open', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello', 'Ines Okafor']);
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Everybody, partners count');
  await choose(page.getByLabel('What'), 'Two straights, 10 s');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText('partners count aloud')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByLabel(/How many .* did/)).toBeFocused({ timeout: 60_000 });
  expect(await faultsOf(page)).toEqual([]);
  await page.keyboard.type('23');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter'); // nobody reported the second one
  await page.keyboard.type('190');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('That would be 19 a second. Enter once more keeps it.');
  await page.keyboard.press('Backspace');
  // That can be, and is not what Ines usually does: it is asked about once.
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText(/^19 is \d\d % of the usual 4\d(\.\d)?\. Enter once more/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 of 3 still open')).toBeVisible();
  // A reload loses none, and the open one is asked for again.
  await page.reload();
  await expect(call(page)).toHaveText(/held|ready when you are/, { timeout: 90_000 });
  await expect(page.getByText('1 of 3 open')).toBeVisible();
  await page.keyboard.type('21');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all entered')).toBeVisible();
  await page.keyboard.press('Escape');
  const { items } = await (await page.request.get('/api/fighters')).json();
  const newestOf = async (name: string) => {
    const { id } = items.find((each: { name: string }) => each.name === name);
    const trials = await (await page.request.get(`/api/fighters/${id}/attempts`)).json();
    return [trials.items[0].count, trials.items[0].measured];
  };
  // What was typed last may still be on its way: it is asked for anew each time.
  await expect(async () => {
    const newest = await Promise.all(['Lumi Achterberg', 'Oskar Bello', 'Ines Okafor'].map(newestOf));
    expect(newest.map(([, measured]) => measured)).toEqual(['partner', 'partner', 'partner']);
    expect(newest.map(([count]) => count).sort()).toEqual([19, 21, 23]);
  }).toPass();
});

test('a planned burst asks for its numbers by itself, each group for its own, and what is open once more at the end', async ({
  page,
}) => {
  const burst = { kind: 'burst', id: 'b', seconds: 8, title: 'Two straights' };
  const blocks = [
    { ...burst, groups: [{ group: 'Reef', line: 'f:push' }] },
    { kind: 'rest', id: 'r', seconds: 40 },
  ];
  const groups = [{ name: 'Reef', gradeIds: ['ebb'] }];
  const session = { title: 'Bursts', lead: 'left', word: '', plannedFor: null, groups };
  const round = { id: 'r1', title: 'How many', kind: 'technique', blocks };
  const kept = await page.request.put('/api/sessions/bursts', { data: { ...session, rounds: [round] } });
  expect(await kept.text()).toContain('Two straights');
  const { items } = await (await page.request.get('/api/fighters')).json();
  const fit = items.filter((each: { fit: boolean }) => each.fit);
  const ebb = fit.find((each: { gradeId: string }) => each.gradeId === 'ebb').name;
  const other = fit.find((each: { gradeId: string }) => each.gradeId !== 'ebb').name;
  await takeToTheFloor(page, [ebb, other], 'bursts');
  await page.keyboard.press(' ');
  await expect(call(page)).not.toHaveText('ready when you are');
  await expect(page.getByLabel(/How many .* did/)).toBeHidden();
  await expect(page.getByLabel(/How many .* did/)).toBeFocused({ timeout: 60_000 });
  // The class goes on: the clock runs, and the space bar holds it.
  await expect(page.getByText(/, 8 s · 2 of 2 open/)).toBeVisible();
  expect(await faultsOf(page)).toEqual([]);
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  const asked = await page.getByLabel(/How many .* did/).getAttribute('aria-label');
  await page.keyboard.type('31');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('list', { name: 'People' })).toBeVisible();
  await page.keyboard.press(' ');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'That was the session' })).toBeVisible();
  await expect(page.getByText(/, 8 s · 1 of 2 open/)).toBeVisible();
  await page.getByLabel(/How many .* did/).fill('24');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all entered')).toBeVisible();
  await page.getByRole('button', { name: 'Close the session' }).click();
  await expect(page).toHaveURL(/fighters/);
  const logged = async (name: string): Promise<string> => {
    const { id } = items.find((each: { name: string }) => each.name === name);
    const log = await (await page.request.get(`/api/fighters/${id}/log`)).json();
    return log.rounds[0].work.join('; ');
  };
  await expect(async () => {
    const [first, second] = asked!.includes(ebb) ? [31, 24] : [24, 31];
    expect(await logged(ebb)).toMatch(new RegExp(`^push kick: 8 s; push kick: ${first} from the \\w+ lead$`));
    expect(await logged(other)).toMatch(
      new RegExp(`^Two straights: 8 s; Two straights: ${second} from the \\w+ lead$`),
    );
  }).toPass();
});
