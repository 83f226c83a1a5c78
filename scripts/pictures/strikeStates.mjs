/** How to come to the pages that hear strikes, for their picture. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { strikingPage } from '../strikes/strikingPage.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));

/** A round of which some seconds are left before its rest. */
const [SESSION, ROUND, POSITION] = ['knees-behind-the-cross', 1, 86];
const PEOPLE = ['ines', 'suda'];

/** A run whose round has run up to here; gives the run and the code with which devices join it. */
async function begun(page, base, position) {
  const id = `heard-${position}-${Date.now()}`;
  const data = { sessionId: SESSION, fighterIds: PEOPLE, startedAt: new Date().toISOString() };
  await page.request.put(`${base}/api/runs/${id}`, { data });
  await page.request.put(`${base}/api/runs/${id}/events/at`, {
    data: { kind: 'start', round: ROUND, position, at: new Date().toISOString() },
  });
  const { code } = await (await page.request.put(`${base}/api/runs/${id}/hall`, { data: {} })).json();
  return { id, code };
}

async function choose(page, label, option) {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole('option', { name: option }).click();
}

/** A bag on which a combo is struck six times. */
async function bag() {
  const [{ encodeWav }, { roundSound }, { seededRandom }] = await Promise.all(
    ['sound', 'simulation', 'units'].map(core),
  );
  const [sampleRate, beat] = [24_000, 60 / 92];
  const at = Array.from({ length: 6 }, (_, n) => [0, 1, 1.53].map((x) => 1 + 4.2 * n + x * beat)).flat();
  const samples = roundSound(at, { sampleRate, seconds: 28, struck: 'heavy bag' }, seededRandom(5));
  return Buffer.from(encodeWav({ sampleRate, samples }));
}

export const STRIKE_STATES = {
  /** In the rest after a round: what landed, on the strip of each who was heard. */
  async 'heard-round'(page, base) {
    const { id } = await begun(page, base, POSITION);
    await page.goto(`${base}/floor/${id}`);
    await page.getByTestId('call').waitFor({ timeout: 60_000 });
    await page.keyboard.press('i');
    await choose(page, 'This device hears with', /Demo source/);
    await page.getByLabel('What landed').waitFor({ timeout: 60_000 });
    await page.waitForTimeout(800);
  },
  async 'heard-station'(page, base) {
    const { id, code } = await begun(page, base, POSITION + 16);
    const desk = await page.context().browser().newPage();
    await desk.goto(`${base}/floor/${id}`);
    await page.goto(`${base}/hall/${code}/station`);
    await page.getByRole('button', { name: 'Ines' }).click();
    await page.getByRole('button', { name: 'That is all' }).click();
    await page.getByRole('button', { name: /Demo source/ }).click();
    await page.getByLabel('What landed').waitFor({ timeout: 60_000 });
    await page.waitForTimeout(800);
    await desk.close();
  },
  async lab(page, base) {
    await strikingPage(page);
    await page.goto(`${base}/gym/lab`);
    await choose(page, 'Hear with', 'Microphone');
    await page.getByRole('button', { name: 'Learn this hall' }).click();
    await page.getByText('Strike: 0 of 10').waitFor({ timeout: 20_000 });
    for (let i = 0; i < 10; i++) {
      await page.evaluate(() => window.strike(0.01));
      await page.waitForTimeout(400);
    }
    await page.getByLabel('What was learnt').waitFor();
    for (const pause of [600, 420, 420, 900, 420]) {
      await page.evaluate(() => window.strike(0.01));
      await page.waitForTimeout(pause);
    }
  },
  async 'from-file'(page, base) {
    await page.goto(`${base}/fighters/from-file`);
    const file = { name: 'bag by the window.wav', mimeType: 'audio/wav', buffer: await bag() };
    await page.getByLabel('Recording, film or table of times').setInputFiles(file);
    await page.getByRole('heading', { name: '18 strikes' }).waitFor({ timeout: 30_000 });
    await page.getByLabel('Lines that fit').getByRole('button').first().waitFor();
  },
  async trial(page, base) {
    await page.goto(`${base}/fighters/ines`);
    await page.getByRole('button', { name: /^Trials/ }).click();
    await page
      .getByRole('button', { name: /by microphone/ })
      .first()
      .click();
    await page.getByRole('dialog').waitFor();
  },
};
