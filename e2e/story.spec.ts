import { expect, test, type Page } from './test.ts';
import { startedSounds, watchAudio } from './audioWatch.ts';
import { roundSeed } from '../packages/core/src/run/index.ts';
import { choose } from './choose.ts';
import { openPart } from './openParts.ts';

/** A coach on a fresh machine: writes a combo, builds two rounds, takes them to the Floor, marks and measures, reads the log. */
test.describe.configure({ mode: 'serial' });

const TITLE = 'Door and back';
let page: Page;
test.beforeAll(async ({ browser }) => {
  page = await browser.newPage();
  await watchAudio(page);
});
test.afterAll(() => page.close());

test('the first start shows the cautions, once', async () => {
  await page.goto('/');
  await expect(page.getByRole('dialog')).toContainText('a qualified coach come first');
  await page.getByRole('button', { name: 'I have read this' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Next', exact: true })).toBeVisible();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByText('Stop at pain, dizziness or a head knock')).toBeVisible();
});

test('a combo with a half beat and a switch is written, mended and saved', async () => {
  await page.getByRole('link', { name: 'Combos', exact: true }).click();
  await page.getByRole('link', { name: 'Write a combo' }).click();
  // The page before stays until the new one is drawn.
  await expect(page.getByRole('heading', { name: 'A new combo' })).toBeVisible();
  const line = page.getByLabel('Beat line');
  await line.click();
  await page.keyboard.type('1-1 2 sw rund');
  await expect(page.getByRole('list', { name: 'Faults' })).toContainText('Did you mean round?');
  for (let i = 0; i < 4; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('3');
  const strip = page.getByRole('group', { name: /From the left lead/ });
  await expect(strip).toHaveAttribute(
    'aria-label',
    /beat 1\.5: jab head; beat 2\.5: cross head; beat 3\.5: switch to right lead; beat 4\.5: front hook head/,
  );
  await expect(page.getByText('Ends in right lead.').first()).toBeVisible();

  await page.getByLabel('Title').fill('<b>Door</b>');
  await page.getByLabel('Beats a minute').fill('999');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(
    page.getByText('The title is plain text of 1 to 60 characters, without < or >.'),
  ).toBeVisible();
  await expect(page.getByText('The tempo goes from 20 to 300 beats a minute.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Title')).toHaveValue('<b>Door</b>'); // nothing is lost
  await page.getByLabel('Title').fill(TITLE);
  await page.getByLabel('Beats a minute').fill('100');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Ebb 4 is saved.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Combos' })).toContainText(TITLE);
});

test('Enter lets the line be heard on the beat', async () => {
  await page.getByLabel('Beat line').click();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Stop/ })).toBeVisible({ timeout: 30_000 });
  await page.waitForTimeout(1500);
  expect((await startedSounds(page)).length).toBeGreaterThan(8);
  await page.getByRole('button', { name: /Stop/ }).click();
});

test('a session of two rounds is built, and bad times are refused at their field', async () => {
  await page.getByRole('link', { name: 'Sessions', exact: true }).click();
  await page.getByRole('link', { name: 'Build a session' }).click();
  await page.getByLabel('Title').first().fill('Two short rounds');
  const editor = page.locator('section').filter({ has: page.getByRole('list', { name: 'Blocks' }) });
  await editor.getByRole('button', { name: /Take First knock out/ }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Choose at least one combo.')).toBeVisible();
  await choose(editor.getByLabel('Add a combo'), `Ebb 4 · ${TITLE}`);
  await editor.getByLabel('Work', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The time goes from 5 to 7200 seconds.')).toBeVisible();
  await editor.getByLabel('Work', { exact: true }).fill('0:30');
  await editor.getByLabel('Rest', { exact: true }).fill('0:08');
  await editor.getByLabel('Beats a minute').fill('100');
  await page.getByRole('tab', { name: /^Check/ }).click();
  await expect(page.getByText(/times through, \d+ strokes due/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('tab', { name: 'Round' }).click();
  await page.getByRole('button', { name: 'Add shadow' }).click();
  await editor.getByLabel('Work', { exact: true }).fill('12');
  await editor.getByLabel('Rest', { exact: true }).fill('5');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('“Two short rounds” is saved.')).toBeVisible();
  await expect(page.getByText('0:55 in all')).toBeVisible();
});

test('the Floor plays the rounds: every sound within 2 ms of its cue, long before it is due', async () => {
  await page.getByRole('link', { name: 'Take to the Floor' }).click();
  for (const name of ['Lumi Achterberg', 'Oskar Bello']) await page.getByRole('button', { name }).click();
  await page.getByRole('button', { name: 'Take to the Floor' }).click();
  await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
  // The page compiles by itself; the server, asked for the same round, says the same.
  const runId = new URL(page.url()).pathname.split('/').at(-1)!;
  const run = await (await page.request.get(`/api/runs/${runId}`)).json();
  const [first] = run.rounds;
  const compiled = await page.request.post('/api/rounds/compile', {
    data: { blocks: first.blocks, lead: run.lead, seed: roundSeed(run.sessionId, first.id) },
  });
  const round = (await compiled.json()) as {
    cues: { at: number; kind: string; sound?: string; clip?: { start: number } }[];
  };
  const before = (await startedSounds(page)).length;
  await page.keyboard.press(' ');
  await expect(page.getByTestId('call')).toHaveText('one', { timeout: 90_000 });
  await page.waitForTimeout(6000);
  await page.keyboard.press(' ');
  await expect(page.getByTestId('call')).toHaveText('held');
  const heard = (await startedSounds(page)).slice(before);
  const due = round.cues
    .flatMap((cue) => [cue.clip?.start, cue.sound ? cue.at : undefined])
    .filter((at) => at !== undefined);
  due.sort((a, b) => a - b);
  expect(heard.length).toBeGreaterThan(25);
  const zero = heard[0]!.when - due[0]!;
  for (const [i, { when, now }] of heard.entries()) {
    expect(Math.abs(when - zero - due[i]!)).toBeLessThan(0.002);
    expect(when).toBeGreaterThan(now); // nothing is put on the clock too late
  }
  // what is due within the next three seconds is on the clock already
  const last = heard.at(-1)!;
  expect(last.when - last.now).toBeGreaterThan(3);
});

test('a reload in mid-round comes back to the right second', async () => {
  await page.waitForTimeout(300); // within 0.2 s it would be the same press, of a pedal that repeats itself
  await page.keyboard.press(' ');
  await expect(page.getByTestId('call')).not.toHaveText('held');
  const clockAt = async (): Promise<number> => {
    const text = (await page.getByRole('timer').textContent()) ?? '';
    const [minutes, seconds] = text.split(':').map(Number);
    return minutes! * 60 + seconds!;
  };
  const left = await clockAt();
  const since = Date.now();
  await page.reload();
  await expect(page.getByText(/Came back at 0:\d\d of round 1\./)).toBeVisible({ timeout: 30_000 });
  const passed = (Date.now() - since) / 1000;
  expect(Math.abs(left - passed - (await clockAt()))).toBeLessThanOrEqual(1.2);
  await page.keyboard.press('Shift'); // any key lets it sound again
  await expect.poll(async () => (await startedSounds(page)).length).toBeGreaterThan(0);
});

test('marks are set with one press, taken back, and skipping goes to the next round', async () => {
  await page.keyboard.press('c');
  await page.keyboard.press('0');
  await page.keyboard.press('1');
  const first = page.getByRole('button', { name: /Yara Pelkonen/ });
  await expect(first).toContainText('finished, clean');
  await page.keyboard.press('l');
  await page.getByRole('button', { name: /Dario Halloran/ }).click();
  await expect(page.getByRole('button', { name: /Dario Halloran/ })).toContainText('finished, loose');
  await page.keyboard.press('s');
  await page.keyboard.press('0');
  await page.keyboard.press('3');
  await expect(page.getByRole('button', { name: /Emeka Roux/ })).toContainText('sat out');
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /Emeka Roux/ })).not.toContainText('sat out');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('round 2 of 2')).toBeVisible();
});

test('a ten-second burst is counted by taps', async () => {
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Yara Pelkonen');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/tap anywhere/)).toBeVisible({ timeout: 30_000 });
  for (let i = 0; i < 7; i++) {
    await page.keyboard.press(' ');
    await page.waitForTimeout(150);
  }
  await expect(page.getByTestId('burst-count')).toHaveText('7');
  await expect(page.getByText('0.7 a second')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Back to the round' }).click();
});

test('the session ends by itself and stands in the fighter’s log', async () => {
  await page.keyboard.press(' ');
  await expect(page.getByText('That was the session')).toBeVisible({ timeout: 120_000 });
  const efforts = page.getByRole('group', { name: /How hard was it/ });
  await efforts.getByRole('button', { name: '7', exact: true }).click();
  await page.getByLabel('Note').fill('Knees too low');
  const runId = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.getByRole('button', { name: 'Close the session' }).click();
  await expect
    .poll(async () => (await page.request.get(`/api/runs/${runId}`)).json())
    .toMatchObject({ effort: 7, note: 'Knees too low' });
  await page.getByRole('link', { name: /Yara Pelkonen/ }).click();
  await openPart(page, 'Rounds');
  const row = page.getByRole('row', { name: /Ebb 4 · 100 a minute/ });
  await expect(row).toContainText('finished, clean');
  await page.getByRole('radio', { name: 'Two straights', exact: true }).click();
  await expect(page.getByRole('img', { name: /Two straights, right lead: \d+ trials/ })).toBeVisible();
  await openPart(page, 'All that these trials say');
  // Seven taps are no burst of somebody who does five and twenty: that is reported, and left out.
  await expect(page.getByText(/^7 on .* cannot be so beside the others/)).toBeVisible();
});
