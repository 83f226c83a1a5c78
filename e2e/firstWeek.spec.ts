import { openGym } from '../apps/server/test/host/hostedGym.ts';
import { expect, test } from './test.ts';
import { choose } from './choose.ts';

/** Somebody who has never seen it: from nothing to the first bell, and a line typed as it is said. */
test('an empty gym leads from its name to the Floor, one step at a time, and never locks', async ({
  page,
}) => {
  const { base, close } = await openGym('empty');
  try {
    await page.request.put(`${base}/api/gym/notice`, { data: { accepted: true } });
    await page.goto(`${base}/`);
    const steps = page.getByRole('list', { name: 'First steps' });
    await expect(steps.getByRole('listitem')).toHaveCount(5);
    await expect(page.getByText('Nothing stands out')).toBeHidden();
    // Another step may be looked at first.
    await steps.getByRole('button', { name: 'A first session' }).click();
    await expect(steps).toContainText('First a combo: rounds are made of combos.');
    await steps.getByRole('button', { name: 'Name the gym, and say how it calls strokes' }).click();
    await steps.getByRole('button', { name: 'Save' }).click();
    await expect(steps.getByLabel('Name of the gym')).toBeFocused(); // where something is missing
    await page.keyboard.type('Harbour hall');
    await choose(steps.getByLabel('Strokes are called'), 'by name');
    await steps.getByRole('button', { name: 'Save' }).click();
    await steps.getByLabel('Name', { exact: true }).fill('Nour Castell');
    await page.keyboard.press('Enter');
    // The next one is typed while the first is still being kept.
    await page.keyboard.type('Pia Lindqvist');
    await page.keyboard.press('Enter');
    await expect(steps).toContainText('Nour Castell, Pia Lindqvist');
    await steps.getByRole('button', { name: 'That is all for now' }).click();
    await steps.getByLabel('As you would say it').fill('jab, cross and a lead hook to the body');
    await expect(steps).toContainText('read as 1 2 3@b: jab, cross, hook body');
    await steps.getByRole('button', { name: 'Keep it' }).click();
    await steps.getByRole('button', { name: 'Two short rounds to try it' }).click();
    await steps.getByRole('link', { name: /to the Floor$/ }).click();
    for (const name of ['Nour Castell', 'Pia Lindqvist']) await page.getByRole('button', { name }).click();
    await page.getByRole('button', { name: 'Take to the Floor' }).click();
    await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
    const [combo] = (await (await page.request.get(`${base}/api/combos`)).json()).items;
    expect(combo).toMatchObject({ line: '1 2 3@b', title: 'Jab, cross, hook body' });
    const gym = await (await page.request.get(`${base}/api/gym`)).json();
    expect([gym.name, gym.school.words]).toEqual(['Harbour hall', 'names']);
  } finally {
    await close();
  }
});

test('a line is typed as it is said, taken over by Enter, and asks where it may mean two things', async ({
  page,
}) => {
  await page.goto('/combos');
  await page.getByRole('link', { name: 'Write a combo' }).click();
  const line = page.getByLabel('Beat line');
  const read = page.getByRole('region', { name: 'Read as' });
  await expect(line).toBeFocused();
  await page.keyboard.type('jab cross switch lead round kick');
  await expect(read).toContainText('1 2 sw f:round');
  // It is drawn as it is read, before anybody takes it.
  await expect(page.getByRole('group', { name: /From the left lead/ }).getByRole('button')).toHaveCount(4);
  await page.keyboard.press('Enter');
  await expect(line).toHaveText('1 2 sw f:round');
  await expect(read).toBeHidden();

  await line.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('double jab, rear hook to the body, kick');
  await expect(read).toContainText('Which kick?');
  await expect(read.getByRole('button', { name: 'Take it' })).toBeHidden();
  await read.getByRole('button', { name: 'round kick', exact: true }).click();
  await expect(read).toContainText('1-1 4@b 8');
  await read.getByRole('button', { name: 'Take it' }).click();
  await expect(line).toHaveText('1-1 4@b 8');

  // As notation it would be a slip and a step to the left.
  await line.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('1 2 slip left 3');
  await expect(read).toContainText('1 2 slip 3');
  await line.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('jab croos lead hook');
  await expect(read).toContainText('“croos” was read as cross.');
  // Saved as it is read.
  await page.getByLabel('Title').fill('Jab and all');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/ is saved\.$/)).toBeVisible();
  await expect(line).toHaveText('1 2 3');
});

test('a session without a title gets one from its rounds, and a form shows where something is missing', async ({
  page,
}) => {
  await page.goto('/sessions/new');
  await page.getByLabel('Title').first().fill('');
  await page.getByRole('button', { name: 'Add shadow' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('“Pads and shadow” is saved.')).toBeVisible();
  await page.goto('/combos/new');
  await page.getByLabel('Beat line').click();
  await page.keyboard.type('1 2');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel('Title')).toBeFocused();
});

test('fighters are entered one after the other, and a new kick begins as kicks are', async ({ page }) => {
  await page.goto('/fighters/new');
  await page.getByLabel('Name').fill('Arne Sood');
  await choose(page.getByLabel('Grade'), 'Minnows');
  await expect(page.getByText('a child: shorter rounds, and the limits of its band')).toBeVisible();
  await page.getByRole('button', { name: 'Save and add another' }).click();
  await page.keyboard.type('Bea Sood');
  await expect(page.getByText('Arne Sood is entered.')).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Bea Sood');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Bea Sood' })).toBeVisible();
  await expect(page).toHaveTitle('Bea Sood · Eurhythm');
  const { items } = await (await page.request.get('/api/fighters')).json();
  const sisters = items.filter(({ name }: { name: string }) => name.endsWith('Sood'));
  expect(sisters.map(({ gradeId }: { gradeId: string }) => gradeId)).toEqual(['minnows', 'minnows']);

  await page.goto('/moves/new');
  await choose(page.getByLabel('Family'), 'Kicks');
  await expect(page.getByLabel('Limb').last()).toHaveText(/leg/i);
  await expect(page).toHaveTitle('A new move · Eurhythm');
});
