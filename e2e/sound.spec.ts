import { expect, test, type Page } from './test.ts';
import { writeMidi, type MidiEvent } from 'midi-file';
import { choose } from './choose.ts';
import { browserThatHears } from './microphone.ts';

/** The own voice from the microphone, the sound check, files of a session, and the Floor's tempo and hold. */
async function open(page: Page, path: string): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await page.goto(path);
}

test('a call is recorded from the microphone, its centre moved, and the gym calls with it', async ({
  page,
  baseURL,
}) => {
  // What the microphone hears: the lower voice says "two" again and again.
  const clip = await (await page.request.get('/api/voice/say?text=two&voice=rms&rate=1')).json();
  const wav = await (await page.request.get(`/api/voice/clips/${clip.id}.wav`)).body();
  const browser = await browserThatHears(wav);
  const own = await browser.newPage({ baseURL: baseURL!, viewport: { width: 1280, height: 800 } });
  await open(own, '/gym/voice');
  await own.getByLabel('Find').fill('two');
  await own.getByRole('button', { name: /^two/ }).first().click();
  await own.getByRole('button', { name: /^Record/ }).click();
  await own.waitForTimeout(1500);
  await own.getByRole('button', { name: /^Stop/ }).click();
  const centre = own.getByRole('slider', { name: 'On the beat' });
  await expect(centre).toBeVisible({ timeout: 20_000 });
  const before = Number(await centre.getAttribute('aria-valuenow'));
  expect(before).toBeGreaterThan(20);
  await centre.focus();
  await own.keyboard.press('ArrowRight');
  await own.getByRole('button', { name: 'Keep it there' }).click();
  await expect(
    own.getByText(`${before + 5} ms into the call lies on the beat`, { exact: false }),
  ).toBeVisible();
  await expect(own.getByText(/^1 of \d+ calls recorded/)).toBeVisible();

  await own.getByRole('link', { name: 'Sound check' }).click();
  await own.getByLabel('Our own voice').check();
  await expect(
    own.getByText('Our own voice calls in this gym, at 1 times its speed, for a hall.'),
  ).toBeVisible();
  const compiled = await own.request.post('/api/rounds/compile', {
    data: {
      lead: 'left',
      seed: 1,
      blocks: [
        {
          kind: 'combo',
          id: 'b',
          seconds: 30,
          combos: [{ line: '2 2' }],
          bpm: 60,
          calls: 'on-beat',
          words: 'combo-number',
          leadPlan: 'as-set',
          cyclesEach: 2,
        },
        {
          kind: 'combo',
          id: 'c',
          seconds: 30,
          combos: [{ line: 'cross cross' }],
          bpm: 60,
          calls: 'one-count',
          words: 'numbers',
          leadPlan: 'as-set',
          cyclesEach: 2,
        },
      ],
    },
  });
  const recorded = (await (await own.request.get('/api/voice/say?text=two&voice=own&rate=1')).json()).id;
  const { cues } = await compiled.json();
  expect(cues.some((cue: { clip?: { id: string } }) => cue.clip?.id === recorded)).toBe(true);
  await own.getByLabel('Higher voice').check();
  await expect(own.getByText(/Higher voice calls in this gym/)).toBeVisible();
  await browser.close();
});

test('without a microphone the page says how to allow it, and a WAV file does instead', async ({ page }) => {
  await open(page, '/gym/voice');
  await page.getByLabel('Find').fill('halfway');
  await page.getByRole('button', { name: /^Record/ }).click();
  await expect(page.getByRole('status').filter({ hasText: /microphone/i })).toBeVisible();
  const file = (name: string, buffer: Buffer) =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'audio/wav', buffer });
  await file('bad.wav', Buffer.from('no sound at all'));
  await expect(page.getByText('This is no WAV file.')).toBeVisible();
  const clip = await (await page.request.get('/api/voice/say?text=halfway&voice=rms&rate=1')).json();
  await file('good.wav', await (await page.request.get(`/api/voice/clips/${clip.id}.wav`)).body());
  await expect(page.getByRole('slider', { name: 'On the beat' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it to the bundled voice' }).click();
  await expect(page.getByText('Say it as you call it on the floor')).toBeVisible();
  const gone = page.getByRole('listitem').filter({ hasText: 'is said by the bundled voice again' });
  await gone.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('slider', { name: 'On the beat' })).toBeVisible();
});

test('the loudspeaker is measured by tapping along', async ({ page }) => {
  await open(page, '/gym/sound');
  // It listens by itself; how long that takes is the machine's.
  await expect(page.getByText(/^Listening|^\d+ of \d+ calls$/).first()).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Tap along' }).click();
  for (let i = 0; i < 14; i++) {
    await page.keyboard.press(' ');
    await page.waitForTimeout(640);
  }
  await expect(page.getByText(/ms behind the clock, from \d+ taps|Too few taps/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByLabel('Late by, milliseconds').fill('180');
  await page.reload();
  await expect(page.getByLabel('Late by, milliseconds')).toHaveValue('180');
  await page.getByLabel('Late by, milliseconds').fill('0');
});

test('a played rhythm of one of two tracks is put on the grid that the coach chooses', async ({ page }) => {
  await open(page, '/combos');
  const note = (deltaTime: number): MidiEvent => ({
    deltaTime,
    type: 'noteOn',
    channel: 0,
    noteNumber: 60,
    velocity: 90,
  });
  const track = (text: string, ...notes: number[]): MidiEvent[] => [
    { deltaTime: 0, meta: true, type: 'trackName', text },
    ...notes.map(note),
    { deltaTime: 0, meta: true, type: 'endOfTrack' },
  ];
  const midi = writeMidi({
    header: { format: 1, numTracks: 2, ticksPerBeat: 480 },
    tracks: [track('Left', 0, 480), track('Right', 0, 226, 262, 470)],
  });
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'Played.mid', mimeType: 'audio/midi', buffer: Buffer.from(midi) });
  const sheet = page.getByRole('dialog', { name: 'The rhythm of this file' });
  // The second choice comes before the first one is answered.
  await page.route('**/api/combos/rhythm?*', async (route) => {
    await new Promise((done) => setTimeout(done, /grid/.test(route.request().url()) ? 300 : 1500));
    await route.continue();
  });
  await choose(sheet.getByLabel('Track'), 'Right, 4 notes');
  await choose(sheet.getByLabel('Put the notes on'), 'halves');
  await expect(sheet.getByRole('status')).toHaveText(
    /120 beats a minute. The note that moves most moves by \d+ ms./,
  );
  await sheet.getByRole('button', { name: 'Begin with it' }).click();
  await expect(page.getByRole('heading', { name: 'Played' })).toBeVisible();
  await expect(page.getByLabel('Beat line')).toContainText('guard-guard-guard guard');
});

test('a rhythm from a MIDI file is filled with moves', async ({ page }) => {
  await open(page, '/combos');
  const midi = await (await page.request.get('/api/sessions/first-steps/rhythm.mid?round=fs-1')).body();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'Door beat.mid', mimeType: 'audio/midi', buffer: midi });
  await expect(page.getByRole('heading', { name: 'Door beat' })).toBeVisible();
  const line = page.getByLabel('Beat line');
  await expect(line).toContainText('guard guard');
  await page.getByRole('button', { name: /put (front )?jab$/ }).click();
  await expect(line).toHaveText(/^\d guard/);
});

test('a session is taken home as a file', async ({ page }) => {
  await open(page, '/sessions/first-steps');
  await page.getByRole('button', { name: 'Files' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /Calls/ }).click();
  expect((await download).suggestedFilename()).toBe('calls.vtt');
});

test('on the Floor the tempo changes from the next time through, and it holds after the combo', async ({
  page,
}) => {
  await page.request.put('/api/runs/tempo-run', {
    data: { sessionId: 'first-steps', fighterIds: [], startedAt: new Date().toISOString() },
  });
  await page.request.put('/api/runs/tempo-run/events/held', {
    data: { kind: 'hold', round: 0, position: 16, at: new Date().toISOString() },
  });
  await open(page, '/floor/tempo-run');
  await expect(page.getByTestId('call')).toHaveText('held', { timeout: 60_000 });
  await page.keyboard.press(' ');
  await expect(page.getByTestId('call')).not.toHaveText('held');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect(page.getByText('tempo +4')).toBeVisible();
  await expect(page.getByText(/76 a minute/)).toBeVisible({ timeout: 30_000 });
  await page.keyboard.press('v');
  await page.getByRole('group', { name: 'Volume' }).getByRole('slider', { name: 'Ticks' }).press('Home');
  await page.keyboard.press('e');
  await page.getByText('leave').hover();
  await expect(page.getByTestId('call')).toHaveText('held', { timeout: 60_000 });
  const log = async (): Promise<string[]> => {
    const { events } = await (await page.request.get('/api/runs/tempo-run')).json();
    return events.map(({ kind, by = '' }: { kind: string; by?: number | '' }) => `${kind} ${by}`.trim());
  };
  await expect.poll(log).toEqual(['hold', 'go-on', 'tempo 2', 'tempo 2', 'hold']);
  await page.reload();
  await expect(page.getByText('tempo +4')).toBeVisible({ timeout: 60_000 });
  await page.request.put('/api/runs/tempo-run/end', { data: {} });
});
