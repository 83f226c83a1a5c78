import { expect, test, type Locator, type Page } from './test.ts';
import { SIZES, faultsOf, tooWide } from './axe.ts';
import { encodeWav } from '@eurhythm/core/sound';
import { browserThatHears } from './microphone.ts';
import { takeToTheFloor, whenReadyIsOver } from './takeToTheFloor.ts';

/** The Floor on any screen, by touch, and by keyboard alone. */
async function isOnScreen(page: Page, ...things: Locator[]): Promise<void> {
  const { width, height } = page.viewportSize()!;
  for (const thing of things) {
    const box = (await thing.boundingBox())!;
    expect(box.x).toBeGreaterThanOrEqual(0);
    expect(box.y).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width).toBeLessThanOrEqual(width);
    expect(box.y + box.height).toBeLessThanOrEqual(height);
  }
}

const call = (page: Page): Locator => page.getByTestId('call');

test('axe finds nothing on the running Floor, held, timing a burst, and at its end, at any size', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  const atEverySize = async (): Promise<void> => {
    for (const size of Object.values(SIZES)) {
      await page.setViewportSize(size);
      expect(await tooWide(page)).toBe(0);
      expect(await faultsOf(page)).toEqual([]);
    }
  };
  await atEverySize();
  await page.keyboard.press(' ');
  await expect(call(page)).not.toHaveText('ready when you are');
  await atEverySize();
  await page.keyboard.press('v');
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  await atEverySize();
  await page.keyboard.press('v');
  await page.keyboard.press('t');
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  await atEverySize();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByTestId('burst-count')).toBeVisible();
  await atEverySize();
});

test('with more than nine there, everybody has a key of two digits', async ({ page }) => {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  const { items } = await (await page.request.get('/api/fighters')).json();
  const people = items.filter(({ fit }: { fit: boolean }) => fit).map(({ name }: { name: string }) => name);
  expect(people.length).toBeGreaterThan(9);
  await takeToTheFloor(page, people);
  await whenReadyIsOver(page);
  const tile = (name: string): Locator => page.getByRole('button', { name: new RegExp(name) });
  await expect(tile(people[10]!)).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('c');
  await page.keyboard.press('1');
  await page.keyboard.press('1');
  await expect(tile(people[10]!)).toContainText('finished, clean');
  await expect(tile(people[0]!)).not.toContainText('finished');
  await page.keyboard.press('w');
  await page.keyboard.press('0');
  await page.keyboard.press('1');
  await expect(tile(people[0]!)).toContainText('finished, wild');
});

test('only work is marked: nothing before the first bell, and a part counts from it; ten presses are taken back', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  const [lumi, oskar] = ['Lumi', 'Oskar'].map((name) => page.getByRole('button', { name: new RegExp(name) }));
  await page.keyboard.press('w');
  await page.keyboard.press('1');
  await expect(page.getByText('Nobody has begun this round')).toBeVisible();
  await expect(lumi!).not.toContainText('wild');
  await page.keyboard.press('s');
  await page.keyboard.press('1');
  await expect(lumi!).toContainText('sat out');
  await whenReadyIsOver(page);
  await expect(lumi!).toContainText('sat out', { timeout: 60_000 });
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  // Ten seconds to get ready are no work: what is held at 20 s was worked for ten.
  await page.keyboard.press('p');
  await page.keyboard.press('2');
  await expect(oskar!).toContainText(/part 0:\d\d/);
  const run = page.url().split('/').at(-1);
  // The mark may still be on its way.
  await expect(async () => {
    const { results, events } = await (await page.request.get(`/api/runs/${run}`)).json();
    const own = results.find(({ fighterId }: { fighterId: string }) => fighterId === 'oskar');
    const held = events.filter(({ kind }: { kind: string }) => kind === 'hold').at(-1).position;
    expect(Math.abs(held - 10 - own.seconds)).toBeLessThanOrEqual(1);
  }).toPass();
  for (const key of ['l', 'w', 'c']) {
    await page.keyboard.press(key);
    await page.keyboard.press('2');
  }
  await expect(oskar!).toContainText(/part 0:\d\d, clean/);
  for (const stood of [/part 0:\d\d, wild/, /part 0:\d\d, loose/, /part 0:\d\d$/]) {
    await page.keyboard.press('u');
    await expect(oskar!).toContainText(stood);
  }
  await page.keyboard.press('u');
  await expect(oskar!).not.toContainText('part');
});

test('by keyboard alone: the space bar presses the button that has the focus, and holds where none has', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press(' ');
  await expect(call(page)).not.toHaveText('ready when you are');
  const volume = page.getByRole('button', { name: /volume/ });
  for (let i = 0; i < 40 && !(await volume.evaluate((each) => each === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await expect(volume).toBeFocused();
  await page.keyboard.press(' ');
  await expect(page.getByRole('slider').first()).toBeVisible();
  await expect(call(page)).not.toHaveText('held');
  await call(page).click();
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
});

test.describe('by touch on a phone', () => {
  test.use({ viewport: SIZES.phone, hasTouch: true, isMobile: true });

  test('clock, call and Hold are on the screen either way, and fingers find everything', async ({ page }) => {
    await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
    await page.getByRole('button', { name: 'Start', exact: true }).tap();
    const hold = page.getByRole('button', { name: 'Hold', exact: true });
    for (const size of [SIZES.phone, SIZES['phone on its side'], SIZES.phone]) {
      await page.setViewportSize(size);
      await expect(hold).toBeVisible();
      await isOnScreen(page, page.getByRole('timer'), hold);
      await expect(call(page)).not.toHaveText('');
      await isOnScreen(page, call(page));
    }
    await hold.tap();
    await expect(call(page)).toHaveText('held');
    const run = `/api/runs/${page.url().split('/').at(-1)}`;
    // The server keeps events as they come: what was tapped has to be there before the next one.
    await expect
      .poll(async () => JSON.stringify((await (await page.request.get(run)).json()).events))
      .toContain('"hold"');
    await whenReadyIsOver(page);
    await hold.tap();
    await expect(call(page)).toHaveText('held');
    await page.getByRole('button', { name: 'Part' }).tap();
    await page.getByRole('button', { name: /Oskar Bello/ }).tap();
    await expect(page.getByRole('button', { name: /Oskar Bello/ })).toContainText(/part \d:\d\d/);
    for (const button of await page.getByRole('button').all()) {
      const box = await button.boundingBox();
      if (box) expect([await button.textContent(), box.height >= 64]).toEqual([expect.anything(), true]);
    }
  });

  test('a class is found, opened and begun from Today', async ({ page }) => {
    await page.request.put('/api/gym/notice', { data: { accepted: true } });
    await page.goto('/');
    await page.getByRole('link', { name: 'Floor', exact: true }).tap();
    await page.getByRole('button', { name: /^Lumi Achterberg/ }).tap();
    await page.getByRole('button', { name: 'Take to the Floor' }).tap();
    await expect(call(page)).toHaveText('ready when you are', { timeout: 90_000 });
    await page.getByRole('button', { name: 'Start', exact: true }).tap();
    await expect(call(page)).not.toHaveText('ready when you are');
  });
});

test('a pedal is learnt by pressing it, holds however fast it repeats itself, and is known after a reload', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press('v');
  await page.getByRole('group', { name: 'Pedals and remotes' }).getByTitle('Hold and go on').click();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('round 1 of 5')).toBeVisible(); // learnt, and did nothing yet
  await page.keyboard.press('v');
  await call(page).click();
  await page.keyboard.press('PageDown');
  await expect(call(page)).not.toHaveText('ready when you are');
  await page.waitForTimeout(600);
  await page.keyboard.down('PageDown');
  // A page that stalls while the pedal is down sees all that it repeats too late.
  const stall = (): Promise<void> =>
    page.evaluate(() => {
      for (const until = performance.now() + 700; performance.now() < until;);
    });
  const thirty = Array.from({ length: 30 });
  await Promise.all([stall(), ...thirty.map(() => page.keyboard.down('PageDown'))]);
  await page.keyboard.up('PageDown');
  await expect(call(page)).toHaveText('held');
  await page.waitForTimeout(600);
  await Promise.all([stall(), ...thirty.map(() => page.keyboard.press(' '))]); // another one sends the space bar
  await expect(call(page)).not.toHaveText('held');
  await page.waitForTimeout(600);
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  await page.reload();
  await expect(call(page)).toHaveText('held', { timeout: 90_000 });
  await page.keyboard.press('PageDown');
  await expect(call(page)).not.toHaveText('held');
  await expect(page.getByText('round 1 of 5')).toBeVisible();
});

test('a key that is held down does what it does once', async ({ page }) => {
  await takeToTheFloor(page, ['Lumi Achterberg']);
  const pedals = page.getByRole('group', { name: 'Pedals and remotes' });
  for (let i = 0; i < 4; i++) await page.keyboard.down('v');
  await page.keyboard.up('v');
  await expect(pedals).toBeVisible();
  await page.keyboard.press('v');
  await expect(pedals).toBeHidden();
});

test('two loud claps hold and go on, where that is switched on', async ({ baseURL }) => {
  // Two claps at 3 s, and quiet until 12 s: noise that is gone in some milliseconds.
  const [rate, samples] = [48_000, new Float32Array(12 * 48_000)];
  for (const from of [3, 3.4])
    for (let i = 0; i < rate / 10; i++)
      samples[from * rate + i] = (Math.random() - 0.5) * Math.exp(-i / (0.006 * rate));
  const browser = await browserThatHears(encodeWav({ sampleRate: rate, samples }));
  const page = await browser.newPage({ baseURL: baseURL!, viewport: { width: 1280, height: 800 } });
  await takeToTheFloor(page, ['Lumi Achterberg']);
  await page.keyboard.press(' ');
  await expect(call(page)).not.toHaveText('ready when you are');
  await page.waitForTimeout(600);
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  await page.keyboard.press('v');
  await page.getByLabel('Two loud claps hold and go on').click();
  await expect(call(page)).not.toHaveText('held');
  // Switched off, the next ones do nothing.
  await page.getByLabel('Two loud claps hold and go on').click();
  await page.keyboard.press('v');
  await page.keyboard.press(' ');
  await expect(call(page)).toHaveText('held');
  await browser.close();
});

test('after the class every mark is seen and put right, and what was not held is reported', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const done = (event: string, data: object) =>
    page.request.put(`/api/runs/${id}/events/${event}`, { data: { at: new Date().toISOString(), ...data } });
  await done('bell', { kind: 'bell', round: 0 });
  await done('skip', { kind: 'skip', round: 5, running: false });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'That was the session' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/Held to the end bell: 1 of 5 rounds\. Not: /)).toBeVisible();
  expect(await faultsOf(page)).toEqual([]);
  const cell = (text: string): Locator => page.getByRole('button', { name: text, exact: true });
  await expect(cell('Oskar Bello, round 1: finished')).toBeVisible();
  await page.keyboard.press('w');
  await cell('Oskar Bello, round 1: finished').click();
  await expect(cell('Oskar Bello, round 1: finished, wild')).toBeVisible();
  await page.keyboard.press('u');
  await expect(cell('Oskar Bello, round 1: finished')).toBeVisible();
  await page.keyboard.press('s');
  await cell('Lumi Achterberg, round 2: open').click();
  await expect(cell('Lumi Achterberg, round 2: sat out')).toBeVisible();
  await expect(page.getByText('1 open')).toBeVisible(); // the other one of the round that was held now
  await expect(async () => {
    const { results } = await (await page.request.get(`/api/runs/${id}`)).json();
    expect(results.map((each: { done: string }) => each.done).sort()).toEqual([
      'finished',
      'finished',
      'sat-out',
    ]);
  }).toPass();
  for (const size of Object.values(SIZES)) {
    await page.setViewportSize(size);
    expect(await tooWide(page)).toBe(0);
  }
  // What was missed is a session again, without the round that was held.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Plan what was missed' }).click();
  await expect(page.getByRole('heading', { name: /^Missed: Knees/ })).toBeVisible();
  const missedId = new URL(page.url()).pathname.split('/').at(-1)!;
  const missed = await (await page.request.get(`/api/sessions/${missedId}`)).json();
  expect(missed.rounds).toHaveLength(4);
  expect(missed.rounds[0].blocks.some((block: { id: string }) => block.id.endsWith('-ready'))).toBe(false);
  await page.request.delete(`/api/sessions/${missedId}`);
});

test('the ladder: a clean round offers a faster next one in the rest, and one key takes it', async ({
  page,
}) => {
  const { items } = await (await page.request.get('/api/combos')).json();
  const block = (id: string) => ({
    ...{ kind: 'combo', id, seconds: 9, combos: [{ comboId: items[0].id }], bpm: 84 },
    ...{ calls: 'on-beat', words: 'numbers', leadPlan: 'as-set', cyclesEach: 1, lanes: [] },
  });
  const rounds = ['one', 'two', 'three'].map((title, i) => ({
    ...{ id: `r${i}`, title, kind: 'pads' },
    blocks: [block(`w${i}`), { kind: 'rest', id: `p${i}`, seconds: 6 }],
  }));
  const session = { title: 'Ladder', lead: 'left', plannedFor: null, word: '', groups: [], rounds };
  const saved = await page.request.put('/api/sessions/ladder', { data: session });
  expect(await saved.text()).toContain('Ladder');
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello'], 'ladder');
  await whenReadyIsOver(page);
  const rest = page.getByRole('timer', { name: 'Rest left' });
  await expect(page.getByText('round 1 of 3')).toBeVisible();
  await page.keyboard.press('Shift');
  await expect(rest).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('a');
  await expect(page.getByText('Clean at 84: up to 88.')).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByText('The next round goes at 88 a minute.')).toBeVisible();
  await expect(page.getByText('round 2 of 3')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText(/88 a minute/).first()).toBeVisible();
  await expect(page.getByText('tempo +4')).toBeVisible();
});

test('somebody comes late and somebody leaves, with two presses each, also after a reload', async ({
  page,
}) => {
  await takeToTheFloor(page, ['Lumi Achterberg', 'Oskar Bello']);
  const people = page.getByRole('list', { name: 'People' });
  await page.keyboard.press('h');
  await page.getByRole('button', { name: /^Sanne Ibarra/ }).click();
  await page.keyboard.press('h');
  await expect(people.getByRole('button', { name: /Sanne Ibarra/ })).toBeVisible();
  await page.keyboard.press('h');
  await page.getByRole('button', { name: /^Lumi Achterberg/ }).click();
  await expect(page.getByRole('button', { name: /^Lumi Achterberg/ })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  for (const size of Object.values(SIZES)) {
    await page.setViewportSize(size);
    expect(await tooWide(page)).toBe(0);
    expect(await faultsOf(page)).toEqual([]);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  // What a child should not do is read before the bell, not cut off by what stands below it.
  await isOnScreen(
    page,
    page.getByRole('region', { name: 'Children’s limits' }),
    page.getByText('leave', { exact: true }),
  );
  await page.reload();
  await expect(call(page)).toHaveText('ready when you are', { timeout: 60_000 });
  await expect(people.getByRole('button', { name: /Sanne Ibarra/ })).toBeVisible();
  await expect(people.getByRole('button', { name: /Lumi Achterberg/ })).toHaveCount(0);
  // Who has come works with somebody in the rounds that come.
  const { partners } = await (
    await page.request.get(`/api/runs/${new URL(page.url()).pathname.split('/').at(-1)}`)
  ).json();
  for (const { round, groups } of partners)
    if (round > 0) expect(JSON.stringify(groups)).not.toContain('lumi');
});
