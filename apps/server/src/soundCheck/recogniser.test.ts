import { ROUND_CALLS, numberWord, phonesOf } from '@eurhythm/core/calls';
import { starterBook } from '@eurhythm/core/moves';
import { inNoise, readWav, type Sound } from '@eurhythm/core/sound';
import { seededRandom } from '@eurhythm/core/units';
import { BUNDLED_VOICES, DEFAULT_VOICE, type BundledVoice } from '@eurhythm/contract';
import { clearerPhones } from '../voice/clearerWords.ts';
import { finishedClip } from '../voice/finishedClip.ts';
import { utter } from '../voice/flite.ts';
import { Recogniser } from './recogniser.ts';

async function said(text: string, voice: BundledVoice): Promise<Sound> {
  const phones = phonesOf(text) ?? clearerPhones(text, voice);
  const uttered = await utter({ text, phones, voice, rate: 1 });
  if (!('wav' in uttered)) throw new Error(uttered.unsayable);
  const read = readWav(finishedClip(uttered.wav, uttered.phones, 'hall')!.wav);
  if (!read.ok) throw new Error(read.message);
  return read.sound;
}

/** Short calls, which have least in them to be told apart by. */
const WORDS = [
  ...new Set([
    ...ROUND_CALLS.filter((text) => /^\w+$/.test(text)),
    ...Array.from({ length: 12 }, (_, i) => numberWord(i + 1)),
    ...[...starterBook().moves.values()].map(({ say }) => say.short).filter((text) => /^\w+$/.test(text)),
  ]),
];

describe('what an open speech recogniser makes out of single words', () => {
  let recogniser: Recogniser;
  beforeAll(async () => {
    recogniser = await Recogniser.open();
    recogniser.listenFor(WORDS, new Map());
  });

  it.each(BUNDLED_VOICES)(
    'of %s at 10 dB over the noise',
    async (voice) => {
      const wrong: string[] = [];
      for (const [i, text] of WORDS.entries()) {
        const { samples } = inNoise(await said(text, voice), 10, seededRandom(i));
        const heard = recogniser.hear(samples);
        if (heard !== text) wrong.push(`${text} > ${heard}`);
      }
      // Words alone, where no other word helps: the share of all that is said is larger (`npm run bench hearing`).
      expect(wrong.slice(Math.ceil(WORDS.length * (voice === DEFAULT_VOICE ? 0.08 : 0.15)))).toEqual([]);
    },
    60_000,
  );
  it('a word that English does not know is known by its phones', async () => {
    recogniser.listenFor([...WORDS, 'zorvek'], new Map([['zorvek', 'z ao r v eh k'.split(' ')]]));
    expect(recogniser.hear((await said('zorvek', DEFAULT_VOICE)).samples)).toBe('zorvek');
  });
});
