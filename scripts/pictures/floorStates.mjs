import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { codeOf, floorAt, joined, lastRunId } from './shownRun.mjs';

/** The Floor in its other states, for a sheet of their own. */
export const FLOOR_STATES = {
  /** Technique on the count, each group its own number. */
  technique: (page, base) => floorAt(page, base, 'three-groups', 1, 52),
  /** Combos of three groups on one clock. */
  lanes: (page, base) => floorAt(page, base, 'three-groups', 3, 60.4),
  /** The class of three groups in the hall: how devices join it, and what they show. */
  async 'hall-devices'(page, base) {
    await floorAt(page, base, 'three-groups', 3, 60.4);
    await page.keyboard.press('d');
    await page.getByRole('img', { name: /^Join at/ }).waitFor();
  },
  'hall-wall': (page, base) => joined(page, base, 'wall'),
  async 'hall-join'(page, base) {
    await page.goto(`${base}/join/${await codeOf(page, base)}`);
    await page.getByRole('button', { name: /^Wall/ }).waitFor();
  },
  'hall-holder': (page, base) => joined(page, base, 'holder'),
  'hall-remote': (page, base) => joined(page, base, 'remote'),
  async 'hall-station'(page, base) {
    await joined(page, base, 'station');
    for (const name of ['Sanne', 'Mbali']) await page.getByRole('button', { name }).click();
    await page.getByRole('button', { name: 'That is all' }).click();
    await page.waitForTimeout(600);
  },
  async 'class-numbers'(page, base) {
    await floorAt(page, base, 'knees-behind-the-cross', 3, 42.2);
    await page.keyboard.press('t');
    await page.getByLabel('Who').click();
    await page.getByRole('option', { name: 'Everybody, partners count' }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.getByLabel(/How many/).waitFor({ timeout: 60_000 });
    for (const count of ['23', '19', '21', '26']) {
      await page.keyboard.type(count);
      await page.keyboard.press('Enter');
    }
    await page.keyboard.type('2');
  },
  /** After a class of which three rounds were held. */
  async summary(page, base) {
    await floorAt(page, base, 'three-groups', 0, 10, 0);
    const done = (event, data) =>
      page.request.put(`${base}/api/runs/${lastRunId()}/events/${event}`, {
        data: { at: new Date().toISOString(), ...data },
      });
    for (const round of [0, 1, 2]) await done(`bell-${round}`, { kind: 'bell', round });
    await done('skip', { kind: 'skip', round: 17, running: false });
    await page.reload();
    await page.getByText('That was the session').waitFor({ timeout: 60_000 });
  },
  /** The page for home at its end. */
  async 'home-end'(page, base) {
    const address = `${base}/api/sessions/knees-behind-the-cross/home.html?fighter=leilani`;
    const file = join(mkdtempSync(join(tmpdir(), 'eurhythm-home-')), 'home.html');
    writeFileSync(file, await (await page.request.get(address, { timeout: 60_000 })).body());
    await page.goto(pathToFileURL(file).href);
    await page.getByRole('button', { name: 'start' }).click();
    for (let i = 0; i < 5; i++) {
      await page.waitForTimeout(300);
      await page.keyboard.press('n');
    }
    await page.getByRole('button', { name: '7', exact: true }).click();
  },
  async burst(page, base) {
    await floorAt(page, base, 'knees-behind-the-cross', 3, 42.2);
    await page.keyboard.press('Shift');
    await page.getByRole('button', { name: 'T burst' }).waitFor({ timeout: 60_000 });
    await page.keyboard.press('t');
    await page.getByRole('button', { name: 'Start' }).click();
    await page.waitForTimeout(6800);
    for (let i = 0; i < 11; i++) {
      await page.keyboard.press(' ');
      await page.waitForTimeout(210);
    }
  },
};
