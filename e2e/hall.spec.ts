import { expect, test, type Browser, type Page } from './test.ts';
import { faultsOf, tooWide } from './axe.ts';
import { OwnServer, slowLink } from './ownServer.ts';

/** The hall: other devices follow the class that the coach's device plays, whatever happens on the way. */
const HOUR = 3_600_000;
const call = (page: Page) => page.getByTestId('call');
const timer = (page: Page) => page.getByRole('timer');

/** Seconds on a clock. */
async function secondsOn(page: Page): Promise<number> {
  const [minutes, seconds] = ((await timer(page).textContent()) ?? '').split(':').map(Number);
  return minutes! * 60 + seconds!;
}

/** A class on the Floor of this server, and its code. */
async function coachesClass(browser: Browser, base: string, sessionId: string): Promise<[Page, string]> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.request.put(`${base}/api/gym/notice`, { data: { accepted: true } });
  const { items } = await (await page.request.get(`${base}/api/fighters`)).json();
  const fighterIds = items
    .filter((each: { id: string; fit: boolean }) => each.fit)
    .map((each: { id: string; fit: boolean }) => each.id)
    .slice(0, 6);
  const id = `hall-${Math.random().toString(36).slice(2)}`;
  const data = { sessionId, fighterIds, startedAt: new Date().toISOString() };
  expect((await page.request.put(`${base}/api/runs/${id}`, { data })).ok()).toBe(true);
  await page.goto(`${base}/floor/${id}`);
  await expect(call(page)).toHaveText('ready when you are', { timeout: 90_000 });
  await page.keyboard.press('d');
  await expect(page.getByTestId('hall-code')).toHaveText(/^[A-Z]{6}$/);
  return [page, (await page.getByTestId('hall-code').textContent())!];
}

async function joined(
  browser: Browser,
  base: string,
  code: string,
  view: string,
  clockWrong = 0,
): Promise<Page> {
  const size = view === 'wall' ? { width: 1280, height: 800 } : { width: 360, height: 740 };
  const page = await (await browser.newContext({ viewport: size })).newPage();
  if (clockWrong !== 0)
    await page.addInitScript((wrong) => {
      const right = Date.now;
      Date.now = () => right() + wrong;
      Object.defineProperty(performance, 'timeOrigin', { value: performance.timeOrigin + wrong });
    }, clockWrong);
  await page.goto(`${base}/join`);
  await page.getByLabel(/six letters/).fill(code.toLowerCase());
  await page.getByRole('button', { name: new RegExp(`^${view}`, 'i') }).click();
  return page;
}

/** Pages that a story leaves open would draw on, beside all stories that follow. */
test.afterEach(async ({ browser }) => {
  for (const context of browser.contexts()) await context.close();
});

test('wall, holder, remote and station follow the class; the remote holds, marks and goes on', async ({
  browser,
  baseURL,
}) => {
  const [coach, code] = await coachesClass(browser, baseURL!, 'knees-behind-the-cross');
  const [wall, holder, remote, station] = await Promise.all([
    joined(browser, baseURL!, code, 'wall', HOUR),
    joined(browser, baseURL!, code, 'holder'),
    joined(browser, baseURL!, code, 'remote', -HOUR),
    joined(browser, baseURL!, code, 'station'),
  ]);
  await expect(call(wall)).toHaveText('ready when you are');
  const devices = coach.getByRole('region', { name: 'Devices of the hall' });
  for (const view of ['wall', 'holder', 'remote', 'station']) await expect(devices).toContainText(view);
  await station.getByRole('button', { name: 'Lumi' }).click();
  await station.getByRole('button', { name: 'That is all' }).click();
  await remote.getByRole('button', { name: 'Start' }).click();
  await expect(call(coach)).not.toHaveText('ready when you are');
  await expect(call(wall)).not.toHaveText('ready when you are');
  await expect
    .poll(async () => Math.abs((await secondsOn(coach)) - (await secondsOn(wall))))
    .toBeLessThanOrEqual(1);
  // On the first combo the holder is reported a pad, mirrored.
  await remote.getByRole('button', { name: 'Next round' }).click();
  await expect(coach.getByText(/round 2 of/)).toBeVisible();
  await expect(wall.getByText(/round 2 of/)).toBeVisible();
  await expect(holder.getByTestId('pad')).not.toBeEmpty();
  await expect(holder.getByText(/your (left|right) pad/).first()).toBeVisible();
  await remote.getByRole('button', { name: 'Hold' }).click();
  await expect(call(coach)).toHaveText('held');
  await expect(call(wall)).toHaveText('held');
  await expect(remote.getByRole('status').first()).toHaveText('Held.');
  await remote.getByRole('button', { name: 'Loose' }).click();
  await remote.getByRole('button', { name: 'Lumi' }).click();
  await expect(remote.getByRole('status').first()).toContainText('Lumi Achterberg: finished, loose');
  await remote.getByRole('button', { name: 'Undo' }).click();
  await expect(remote.getByRole('status').first()).toHaveText('Taken back: Lumi Achterberg.');
  await remote.getByRole('button', { name: 'Undo' }).click();
  await expect(remote.getByRole('status').first()).toHaveText('There is no mark to take back.');
  await remote.getByRole('button', { name: 'Lumi' }).click();
  await expect(remote.getByRole('status').first()).toContainText('Lumi Achterberg: finished, loose');
  await coach.keyboard.press('d');
  await expect(coach.getByRole('button', { name: /Lumi Achterberg/ })).toContainText('loose');
  for (const page of [wall, holder, remote, station]) {
    expect(await tooWide(page)).toBe(0);
    expect(await faultsOf(page)).toEqual([]);
  }
  // Who comes late sees the same.
  const late = await joined(browser, baseURL!, code, 'wall');
  await expect(call(late)).toHaveText('held');
  await expect(late.getByText(/round 2 of/)).toBeVisible();
});

test('a guessed code is reported, and a class that is over too', async ({ browser, baseURL }) => {
  const page = await joined(browser, baseURL!, 'AAAAAA', 'wall');
  await expect(page.getByRole('alert')).toHaveText(
    'No class has this code. It may be mistyped, or the class is over.',
  );
  await page.goto(`${baseURL}/hall/AAAAAA/wall`);
  await expect(page.getByRole('status')).toHaveText(/^No class has this code/);
  expect(await faultsOf(page)).toEqual([]);
});

test('a power cut of the server in mid-run: the sound goes on, presses wait, and everybody comes back', async ({
  browser,
}) => {
  const server = new OwnServer(4381, ['127.0.0.1:4382']);
  await server.start();
  const link = await slowLink(4382, 4381, () => 20 + 60 * Math.random());
  try {
    const [coach, code] = await coachesClass(browser, server.base, 'knees-behind-the-cross');
    const wall = await joined(browser, 'http://127.0.0.1:4382', code, 'wall');
    await expect(call(wall)).toHaveText('ready when you are', { timeout: 30_000 });
    await coach.keyboard.press('d');
    await coach.keyboard.press(' ');
    await coach.keyboard.press('ArrowRight');
    await expect(wall.getByText(/round 2 of/)).toBeVisible();
    await server.kill();
    await expect(wall.getByRole('status').first()).toContainText('The server does not answer');
    // Both go on by themselves.
    const before = await secondsOn(wall);
    await coach.waitForTimeout(2500);
    expect(await secondsOn(wall)).toBeLessThan(before);
    await coach.keyboard.press('l');
    await coach.getByRole('button', { name: /Lumi Achterberg/ }).click();
    await coach.keyboard.press('ArrowRight');
    await expect(coach.getByText(/round 3 of/)).toBeVisible();
    await expect(coach.getByText(/wait for the server/)).toBeVisible();
    await server.start();
    await expect(wall.getByText(/round 3 of/)).toBeVisible({ timeout: 40_000 });
    await expect(coach.getByText(/wait for the server/)).toBeHidden({ timeout: 40_000 });
    await expect
      .poll(async () => Math.abs((await secondsOn(coach)) - (await secondsOn(wall))))
      .toBeLessThanOrEqual(1);
    const runId = new URL(coach.url()).pathname.split('/').at(-1)!;
    const { events, results } = await (await coach.request.get(`${server.base}/api/runs/${runId}`)).json();
    expect(events.filter(({ kind }: { kind: string }) => kind === 'skip')).toHaveLength(2);
    expect(results).toHaveLength(1);
  } finally {
    link.close();
    await server.end();
  }
});

test('a second device does not play the same class; it can take it over, and the first falls silent', async ({
  browser,
  baseURL,
}) => {
  const [first] = await coachesClass(browser, baseURL!, 'first-steps');
  const second = await (await browser.newContext()).newPage();
  await second.goto(first.url());
  await expect(second.getByRole('heading', { name: 'This class is played elsewhere' })).toBeVisible();
  await second.getByRole('button', { name: 'Play it here' }).click();
  await expect(call(second)).toHaveText('ready when you are', { timeout: 60_000 });
  await expect(first.getByRole('heading', { name: 'This class is played elsewhere' })).toBeVisible();
});

test('the door: the passphrase is set on the machine, and a phone is reported how to trust the gym', async ({
  page,
  baseURL,
}) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto('/gym/devices');
  // One may be set already.
  const passphrase = page.getByLabel(/^(New p|P)assphrase$/);
  await passphrase.fill('short');
  await page.getByRole('button', { name: 'Set the passphrase' }).click();
  await expect(page.getByRole('alert')).toHaveText(/A passphrase has 8 to 200 letters/);
  await passphrase.fill('three grey herons');
  await page.getByRole('button', { name: 'Set the passphrase' }).click();
  await expect(page.getByText('A passphrase is set.')).toBeVisible();
  expect(await faultsOf(page)).toEqual([]);
  await page.goto('/door?to=/combos');
  await page.getByLabel('The coach’s passphrase').fill('three grey heron');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('alert')).toHaveText('That is not the gym’s passphrase.');
  expect(await faultsOf(page)).toEqual([]);
  await page.getByLabel('The coach’s passphrase').fill('three grey herons');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page).toHaveURL(/\/combos/);
  // The door leads to pages of the gym alone.
  await page.goto('/door?to=/%5Cexample.org/');
  await page.getByLabel('The coach’s passphrase').fill('three grey herons');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('heading', { name: 'The gym’s door' })).toBeHidden();
  expect(new URL(page.url()).origin).toBe(baseURL);
  await page.goto('/phone');
  await expect(page.getByText(/open to its own machine alone/)).toBeVisible();
  expect(await faultsOf(page)).toEqual([]);
});
