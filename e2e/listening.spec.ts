import { expect, test, type APIRequestContext, type Page } from './test.ts';
import { choose } from './choose.ts';
import { beginHeard, heardOf } from './heardRun.ts';
import { followSound } from './followSound.ts';
import { strikingMicrophone } from './strikingMicrophone.ts';
import { struckPhone } from './struckPhone.ts';

const newestOf = async (request: APIRequestContext, name: string) => {
  const { items } = await (await request.get('/api/fighters')).json();
  const { id } = items.find((each: { name: string }) => each.name === name);
  return (await (await request.get(`/api/fighters/${id}/attempts`)).json()).items[0];
};

test('this device hears a combo round: what landed stands on the strip, and is kept as a trial', async ({
  page,
}) => {
  test.setTimeout(200_000);
  const { id, landing } = await beginHeard(page.request, ['Lumi Achterberg', 'Oskar Bello'], 24);
  // A loudspeaker that is a quarter of a second late; they strike to what they hear, and miss one.
  await page.addInitScript(() => localStorage.setItem('eurhythm.desk', '{"latency":0.25}'));
  await strikingMicrophone(
    page,
    landing.toSpliced(-5, 1).map((at) => at + 250),
  );
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('i');
  await choose(page.getByLabel('This device hears with'), 'Microphone');
  await choose(page.getByLabel('Whose strikes'), 'Oskar Bello');
  await expect(page.getByText('It listens in every round')).toBeVisible();
  await expect(page.getByText('this device', { exact: true })).toBeVisible();
  await expect(page.getByLabel('What landed')).toBeVisible({ timeout: 90_000 });
  const { landed, of, late } = await heardOf(page, 'Oskar');
  expect(Math.abs(late)).toBeLessThan(120);
  expect(of).toBeGreaterThan(9);
  expect(landed).toBeGreaterThanOrEqual(of - 4);
  expect(landed).toBeLessThan(of);
  await expect(page.getByText(/A dot left of its pin came early/)).toBeVisible();
  // It was somebody else after all, and then it was not.
  await page.getByRole('button', { name: 'Not them' }).click();
  await expect(page.getByLabel('What landed')).toHaveCount(0);
  await page.getByRole('button', { name: 'They after all' }).click();
  await expect(page.getByLabel('What landed')).toBeVisible();
  // Who takes the place in the rest has none of it.
  await choose(page.getByLabel('Whose strikes'), 'Lumi Achterberg');
  await expect(page.getByLabel('Listeners').getByText('Lumi Achterberg')).toBeVisible();
  expect((await heardOf(page, 'Oskar')).landed).toBe(landed);
  await page.keyboard.press('PageDown');
  await expect
    .poll(async () => (await newestOf(page.request, 'Oskar Bello')).title, { timeout: 20_000 })
    .toBe('Slack 2');
  const trial = await newestOf(page.request, 'Oskar Bello');
  expect(trial).toMatchObject({
    measured: 'microphone',
    kind: 'combo-time',
    heard: { source: 'microphone' },
  });
  expect(trial.heard.starts.length).toBeGreaterThan(2);
  expect((await newestOf(page.request, 'Lumi Achterberg')).runId).not.toBe(id);
  // 3 2-r:knee at 70 a minute: a beat and a half.
  expect(Math.abs(trial.value - (1.5 * 60) / 70)).toBeLessThan(0.06);
});

test('two stations hear two fighters; the coach sees both counts, and both see their strips', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(200_000);
  const { id, landing } = await beginHeard(page.request, ['Lumi Achterberg', 'Oskar Bello'], 36);
  const { code } = await (await page.request.put(`/api/runs/${id}/hall`, { data: {} })).json();
  await strikingMicrophone(page);
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('i');
  // One lies beside its bag, the other one is taped to it; there they strike a tenth of a second sooner.
  const stations: Page[] = [];
  for (const [name, hears] of [
    ['Lumi', 'Microphone'],
    ['Oskar', 'Motion of this phone'],
  ] as const) {
    const station = await browser.newPage({ baseURL: baseURL!, viewport: { width: 360, height: 740 } });
    const isTaped = hears !== 'Microphone';
    if (!isTaped) await strikingMicrophone(station, landing);
    await station.goto(`/hall/${code}/station`);
    if (isTaped)
      await struckPhone(
        station,
        landing.map((at) => at - 100),
      );
    await station.getByRole('button', { name: new RegExp(name) }).click();
    await station.getByRole('button', { name: 'That is all' }).click();
    await station.getByRole('button', { name: hears }).click();
    stations.push(station);
  }
  const followNoMore = followSound(page, stations);
  const listeners = page.getByLabel('Listeners');
  await expect(listeners.getByText('Lumi Achterberg')).toBeVisible({ timeout: 20_000 });
  await expect(listeners.getByText('Oskar Bello')).toBeVisible();
  for (const station of stations)
    await expect
      .poll(async () => Number(await station.getByTestId('heard').textContent()), { timeout: 60_000 })
      .toBeGreaterThan(8);
  await expect(page.getByLabel('What landed')).toBeVisible({ timeout: 90_000 });
  const [lumi, oskar] = [await heardOf(page, 'Lumi'), await heardOf(page, 'Oskar')];
  expect(lumi.landed).toBeGreaterThan(10);
  expect(oskar.landed).toBeGreaterThan(10);
  expect(Math.abs(lumi.late - oskar.late - 100)).toBeLessThan(80);
  for (const station of stations)
    await expect(station.getByLabel('What landed')).toBeVisible({ timeout: 10_000 });
  // The coach counted one of them, and says so in the rest, before the round is over.
  await listeners.getByLabel('Counted by hand for Lumi Achterberg').fill('17');
  await page.keyboard.press('Enter');
  await expect(listeners.getByText('17 counted by hand')).toBeVisible();
  await page.keyboard.press('PageDown');
  for (const name of ['Lumi Achterberg', 'Oskar Bello'])
    await expect.poll(async () => (await newestOf(page.request, name)).runId, { timeout: 20_000 }).toBe(id);
  const trials = [
    await newestOf(page.request, 'Lumi Achterberg'),
    await newestOf(page.request, 'Oskar Bello'),
  ];
  expect(trials).toMatchObject([
    { measured: 'by-hand', count: 17, kind: 'combo-time', heard: null },
    { measured: 'motion', kind: 'combo-time' },
  ]);
  followNoMore();
  for (const station of stations) await station.close();
});

test('a station without a microphone says why, and hears the motion of its phone instead', async ({
  page,
}) => {
  const { id } = await beginHeard(page.request, ['Lumi Achterberg'], 1);
  const { code } = await (await page.request.put(`/api/runs/${id}/hall`, { data: {} })).json();
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'));
  });
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto(`/hall/${code}/station`);
  await page.getByRole('button', { name: /Lumi/ }).click();
  await page.getByRole('button', { name: 'That is all' }).click();
  await page.getByRole('button', { name: 'Microphone' }).click();
  await expect(page.getByText('The microphone is not allowed')).toBeVisible();
  await page.getByRole('button', { name: 'stop' }).click();
  const now = Date.now();
  await struckPhone(
    page,
    Array.from({ length: 60 }, (_, i) => now + 500 * i),
  );
  await page.getByRole('button', { name: 'Motion of this phone' }).click();
  await expect
    .poll(async () => Number(await page.getByTestId('heard').textContent()), { timeout: 20_000 })
    .toBeGreaterThan(5);
});

test('a burst is counted by the strike sensor, with losses reported', async ({ page, browser, baseURL }) => {
  test.setTimeout(120_000);
  const lab = await browser.newPage({ baseURL: baseURL! });
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  await lab.goto('/gym/lab');
  await lab.getByRole('button', { name: 'Simulated strike sensor' }).click();
  await choose(lab.getByLabel('Hear with'), 'Strike sensor');
  await expect
    .poll(async () => Number(await lab.getByTestId('lab-count').textContent()), { timeout: 20_000 })
    .toBeGreaterThan(4);
  await page.goto('/fighters');
  const { id } = await beginHeard(page.request, ['Oskar Bello'], 1);
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('t');
  await choose(page.getByLabel('Counted by'), 'Strike sensor');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/One trial, saved/)).toBeVisible({ timeout: 60_000 });
  await expect.poll(async () => (await newestOf(page.request, 'Oskar Bello')).measured).toBe('sensor');
  const trial = await newestOf(page.request, 'Oskar Bello');
  expect(trial.count).toBeGreaterThan(8);
  expect(trial.heard).toMatchObject({ source: 'sensor', device: 'pad-1', detector: null });
  // Switched off, it is gone, and the burst says so in plain words.
  await lab.close();
  await page.getByRole('button', { name: 'Again' }).click();
  await expect(page.getByRole('alert')).toContainText('No strike sensor is there', { timeout: 15_000 });
});

test('a burst of the class: a station tells its fighter’s number, the coach is asked for the others', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(180_000);
  const { id } = await beginHeard(page.request, ['Lumi Achterberg', 'Oskar Bello'], 1);
  const { code } = await (await page.request.put(`/api/runs/${id}/hall`, { data: {} })).json();
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toBeVisible({ timeout: 60_000 });
  const station = await browser.newPage({ baseURL: baseURL!, viewport: { width: 360, height: 740 } });
  await strikingMicrophone(station);
  await station.goto(`/hall/${code}/station`);
  await station.getByRole('button', { name: /Oskar/ }).click();
  await station.getByRole('button', { name: 'That is all' }).click();
  await station.getByRole('button', { name: 'Microphone' }).click();
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Everybody, partners count');
  await expect(page.getByText('Stations that listen tell their numbers')).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(station.getByText('burst', { exact: true })).toBeVisible({ timeout: 15_000 });
  // All the time; those of the ten seconds count.
  const strikes = (everyMs: number, seconds: number): Promise<void> =>
    station.evaluate(
      ({ everyMs, times }) =>
        new Promise<void>((done) => {
          let left = times;
          const timer = setInterval(() => {
            (window as unknown as { strike(inSeconds: number): void }).strike(0.01);
            if (--left > 0) return;
            clearInterval(timer);
            done();
          }, everyMs);
        }),
      { everyMs, times: Math.round((1000 * seconds) / everyMs) },
    );
  const striking = strikes(500, 22);
  const numbers = page.getByLabel('Numbers of the class');
  await expect(numbers).toBeVisible({ timeout: 40_000 });
  const oskars = numbers.getByRole('button', { name: /Oskar/ }).locator('strong');
  await expect(oskars).toHaveText(/^(1[6-9]|2[0-2])$/, { timeout: 10_000 });
  await expect(page.getByText('1 of 2 still open')).toBeVisible();
  await expect
    .poll(async () => (await newestOf(page.request, 'Oskar Bello')).runId, { timeout: 20_000 })
    .toBe(id);
  const trial = await newestOf(page.request, 'Oskar Bello');
  expect(trial).toMatchObject({ measured: 'microphone', kind: 'burst', heard: { source: 'microphone' } });
  await striking;
  // Once more, four times slower: what was heard of the first burst is none of this one.
  await page.getByLabel(/How many .* did/).fill('12');
  await page.keyboard.press('Enter');
  // That is far from what she usually does: it is asked about once.
  await expect(page.getByRole('alert')).toContainText('Enter once more keeps it');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Back to the round' }).click();
  await page.keyboard.press('t');
  await choose(page.getByLabel('Who'), 'Everybody, partners count');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(station.getByText('burst', { exact: true })).toBeVisible({ timeout: 15_000 });
  const again = strikes(2000, 22);
  await expect(numbers).toBeVisible({ timeout: 40_000 });
  await expect(oskars).toHaveText(/^([3-9]|1[0-2])$/, { timeout: 10_000 });
  await again;
  await station.close();
});
