/** Everything that the demonstration says: the texts of all calls of all its rounds. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ heldRounds }, { roundSeed }] = await Promise.all([core('plan'), core('run')]);

export async function demoTexts() {
  const data = mkdtempSync(join(tmpdir(), 'eurhythm-texts-'));
  const app = await serveApp(data, 4394);
  const ask = async (path, body) => {
    const sent = body && {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    };
    return (await fetch(`${app.base}/api/${path}`, sent)).json();
  };
  const texts = new Set();
  for (const { id } of (await ask('sessions')).items) {
    const { rounds, lead, word } = await ask(`sessions/${id}`);
    for (const round of heldRounds(rounds)) {
      const { blocks, timeCalls } = round;
      const seed = roundSeed(id, round.id);
      const compiled = await ask('rounds/compile', {
        blocks,
        lead,
        seed,
        ...(word && { word }),
        ...(timeCalls && { timeCalls }),
      });
      for (const { clip, text } of compiled.cues) if (clip) texts.add(text);
    }
  }
  await app.kill();
  rmSync(data, { recursive: true, force: true });
  return texts;
}
