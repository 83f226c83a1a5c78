/** What the detector hears in made-up halls, how near the instants are, and how fast it is. */
import { join } from 'node:path';
import { ROOT, stop } from '../house.mjs';
import { row } from './table.mjs';

const { detectStrikes } = await import(join(ROOT, 'packages/core/dist/strikes/index.js'));
const { RECORDED_MISSING, hasRecordedImpacts } = await import('../strikes/recordedImpacts.mjs');
if (!hasRecordedImpacts()) stop(RECORDED_MISSING);
const { hall, scored } = await import('../strikes/halls.mjs');

const HALLS = 24;
const SECONDS = 30;

const mean = (values) => values.reduce((sum, each) => sum + each, 0) / Math.max(1, values.length);
const middle = (values) => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

const all = [];
let [heardSeconds, took] = [0, 0];
for (let seed = 1; seed <= HALLS; seed++) {
  const made = await hall(seed, 'bench', { seconds: SECONDS });
  const from = performance.now();
  const onsets = detectStrikes(made);
  took += performance.now() - from;
  heardSeconds += SECONDS;
  all.push({
    ...made,
    samples: null,
    ...scored(
      made.at,
      onsets.map(({ at }) => at),
    ),
  });
}
for (const [name, some] of [
  [`${HALLS} halls, 24 to 8 dB over noise, echo 0.5 to 1.4 s`, all],
  ['… of them with voices', all.filter(({ hasVoices }) => hasVoices)],
  ['… without', all.filter(({ hasVoices }) => !hasVoices)],
  ['… cut off by the microphone', all.filter(({ isClipped }) => isClipped)],
])
  row(
    name,
    `F ${mean(some.map(({ f }) => f)).toFixed(3)}`,
    `precision ${mean(some.map(({ precision }) => precision)).toFixed(3)}, recall ${mean(some.map(({ recall }) => recall)).toFixed(3)}; within 25 ms; at least 0.97`,
  );
if (process.env.EACH)
  for (const [i, { f, precision, recall, signalToNoise, echo, hasVoices }] of all.entries())
    console.log(
      i + 1,
      f.toFixed(3),
      precision.toFixed(2),
      recall.toFixed(2),
      signalToNoise.toFixed(0),
      echo.toFixed(1),
      hasVoices ? 'voices' : '',
    );
const errors = all.flatMap(({ errors: some }) => some);
row(
  'error of the instant',
  `median ${(1000 * middle(errors.map(Math.abs))).toFixed(1)} ms`,
  `usually ${(1000 * middle(errors)).toFixed(1)} ms late; at most 4 ms`,
);
row(
  'a whole file',
  `${((heardSeconds * 1000) / took).toFixed(0)} × real time`,
  'on one core; at least 200 ×',
);
