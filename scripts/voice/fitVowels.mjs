/**
 * `npm run fit-vowels`: fits the small network with which a frame of speech is asked whether it belongs to a vowel, on voices whose
 * phones are known: those of the bundled synthesiser and those of a second one, each clip as a room would give it back. Adam
 * (Kingma and Ba 2015) over a seed, so the same voices give the same weights.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, build, install, run, stop } from '../house.mjs';

install();
build();
const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [
  { FRAME_HOP, VOWEL_CONTEXT, frameContext, resample, spokenCall, voicedFrames },
  { normalDraw, seededRandom },
] = await Promise.all([core('sound'), core('units')]);
const { spokenVocabulary } = await import('./spokenVocabulary.mjs');
const { SECOND_FITTED, WORDS_FITTED, hasSecondSynthesiser, saidBySecond } =
  await import('./secondSynthesiser.mjs');
const { heardInRoom } = await import('./heardInRoom.mjs');
if (!hasSecondSynthesiser())
  stop('The second synthesiser (Debian’s package espeak-ng, and python3) is not here.');

const HIDDEN = 16;
const ROUNDS = 8;
const AT_ONCE = 256;
const STEP = 3e-3;
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
      asked.push({ own, n, isVowel: time >= from ? 1 : 0, weight: Math.abs(time - from) < BORDER ? 0.3 : 1 });
  });
});
const size = frameContext(frames[0], 0, VOWEL_CONTEXT).length;
console.log(`${clips.length} clips, ${asked.length} frames, ${HIDDEN} × ${size} weights`);

const random = seededRandom(1);
const inner = Float64Array.from({ length: HIDDEN * size }, () => normalDraw(random) / Math.sqrt(size));
const outer = Float64Array.from({ length: HIDDEN + 1 }, () => normalDraw(random) / Math.sqrt(HIDDEN));
const layers = [inner, outer].map((weights) => ({
  weights,
  gradient: new Float64Array(weights.length),
  first: new Float64Array(weights.length),
  second: new Float64Array(weights.length),
}));
const steps = ROUNDS * Math.ceil(asked.length / AT_ONCE);
let step = 0;
for (let round = 0; round < ROUNDS; round++) {
  for (let i = asked.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [asked[i], asked[j]] = [asked[j], asked[i]];
  }
  let loss = 0;
  for (let from = 0; from < asked.length; from += AT_ONCE) {
    const part = asked.slice(from, from + AT_ONCE);
    for (const each of part) loss += learn(each, part.length);
    descend();
  }
  console.log(`round ${round + 1}: loss ${(loss / asked.length).toFixed(4)}`);
}

/** Adds what a frame says to the gradients; gives its loss. */
function learn({ own, n, isVowel, weight }, among) {
  const x = frameContext(own, n, VOWEL_CONTEXT);
  const hidden = new Float64Array(HIDDEN);
  let logit = outer[HIDDEN];
  for (let h = 0; h < HIDDEN; h++) {
    let sum = 0;
    for (let i = 0; i < size; i++) sum += x[i] * inner[h * size + i];
    hidden[h] = Math.tanh(sum);
    logit += hidden[h] * outer[h];
  }
  const p = 1 / (1 + Math.exp(-logit));
  const pull = (weight * (p - isVowel)) / among;
  const [{ gradient: toInner }, { gradient: toOuter }] = layers;
  for (let h = 0; h < HIDDEN; h++) {
    toOuter[h] += pull * hidden[h];
    const by = pull * outer[h] * (1 - hidden[h] ** 2);
    for (let i = 0; i < size; i++) toInner[h * size + i] += by * x[i];
  }
  toOuter[HIDDEN] += pull;
  return -weight * Math.log(Math.max(1e-12, isVowel ? p : 1 - p));
}

function descend() {
  step++;
  const rate = STEP * (1 - step / (steps + 1));
  for (const { weights, gradient, first, second } of layers) {
    for (let i = 0; i < weights.length; i++) {
      const g = gradient[i] + 1e-5 * weights[i];
      first[i] = 0.9 * first[i] + 0.1 * g;
      second[i] = 0.999 * second[i] + 0.001 * g * g;
      weights[i] -=
        (rate * (first[i] / (1 - 0.9 ** step))) / (Math.sqrt(second[i] / (1 - 0.999 ** step)) + 1e-8);
    }
    gradient.fill(0);
  }
}

const listed = (weights) =>
  chunks(
    [...weights].map((w) => Number(w.toPrecision(3))),
    16,
  )
    .map((row) => `  ${row.join(', ')},`)
    .join('\n');
const text = `/**
 * Weights of the small network that tells vowels from everything else. It is asked the mel bands of the frames at the distances of
 * \`VOWEL_CONTEXT\` (in frames of 5 ms) and a constant. Made by \`npm run fit-vowels\` from two synthesisers whose phones are known.
 */
export const VOWEL_CONTEXT: readonly number[] = ${JSON.stringify(VOWEL_CONTEXT)};
/** For each of ${HIDDEN} hidden units what it makes of all that is asked. */
// prettier-ignore
export const VOWEL_INNER: readonly number[] = [
${listed(inner)}
];
/** What is made of the hidden units, then the constant. */
// prettier-ignore
export const VOWEL_OUTER: readonly number[] = [
${listed(outer)}
];
`;
const file = 'packages/core/src/sound/centre/vowelWeights.ts';
writeFileSync(join(ROOT, file), text);
run('npx', ['prettier', '--write', file], { quiet: true });

function chunks(items, n) {
  return Array.from({ length: Math.ceil(items.length / n) }, (_, i) => items.slice(i * n, i * n + n));
}
