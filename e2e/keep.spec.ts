import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test.ts';
import { choose } from './choose.ts';

async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

/** What a link gives to keep. */
async function taken(page: Page, name: string): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('main').getByRole('link', { name, exact: true }).click(),
  ]);
  return readFileSync(await download.path(), 'utf8');
}

test('a gym is taken away in a file, changed elsewhere, and brought in after a look at what it does', async ({
  page,
}) => {
  await open(page, '/gym');
  await page.getByRole('link', { name: 'Backup and export' }).click();
  await expect(page.getByRole('heading', { name: 'Backup and export' })).toBeVisible();
  const file = JSON.parse(await taken(page, 'The whole gym, in one file'));
  expect(file.combos.length).toBeGreaterThan(10);

  const upload = (name: string, text: string) =>
    page
      .getByLabel('Choose a file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await upload('gym.json', JSON.stringify(file));
  await expect(page.getByText('Everything in this file is here already')).toBeVisible();

  const theme = { id: 'brought-in', title: 'Brought in', from: '2026-03-02', until: '2026-03-08' };
  await upload('gym.json', JSON.stringify({ ...file, themes: [...file.themes, theme] }));
  await expect(page.getByRole('row', { name: 'themes 1 –' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('The file is brought in.')).toBeVisible();
  const themes = (await (await page.request.get('/api/themes')).json()).items;
  expect(themes.map(({ id }: { id: string }) => id)).toContain('brought-in');

  const spoilt = { ...file, fighters: [{ ...file.fighters[0], gradeId: 'none' }] };
  await upload('gym.json', JSON.stringify(spoilt));
  await expect(page.getByRole('alert')).toContainText(
    'fighters.0.gradeId: This grade is neither in this file',
  );
  await expect(page.getByRole('alert')).toContainText('Nothing was changed.');

  const table = await taken(page, 'Fighters');
  await upload('fighters.csv', `${table}"","Pavo Nkemelu","Ebb","left","","yes","",""\r\n`);
  await expect(page.getByRole('row', { name: 'fighters 1 –' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('The file is brought in.').last()).toBeVisible();
});

test('a copy is made and brought back, and what was done since is kept as a copy too', async ({ page }) => {
  await open(page, '/gym/keep');
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(page.getByText('was opened to see that it is whole')).toBeVisible({ timeout: 60_000 });
  const theme = { title: 'After the copy', from: '2026-03-02', until: '2026-03-08' };
  await page.request.put('/api/themes/after', { data: theme });
  const copies = page.getByRole('list', { name: 'Copies' }).getByRole('listitem');
  await expect(copies).toHaveCount(1);
  await copies.first().getByRole('button', { name: 'Bring back' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it' }).click();
  await copies.first().getByRole('button', { name: 'Bring back' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Bring it back' }).click();
  await expect(copies).toHaveCount(2, { timeout: 60_000 });
  await expect(page.getByText('before an older copy was brought back')).toBeVisible();
  const themes = (await (await page.request.get('/api/themes')).json()).items;
  expect(themes.map(({ id }: { id: string }) => id)).not.toContain('after');
  await expect(page.getByText('An older copy of the gym was brought back.')).toBeVisible();
});

test('everything about a person is given out whole, and erased for good', async ({ page }) => {
  const fighter = { name: 'Erna Solvay', gradeId: 'ebb', lead: 'left', note: 'to be forgotten' };
  await page.request.put('/api/fighters/erna', { data: fighter });
  await open(page, '/fighters/erna');
  await page.getByRole('button', { name: 'Change entry' }).click();
  const file = JSON.parse(await taken(page, 'Give it out, in one file'));
  expect(file.fighters).toMatchObject([{ name: 'Erna Solvay', note: 'to be forgotten' }]);
  await page.getByRole('button', { name: 'Erase it for good' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Erase it' }).click();
  await expect(page.getByText('Everything about this person is erased.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Erna Solvay/ })).toHaveCount(0);
  expect((await page.request.get('/api/fighters/erna')).status()).toBe(404);
});

test('a page that cannot be read says so, and offers to try again', async ({ page }) => {
  let isDown = true;
  await page.route('**/api/fighters*', (route) =>
    isDown
      ? route.fulfill({ status: 503, json: { message: 'The database is away for a moment.' } })
      : route.continue(),
  );
  await page.goto('/fighters');
  await expect(page.getByRole('alert')).toContainText('The database is away for a moment.');
  isDown = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: /Maja|Ines|Emeka/ }).first()).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('the Floor too says what it could not have, and offers to try again', async ({ page }) => {
  await page.request.put('/api/runs/unheard', {
    data: { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: new Date().toISOString() },
  });
  let isDown = true;
  await page.route('**/api/runs/unheard/plan', (route) =>
    isDown
      ? route.fulfill({ status: 503, json: { message: 'The server is busy with other work.' } })
      : route.continue(),
  );
  await page.goto('/floor/unheard');
  await expect(page.getByText('The server is busy with other work.')).toBeVisible();
  isDown = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('The server is busy with other work.')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Start', exact: false }).first()).toBeVisible({
    timeout: 60_000,
  });
  await page.request.put('/api/runs/unheard/end');
});

test('another move takes the place of one everywhere it is used', async ({ page }) => {
  const { items } = await (await page.request.get('/api/combos')).json();
  const combo = items.find(({ id }: { id: string }) => id === 'ebb-1');
  const { id: _, grade: __, version: ___, updatedAt: ____, ...body } = combo;
  await page.request.put('/api/combos/worn', {
    data: { ...body, number: 88, title: 'Worn', line: '1 2 1 2' },
  });
  const { rounds } = await (await page.request.get('/api/sessions/first-steps')).json();
  const round = {
    ...rounds[0],
    blocks: [
      {
        kind: 'combo',
        id: 'w',
        seconds: 40,
        combos: [{ comboId: 'worn' }],
        bpm: 80,
        calls: 'on-beat',
        words: 'numbers',
        leadPlan: 'halves',
        cyclesEach: 4,
      },
    ],
  };
  await page.request.put('/api/sessions/wears-it', {
    data: { title: 'Wears it', lead: 'left', rounds: [round] },
  });
  await open(page, '/combos/worn');
  await expect(page.getByRole('heading', { name: 'Where it is used' })).toBeVisible();
  await expect(page.getByText('“Wears it”')).toBeVisible();
  await choose(page.getByLabel('Put another in its place, everywhere'), 'Ebb 1');
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText('stands in everywhere.')).toBeVisible();
  const session = await (await page.request.get('/api/sessions/wears-it')).json();
  expect(session.rounds[0].blocks[0].combos).toEqual([{ comboId: 'ebb-1' }]);
});
