import { readFile, writeFile } from 'node:fs/promises';
import { pathToFileURL } from 'node:url';
import { expect, test, type Browser, type Page } from './test.ts';
import { openPart } from './openParts.ts';

/** A session goes home as one file, is done there without a network, and comes back as a code. */
const SESSION = 'for-home';

async function aShortSession(page: Page): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  const work = (id: string) => ({
    kind: 'combo',
    id,
    seconds: 8,
    combos: [{ comboId: 'ebb-1' }],
    bpm: 120,
    calls: 'on-beat',
    words: 'numbers',
    leadPlan: 'as-set',
    cyclesEach: 4,
  });
  const answer = await page.request.put(`/api/sessions/${SESSION}`, {
    data: {
      title: 'Saltmarsh at home',
      lead: 'left',
      plannedFor: null,
      rounds: [{ id: 'h1', title: 'One two', kind: 'pads', blocks: [work('h1')] }],
    },
  });
  expect(await answer.text()).toContain(SESSION);
}

/** The file, opened as by a double click in a browser that has no network. */
async function openedAtHome(browser: Browser, file: string): Promise<Page> {
  const page = await (await browser.newContext({ offline: true })).newPage();
  await page.goto(pathToFileURL(file).href);
  return page;
}

/** Pages that a story leaves open would draw on, beside all stories that follow. */
test.afterEach(async ({ browser }) => {
  for (const context of browser.contexts()) await context.close();
});

test('a page for home is fetched for a fighter, done without a network, and its code is logged as reported', async ({
  page,
  browser,
}, info) => {
  await aShortSession(page);
  await page.goto(`/sessions/${SESSION}`);
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByRole('menuitem', { name: /Page for home/ }).click();
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: /Radek Ilić/ }).click();
  const file = info.outputPath('home.html');
  await (await coming).saveAs(file);

  const home = await openedAtHome(browser, file);
  const asked: string[] = [];
  home.on('request', (request) => asked.push(request.url()));
  await expect(home.getByRole('heading', { name: 'Saltmarsh at home' })).toBeVisible();
  await expect(home.getByText('For Radek Ilić')).toBeVisible();
  await expect(home.getByText('Never hit a training partner at home.')).toBeVisible();
  await home.getByRole('button', { name: 'start' }).click();
  await expect(home.getByTestId('call')).not.toHaveText('ready when you are');
  // Closed in the middle and opened again, it goes on.
  await home.reload();
  await expect(home.getByText('That was it, Radek')).toBeVisible({ timeout: 60_000 });
  await expect(home.getByText('1 of 1 round to the end bell')).toBeVisible();

  await home.getByRole('button', { name: 'Ten-second burst' }).click();
  await home.getByRole('button', { name: 'Start' }).click();
  const count = home.getByTestId('burst-count');
  await expect(async () => {
    await home.keyboard.press('j');
    expect(Number(await count.textContent())).toBeGreaterThanOrEqual(5);
  }).toPass({ timeout: 30_000, intervals: [150] });
  await expect(home.getByText('in ten seconds')).toBeVisible({ timeout: 60_000 });
  const counted = Number(await home.getByRole('status').getByRole('strong').textContent());
  await home.getByRole('button', { name: 'Back' }).click();
  await home.getByRole('button', { name: '7', exact: true }).click();
  const code = (await home.getByLabel('Code').textContent())!.trim();
  const saving = home.waitForEvent('download');
  await home.getByRole('button', { name: 'Save as a file' }).click();
  const reported = info.outputPath('from-home.json');
  await (await saving).saveAs(reported);
  expect(JSON.parse(await readFile(reported, 'utf8')).code).toBe(code);
  expect(asked.filter((url) => /^https?:/.test(url))).toEqual([]);

  await page.goto('/fighters/lumi');
  await openPart(page, 'At home');
  await page.getByLabel('Code from home').fill(code);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('it was made for somebody else')).toBeVisible();
  await page.goto('/fighters/radek');
  await openPart(page, 'At home');
  await page.getByLabel('Code from home').fill(`${code}X`);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('a letter is mistyped or missing')).toBeVisible();
  await page.getByLabel('Code from home').fill(code.toLowerCase().replaceAll('-', ''));
  await page.getByRole('button', { name: 'Log it' }).click();
  const logged = page.getByRole('list', { name: 'At home' }).getByRole('listitem');
  await expect(logged).toContainText('Saltmarsh at home · 1 of 1 round · effort 7');
  await expect(logged).toContainText(`${counted} in ten seconds`);
  await expect(page.getByText('reported, not seen').first()).toBeVisible();
  // The file says the same, and the same is logged once.
  await page.getByLabel('Choose a file').setInputFiles(reported);
  await expect(page.getByLabel('Code from home')).toHaveValue('');
  await expect(logged).toHaveCount(1);
  await logged.getByRole('button', { name: 'Take out' }).click();
  await expect(logged).toHaveCount(0);
});

test('a file that somebody changed says so in one sentence', async ({ page, browser }, info) => {
  await aShortSession(page);
  const html = await (await page.request.get(`/api/sessions/${SESSION}/home.html?fighter=radek`)).text();
  const changed = {
    'no-session': html.replace(/"rounds":\[/, '"rounds":['.replace('[', '{')),
    'no-sound': html.replace(/<script type="text\/plain" class="call"[^>]*>[^<]*<\/script>/g, ''),
  };
  for (const [name, text] of Object.entries(changed)) {
    const file = info.outputPath(`${name}.html`);
    await writeFile(file, text);
    const home = await openedAtHome(browser, file);
    await expect(home.getByText('This file is not whole. Ask your coach for a new one.')).toBeVisible();
  }
});
