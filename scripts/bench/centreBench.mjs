/** The centre of a recorded call, estimated from its sound, against the vowel onsets that two synthesisers know. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { heardInRoom } from '../voice/heardInRoom.mjs';
import { SECOND_HELD, WORDS_HELD, hasSecondSynthesiser, saidBySecond } from '../voice/secondSynthesiser.mjs';
import { row, spread } from './table.mjs';

const { findCentre, resample, spokenCall } = await import(join(ROOT, 'packages/core/dist/sound/index.js'));
const { spokenVocabulary } = await import('../voice/spokenVocabulary.mjs');

/** The rate at which recordings are kept. */
const RATE = 22_050;
/** Decibels of the voice over the room. */
const ROOMS = [Infinity, 45, 30, 20, 15, 10];

function tell(name, errors, count) {
  const { median, p95 } = spread(errors.map(Math.abs));
  row(name, `${median.toFixed(1)} ms off, p95 ${p95.toFixed(1)} ms`, `${errors.length} of ${count} clips`);
}

const clips = await spokenVocabulary();
for (const voice of ['slt', 'rms']) {
  const own = clips.filter((clip) => clip.voice === voice);
  tell(
    `centre from the sound, voice ${voice}`,
    own.map(({ sound, onset }) => 1000 * (findCentre(sound) - onset)),
    own.length,
  );
}
if (hasSecondSynthesiser()) {
  const held = saidBySecond(SECOND_HELD, WORDS_HELD).map((clip) => ({
    ...clip,
    sound: resample(clip.sound, RATE),
  }));
  for (const ratio of ROOMS) {
    const errors = held.flatMap(({ sound, onset }, i) => {
      const { sound: recorded, at } = heardInRoom(sound, ratio, 1000 + i);
      const call = spokenCall(recorded);
      return typeof call === 'string' ? [] : [1000 * (call.cutBefore + findCentre(call.sound) - at - onset)];
    });
    const room = ratio === Infinity ? 'in silence' : `${ratio} dB over a room`;
    tell(`words and voices of another synthesiser, ${room}`, errors, held.length);
  }
} else row('words of another synthesiser', 'left out', 'Debian’s package espeak-ng is not here');
