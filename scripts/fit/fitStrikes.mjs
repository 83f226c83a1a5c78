/**
 * `npm run fit-strikes`: fits the small network with which a sudden rise is asked whether it is a strike, on halls in which the instants
 * of the strikes are known: impacts synthesised and recorded, with echo, noise, voices and what a microphone cuts off.
 */
import { join } from 'node:path';
import { ROOT, build, install, stop } from '../house.mjs';

install();
build();
const { PATCH, StrikeDetector } = await import(join(ROOT, 'packages/core/dist/strikes/index.js'));
const { fitNetwork, listed, writeSource } = await import('./smallNetwork.mjs');
const { hall } = await import('../strikes/halls.mjs');
const { RECORDED_MISSING, hasRecordedImpacts } = await import('../strikes/recordedImpacts.mjs');
if (!hasRecordedImpacts()) stop(RECORDED_MISSING);

const HALLS = Number(process.argv[2] ?? 900);
const SECONDS = 20;
const HIDDEN = 48;
const ROUNDS = 30;
const AT_ONCE = 64;
const KEEPS_SMALL = 2e-4;
/** A rise whose instant is so near to that of a strike is that strike; what is a little farther is nobody's. */
const SAME = 0.02;
const NEAR = 0.035;
/** Seeds of the bench are small ones. */
const FIRST_SEED = 1000;

const asked = [];
for (let i = 0; i < HALLS; i++) {
  const seed = FIRST_SEED + i;
  // Two of three speak, some louder than anybody strikes; telephones hear at 8 kHz.
  const { sampleRate, samples, at } = await hall(seed, 'fit', {
    seconds: SECONDS,
    hasVoices: i % 3 !== 0,
    ...(i % 6 === 1 ? { voiceGain: 10 ** ((i % 64) / 80) } : {}),
    ...(i % 25 === 7 ? { sampleRate: 8000 } : {}),
  });
  const detector = new StrikeDetector(sampleRate, {}, (rise) => {
    const off = Math.min(...at.map((instant) => Math.abs(instant - rise.at)));
    if (off <= SAME || off > NEAR) asked.push({ patch: rise.patch, isSo: off <= SAME ? 1 : 0, weight: 1 });
  });
  detector.push(samples);
  if (i % 50 === 49) console.log(`${i + 1} halls, ${asked.length} rises`);
}
const { inner, outer } = fitNetwork({
  asked,
  inputOf: ({ patch }) => patch,
  size: PATCH,
  hidden: HIDDEN,
  rounds: ROUNDS,
  atOnce: AT_ONCE,
  keepsSmall: KEEPS_SMALL,
  isScaled: true,
});

writeSource(
  'packages/core/src/strikes/detect/strikeWeights.ts',
  `/**
 * Weights of the small network that tells strikes from everything else that is sudden. It is asked a \`strikePatch\`. Made by
 * \`npm run fit-strikes\` from impacts, synthesised and recorded, in ${HALLS} halls.
 */
// prettier-ignore
export const STRIKE_INNER: readonly number[] = [
${listed(inner)}
];
/** What is made of the hidden units, then the constant. */
// prettier-ignore
export const STRIKE_OUTER: readonly number[] = [
${listed(outer)}
];
`,
);
