import { newRunId, setClock, startRun } from './shownRun.mjs';

/** How to come to each main view in a browser page; the names are the names of the pictures. */
export const VIEWS = {
  async today(page, base) {
    await page.goto(base);
    await page.getByRole('link', { name: /to the Floor/ }).waitFor();
  },
  async moves(page, base) {
    await page.goto(`${base}/moves/round`);
    await page.getByRole('heading', { name: 'Round kick' }).waitFor();
  },
  async gym(page, base) {
    await page.goto(`${base}/gym`);
    await page.getByText('Where schools differ').waitFor();
  },
  async 'sound-check'(page, base) {
    await page.goto(`${base}/gym/sound`);
    await page.getByText(/^\d+ of \d+ calls$/).waitFor({ timeout: 240_000 });
    await page.getByRole('list', { name: 'Calls that are misheard' }).scrollIntoViewIfNeeded();
  },
  async keep(page, base) {
    await page.request.post(`${base}/api/backups`);
    await page.goto(`${base}/gym/keep`);
    await page.getByRole('list', { name: 'Copies' }).getByRole('listitem').first().waitFor();
  },
  async 'own-voice'(page, base) {
    for (const text of ['one', 'two', 'round kick', 'switch']) {
      const clip = await (
        await page.request.get(`${base}/api/voice/say?text=${text}&voice=rms&rate=1&sound=room`)
      ).json();
      const wav = await (await page.request.get(`${base}/api/voice/clips/${clip.id}.wav`)).body();
      await page.request.put(`${base}/api/voice/own/${encodeURIComponent(text)}`, {
        multipart: { sound: { name: 'call.wav', mimeType: 'audio/wav', buffer: asRecorded(wav) } },
      });
    }
    await page.goto(`${base}/gym/voice`);
    await page.getByRole('button', { name: /^round kick [0-9–]/ }).click();
    await page.getByRole('slider').waitFor();
  },
  async combos(page, base) {
    await page.goto(`${base}/combos/flood-4`);
    await page.getByLabel('Beat line').waitFor();
  },
  async sessions(page, base) {
    await page.goto(`${base}/sessions/three-groups`);
    await page.getByRole('button', { name: /^Combos, each their own/ }).click();
    await page
      .getByText(/times through from/)
      .first()
      .waitFor();
    await page.evaluate(() => scrollTo(0, 0));
    await page.mouse.move(8, 790);
  },
  async 'session-partners'(page, base) {
    await page.goto(`${base}/sessions/three-groups/sheet`);
    const here = [
      'Sanne Ibarra',
      'Emeka Roux',
      'Dario Halloran',
      'Mbali Serrano',
      'Tomasz Brandt',
      'Nuria Castellan',
      'Radek Ilić',
    ];
    for (const name of here) await page.getByRole('checkbox', { name }).check();
    for (const item of ['forms signed', 'named bottle', 'gloves'])
      await page.getByRole('checkbox', { name: item }).first().check();
    await page.getByText(`${here.length} here, kept`).waitFor();
  },
  async 'session-card'(page, base) {
    await page.goto(`${base}/sessions/three-groups/card`);
    await page.getByRole('button', { name: 'Print' }).waitFor();
  },
  async floor(page, base) {
    const id = newRunId();
    const fighters = await startRun(page, base, id, 'knees-behind-the-cross');
    await page.goto(`${base}/floor/${id}`);
    await page.getByText('ready when you are').waitFor({ timeout: 60_000 });
    for (const [i, fighterId] of fighters.slice(0, 5).entries()) {
      const done = i === 3 ? 'part' : i === 4 ? 'sat-out' : 'finished';
      const quality = ['clean', 'loose', 'clean', 'loose', null][i];
      await page.request.put(`${base}/api/runs/${id}/results/m${i}`, {
        data: { round: 3, fighterId, done, quality, at: new Date().toISOString() },
      });
    }
    await setClock(page, base, id, 3, 42.2);
    await page.reload();
    await page.getByText('holder shows next').waitFor({ timeout: 60_000 });
    await page.keyboard.press('Shift');
    await page.waitForTimeout(1500);
  },
  async fighter(page, base) {
    await page.goto(`${base}/fighters/sanne`);
    await page.getByRole('img', { name: / trials, best / }).waitFor();
  },
};

/** A clip as somebody records it: half a second of a room before and after it, and a little of the room in it. */
function asRecorded(wav) {
  const [rate, pcm] = [wav.readUInt32LE(24), wav.subarray(44)];
  // A generator of Park and Miller, so that the picture is the same each time.
  let state = 1;
  const random = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
  const made = Buffer.alloc(44 + pcm.length + 2 * rate);
  wav.copy(made, 0, 0, 44);
  pcm.copy(made, 44 + rate);
  for (let at = 44; at < made.length; at += 2)
    made.writeInt16LE(
      Math.max(-32768, Math.min(32767, made.readInt16LE(at) + Math.round(1600 * (random() - 0.5)))),
      at,
    );
  made.writeUInt32LE(made.length - 8, 4);
  made.writeUInt32LE(made.length - 44, 40);
  return made;
}
