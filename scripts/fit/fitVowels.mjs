/**
 * `npm run fit-vowels`: fits the small network with which a frame of speech is asked whether it belongs to a vowel, on voices whose
 * phones are known: those of the bundled synthesiser and those of a second one, each clip as a room would give it back.
 */
import { join } from 'node:path';
import { ROOT, build, install, stop } from '../house.mjs';

install();
build();
const { FRAME_HOP, VOWEL_CONTEXT, frameContext, resample, spokenCall, voicedFrames } = await import(
  join(ROOT, 'packages/core/dist/sound/index.js')
);
const { fitNetwork, rounded, writeWeights } = await import('./smallNetwork.mjs');
const { spokenVocabulary } = await import('../voice/spokenVocabulary.mjs');
const { SECOND_FITTED, WORDS_FITTED, hasSecondSynthesiser, saidBySecond } =
  await import('../voice/secondSynthesiser.mjs');
const { heardInRoom } = await import('../voice/heardInRoom.mjs');
if (!hasSecondSynthesiser())
  stop('The second synthesiser (Debian’s package espeak-ng, and python3) is not here.');

const HIDDEN = 16;
const ROUNDS = 8;
const AT_ONCE = 256;
/** Decibels of the voice over the room. */
const ROOMS = [Infinity, 40, 30, 22, 14];
/** The rate at which recordings are kept. */
const RATE = 22_050;
/** Frames this close to the onset belong to neither side clearly, and count less. */
const BORDER = 0.004;

const clips = [
  ...(await spokenVocabulary({ voices: ['slt', 'rms', 'awb', 'kal'], more: WORDS_FITTED, isTrimmed: false })),
  ...saidBySecond(SECOND_FITTED, WORDS_FITTED),
];
const frames = [];
const asked = [];
clips.forEach(({ sound, onset, end }, i) => {
  const { sound: recorded, at } = heardInRoom(resample(sound, RATE), ROOMS[i % ROOMS.length], i);
  const call = spokenCall(recorded);
  if (typeof call === 'string') return;
  const own = voicedFrames(call.sound);
  frames.push(own);
  const [from, to] = [onset, end].map((instant) => at + instant - call.cutBefore);
  own.forEach((_, n) => {
    const time = n * FRAME_HOP;
    if (time < to - FRAME_HOP)
      asked.push({ own, n, isSo: time >= from ? 1 : 0, weight: Math.abs(time - from) < BORDER ? 0.3 : 1 });
  });
});
const size = frameContext(frames[0], 0, VOWEL_CONTEXT).length;
console.log(`${clips.length} clips, ${asked.length} frames, ${HIDDEN} × ${size} weights`);

const inputs = new Float32Array(asked.length * size);
for (const [i, { own, n }] of asked.entries()) inputs.set(frameContext(own, n, VOWEL_CONTEXT), i * size);
const [[inner, outer]] = await fitNetwork({
  inputs,
  isSo: Uint8Array.from(asked, ({ isSo }) => isSo),
  weights: Float64Array.from(asked, ({ weight }) => weight),
  size,
  hidden: [HIDDEN],
  rounds: ROUNDS,
  atOnce: AT_ONCE,
});

// What the numbers mean stands in vowelWeights.ts, beside them.
writeWeights('packages/core/src/sound/centre/vowelWeights.json', {
  inner: rounded(inner),
  outer: rounded(outer),
});
