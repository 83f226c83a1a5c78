/** The starter vocabulary as the bundled voices say it, with the instant at which the synthesiser's own phones put each vowel. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ starterBook }, { vocabularyOf }, { trimClip, parsePhones, readWav, vowelOnset, vowelEnd }] =
  await Promise.all([core('moves'), core('calls'), core('sound')]);

const { utter } = await import(join(ROOT, 'apps/server/dist/voice/flite.js'));

/**
 * Gives `{ text, voice, rate, sound, onset, end }` for each text that has a vowel; times from the start of the sound, which is
 * trimmed or as the synthesiser gives it.
 */
export async function spokenVocabulary({
  voices = ['slt', 'rms'],
  rates = [1],
  more = [],
  isTrimmed = true,
} = {}) {
  const clips = [];
  for (const voice of voices)
    for (const rate of rates)
      for (const text of [...vocabularyOf(starterBook()), ...more]) {
        const spoken = await utter({ text, voice, rate });
        const { sound } = readWav(spoken.wav);
        const trimmed = isTrimmed ? trimClip(sound) : { sound, cutBefore: 0 };
        const phones = parsePhones(spoken.phones);
        const onset = vowelOnset(phones);
        if (!trimmed || onset === null) continue;
        clips.push({
          text,
          voice,
          rate,
          sound: trimmed.sound,
          onset: onset - trimmed.cutBefore,
          end: vowelEnd(phones) - trimmed.cutBefore,
        });
      }
  return clips;
}
