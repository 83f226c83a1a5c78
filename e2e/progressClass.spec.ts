import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test.ts';
import { takeToTheFloor, whenReadyIsOver } from './takeToTheFloor.ts';
import { openPart } from './openParts.ts';

const SLOW = ['slow-a', 'slow-b'];

/** Somebody whose straights come every 0.32 s where a line asks for 0.2 s: heard from a file, as the gym would. */
async function slowFighter(page: Page, id: string, name: string): Promise<void> {
  const fighter = { name, gradeId: 'ebb', lead: 'left', note: '', fit: true };
  expect((await page.request.put(`/api/fighters/${id}`, { data: fighter })).ok()).toBe(true);
  const starts = [1, 3, 5, 7, 9];
  const onsets = starts.flatMap((at) => [at, at + 0.32]);
  const heard = {
    ...{ source: 'file', device: 'a file', latency: 0, detector: 'strikes 3', starts: [0, 2, 4, 6, 8] },
    due: starts.flatMap((at) => [at, at + 0.2]),
    onsets: onsets.map((at) => ({ at, strength: -20 })),
  };
  for (const n of [1, 2, 3]) {
    const at = new Date(Date.now() - n * 86_400_000).toISOString();
    const trial = {
      ...{ fighterId: id, title: 'Straights', kind: 'combo-time', line: '1-2', seconds: 10, lead: 'left' },
      ...{ instants: onsets, measured: 'microphone', heard, at },
    };
    expect((await page.request.put(`/api/attempts/${id}-${n}`, { data: trial })).ok()).toBe(true);
  }
}

/** Other stories find the gym as it was. */
test.afterEach(async ({ request }) => {
  for (const id of SLOW) await request.delete(`/api/fighters/${id}?sure=yes`);
});

test.beforeEach(({ request }) => request.put('/api/gym/notice', { data: { accepted: true } }));

test('a class: what it lacks for a grade, who came, and a press that works on it', async ({ page }) => {
  await page.goto('/fighters/class');
  await expect(page.getByRole('heading', { name: 'Missing for Slack' })).toBeVisible();
  const line = page.getByRole('listitem').filter({ hasText: 'Looks after a new partner' });
  await expect(line).toContainText(/\d of \d/);
  await expect(line).toContainText('Emeka Roux');
  await expect(page.getByRole('img', { name: /People in a class, by week/ })).toBeVisible();
  await page.getByRole('button', { name: 'Show the weeks as text' }).click();
  await expect(page.getByRole('columnheader', { name: 'people in a class' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Table of classes' }).click(),
  ]);
  expect(readFileSync((await file.path())!, 'utf8')).toMatch(
    /^week of,people in a class\r\n\d{4}-\d\d-\d\d,/,
  );
  // What is asked of a combo goes into a session at its tempo.
  const combo = page.getByRole('listitem').filter({ hasText: 'clean once from each lead' }).first();
  await combo.getByRole('link', { name: 'Put it into a session' }).click();
  await expect(page.getByRole('heading', { name: /^Class of/ })).toBeVisible();
});

test('a test that is asked for is planned from both leads after a warm-up', async ({ page }) => {
  await page.goto('/sessions/new?test=two-straights');
  await expect(page.getByRole('heading', { name: 'Test: Two straights' })).toBeVisible();
  for (const title of ['Warm-up', 'Two straights, own lead', 'Two straights, other lead'])
    await expect(page.getByText(title, { exact: true }).first()).toBeVisible();
});

test('a round check names who is slower than the round, by the pace that was heard', async ({ page }) => {
  await slowFighter(page, 'slow-a', 'Story Slow');
  await page.goto('/sessions/new?combo=slack-3&bpm=120');
  await page.getByRole('tab', { name: /Check/ }).click();
  await expect(
    page.getByText(
      /Slack 3 at 120 is faster than 1 of \d+ whose pace was measured do cleanly: Story Slow \d+/,
    ),
  ).toBeVisible();
  await page.goto('/fighters/slow-a');
  await openPart(page, 'Own pace');
  await openPart(page, 'Where the time goes');
  await expect(page.getByText('hand, then the other hand')).toBeVisible();
  await expect(
    page.getByRole('img', { name: /Straights, left lead: left hand → right hand 0\.32 s/ }),
  ).toBeVisible();
  await expect(page.getByText(/Most time is lost at left hand → right hand: 0\.32 s/)).toBeVisible();
});

test('each move is counted towards the number of the gym', async ({ page }) => {
  const { school } = await (await page.request.get('/api/gym')).json();
  await page.goto('/gym');
  const field = page.getByLabel('Repetitions of a move to work towards');
  await expect(field).toHaveValue(String(school.repetitions));
  await field.fill('1500');
  await page.getByRole('button', { name: 'Save' }).first().click();
  await expect
    .poll(async () => (await (await page.request.get('/api/gym')).json()).school.repetitions)
    .toBe(1500);
  await page.goto('/fighters/ines');
  await openPart(page, 'Each move so far');
  const cross = page.getByRole('progressbar', { name: /^Cross: \d+ of 1500$/ });
  await expect(cross).toBeVisible();
  await expect(
    page.getByText(/in the last four weeks: about \d+ more weeks? like those/).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /^All \d+ moves$/ }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(5);
  await expect(page.getByRole('progressbar', { name: /^Push kick/ })).toBeVisible();
  await page.request.put('/api/gym/school', { data: school });
});

test('on the Floor the ladder goes no further than the own body of each', async ({ page }) => {
  test.setTimeout(180_000);
  for (const [i, id] of SLOW.entries()) await slowFighter(page, id, `Story Slow ${i}`);
  const combo = { gradeId: 'ebb', number: 97, title: 'Quick', line: '1 2' };
  const made = await page.request.put('/api/combos/story-quick', {
    data: { ...combo, bpm: 210, beatsPerBar: 4, notes: '', bothLeads: true, focus: [] },
  });
  expect(await made.text()).toContain('Quick');
  const block = (id: string) => ({
    ...{ kind: 'combo', id, seconds: 6, combos: [{ comboId: 'story-quick' }], bpm: 210 },
    ...{ calls: 'silent', words: 'numbers', leadPlan: 'as-set', cyclesEach: 1, lanes: [] },
  });
  const rounds = ['one', 'two', 'three'].map((title, i) => ({
    ...{ id: `r${i}`, title, kind: 'pads' },
    blocks: [block(`w${i}`), { kind: 'rest', id: `p${i}`, seconds: 12 }],
  }));
  const session = { title: 'Own ladder', lead: 'left', plannedFor: null, word: '', groups: [], rounds };
  expect(await (await page.request.put('/api/sessions/own-ladder', { data: session })).text()).toContain(
    'Own',
  );
  await takeToTheFloor(
    page,
    ['Lumi Achterberg', 'Oskar Bello', 'Yara Pelkonen', 'Dario Halloran', 'Story Slow 0'],
    'own-ladder',
  );
  await whenReadyIsOver(page);
  const rest = page.getByRole('timer', { name: 'Rest left' });
  await page.keyboard.press('Shift');
  await expect(rest).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('a');
  // Nobody is asked for more than the own body does cleanly: the one whose hands need longer holds the class, and is named.
  await expect(
    page.getByText(/Story Slow 0: 21[0-3] is the fastest that stays clean over and over/),
  ).toBeVisible();
  await expect(page.getByText(/By themselves: .*Lumi Achterberg 214/)).toBeVisible();
  await page.request.delete('/api/sessions/own-ladder');
  await page.request.delete('/api/combos/story-quick');
});
