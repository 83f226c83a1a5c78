/** The starter vocabulary as the bundled voices say it, with the instant at which the synthesiser's own phones put each vowel. */
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { ROOT } from '../house.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ starterBook }, { vocabularyOf }, { levelClip, parsePhones, readWav, vowelOnset, vowelEnd }] =
  await Promise.all([core('moves'), core('calls'), core('sound')]);

/** Gives `{ text, voice, rate, sound, onset, end }` for each text that has a vowel; times from the start of the levelled clip. */
export async function spokenVocabulary({ voices = ['slt', 'rms'], rates = [1], more = [] } = {}) {
  const worker = new Worker(join(ROOT, 'apps/server/dist/voice/fliteWorker.js'));
  const waiting = new Map();
  worker.on('message', (answer) => waiting.get(answer.id)(answer));
  let asked = 0;
  const speak = (request) =>
    new Promise((done) => {
      const id = String(asked++);
      waiting.set(id, done);
      worker.postMessage({ id, ...request });
    });
  const clips = [];
  for (const voice of voices)
    for (const rate of rates)
      for (const text of [...vocabularyOf(starterBook()), ...more]) {
        const spoken = await speak({ text, voice, rate });
        const levelled = levelClip(readWav(spoken.wav).sound);
        const phones = parsePhones(spoken.phones);
        const onset = vowelOnset(phones);
        if (!levelled || onset === null) continue;
        clips.push({
          text,
          voice,
          rate,
          sound: levelled.sound,
          onset: onset - levelled.cutBefore,
          end: vowelEnd(phones) - levelled.cutBefore,
        });
      }
  await worker.terminate();
  return clips;
}
