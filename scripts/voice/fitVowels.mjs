/**
 * `npm run fit-vowels`: fits the weights with which a frame of speech is asked whether it belongs to a vowel, on the
 * bundled voices, whose phones are known. Logistic regression with a ridge, by Newton's method; nothing is left to chance,
 * so the same voices give the same weights.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, build, install, run } from '../house.mjs';

install();
build();
const { FRAME_HOP, VOWEL_CONTEXT, frameContext, voicedFrames } = await import(
  join(ROOT, 'packages/core/dist/sound/index.js')
);
const { spokenVocabulary } = await import('./spokenVocabulary.mjs');

const RIDGE = 1;
const STEPS = 9;
/** Frames this close to the onset belong to neither side clearly, and count less. */
const BORDER = 0.004;

const more =
  'hands high,move your head,circle out,change lead,flood four,slack two,ebb one,spring two,kick body,hand head,joined one count,by parts,fast'.split(
    ',',
  );
const clips = await spokenVocabulary({ rates: [1, 1.15, 1.3, 1.5], more });
/** Recorded calls are spoken at their own speed, so the clips at rate 1 count for more. */
const AT_REST = 4;
const rows = clips.flatMap(({ sound, onset, end, rate }) => {
  const frames = voicedFrames(sound);
  return frames.flatMap((_, at) => {
    const time = at * FRAME_HOP;
    if (time >= end - 0.005) return [];
    const weight = (Math.abs(time - onset) < BORDER ? 0.3 : 1) * (rate === 1 ? AT_REST : 1);
    return [{ asked: frameContext(frames, at, VOWEL_CONTEXT), isVowel: time >= onset ? 1 : 0, weight }];
  });
});
const size = rows[0].asked.length;
console.log(`${clips.length} clips, ${rows.length} frames, ${size} weights`);

let weights = new Float64Array(size);
for (let step = 0; step < STEPS; step++) {
  const gradient = Float64Array.from(weights, (w) => -RIDGE * w);
  const curve = Array.from({ length: size }, (_, i) => {
    const row = new Float64Array(size);
    row[i] = RIDGE;
    return row;
  });
  for (const { asked, isVowel, weight } of rows) {
    let logit = 0;
    for (let i = 0; i < size; i++) logit += asked[i] * weights[i];
    const p = 1 / (1 + Math.exp(-logit));
    const pull = weight * (isVowel - p);
    const bend = weight * p * (1 - p);
    for (let i = 0; i < size; i++) {
      gradient[i] += pull * asked[i];
      const x = bend * asked[i];
      const row = curve[i];
      for (let j = i; j < size; j++) row[j] += x * asked[j];
    }
  }
  for (let i = 0; i < size; i++) for (let j = 0; j < i; j++) curve[i][j] = curve[j][i];
  const change = solved(curve, gradient);
  weights = weights.map((w, i) => w + change[i]);
  console.log(`step ${step + 1}: largest change ${Math.max(...change.map(Math.abs)).toFixed(4)}`);
}

/** Solves a symmetric positive system by Cholesky's factors. */
function solved(matrix, wanted) {
  const n = wanted.length;
  const low = matrix.map((row) => Float64Array.from(row));
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = low[i][j];
      for (let k = 0; k < j; k++) sum -= low[i][k] * low[j][k];
      low[i][j] = i === j ? Math.sqrt(sum) : sum / low[j][j];
    }
  }
  const half = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = wanted[i];
    for (let k = 0; k < i; k++) sum -= low[i][k] * half[k];
    half[i] = sum / low[i][i];
  }
  const found = new Float64Array(n);
  for (let i = n - 1; i >= 0; i--) {
    let sum = half[i];
    for (let k = i + 1; k < n; k++) sum -= low[k][i] * found[k];
    found[i] = sum / low[i][i];
  }
  return found;
}

const text = `/**
 * Weights of the logistic model that tells vowels from everything else: for each distance of \`VOWEL_CONTEXT\` (in frames of
 * 5 ms) one weight for each mel band, then the constant. Made by \`npm run fit-vowels\` from the starter vocabulary as both
 * bundled voices say it at four rates, with the synthesiser's own phones for the truth.
 */
export const VOWEL_CONTEXT: readonly number[] = ${JSON.stringify(VOWEL_CONTEXT)};
// prettier-ignore
export const VOWEL_WEIGHTS: readonly number[] = [
${chunks(
  [...weights].map((w) => Number(w.toPrecision(4))),
  14,
)
  .map((row) => `  ${row.join(', ')},`)
  .join('\n')}
];
`;
const file = 'packages/core/src/sound/centre/vowelWeights.ts';
writeFileSync(join(ROOT, file), text);
run('npx', ['prettier', '--write', file], { quiet: true });

function chunks(items, n) {
  return Array.from({ length: Math.ceil(items.length / n) }, (_, i) => items.slice(i * n, i * n + n));
}
