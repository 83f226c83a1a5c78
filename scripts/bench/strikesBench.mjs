/** What the detector hears in made-up halls, how near the instants are, and how fast it is. */
import { join } from 'node:path';
import { ROOT, stop } from '../house.mjs';
import { row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [
  { MotionDetector, EchoAwareDetector, SensorStream, detectStrikes, matchStrikes, applyCorrections },
  standIns,
  { seededRandom },
] = await Promise.all([core('strikes'), core('simulation'), core('units')]);
const { bagMotion, sensorMessages, simulateRound } = standIns;
const { RECORDED_MISSING, hasRecordedImpacts } = await import('../strikes/recordedImpacts.mjs');
if (!hasRecordedImpacts()) stop(RECORDED_MISSING);
const { hall, hallWithOwnCalls, scored } = await import('../strikes/halls.mjs');

const HALLS = 24;
const SECONDS = 30;
/** Halls in which calls are twice as strong as strikes. */
const CALLING = 6;
const TIMES = 200;

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

const calling = [];
for (let seed = 101; seed <= 100 + CALLING; seed++) {
  const made = await hall(seed, 'bench', {
    seconds: SECONDS,
    hasVoices: true,
    voiceGain: 2,
    signalToNoise: 20,
  });
  const onsets = detectStrikes(made);
  const { recall, errors: hits } = scored(
    made.at,
    onsets.map(({ at }) => at),
  );
  calling.push({ recall, wrong: onsets.length - hits.length });
}
row(
  'calls twice as strong as the strikes, unknown to the detector',
  `${(100 * mean(calling.map(({ recall }) => recall))).toFixed(0)} % found`,
  `${((60 * mean(calling.map(({ wrong }) => wrong))) / SECONDS).toFixed(1)} false a minute; at least 95 %, at most 1`,
);

// The way from the loudspeaker is learnt in the first seconds, and these are heard again once it is; both are reported.
const OWN_SECONDS = 40;
/** As a microphone's pieces come. */
const PIECE = 512;

/** What is reported at once of a hall, and what stands once all was heard again that was to be. */
function besideOwn({ sampleRate, samples, own }) {
  const atOnce = [];
  const heardAgain = [];
  const detector = new EchoAwareDetector(sampleRate, {}, (again) => heardAgain.push(again));
  for (let i = 0; i < samples.length; i += PIECE)
    atOnce.push(...detector.push(samples.subarray(i, i + PIECE), own.subarray(i, i + PIECE)));
  atOnce.push(...detector.end());
  return { atOnce, stands: heardAgain.reduce(applyCorrections, atOnce) };
}

let [ownTook, ownHalls] = [0, 0];
for (const [name, given] of [
  ['own calls twice as strong as the strikes', {}],
  ['own calls, and ticks 30 ms before each strike', { ticks: true }],
  ['own calls, and samples lost every eight seconds', { losses: true }],
  ['own calls, and both', { ticks: true, losses: true }],
]) {
  const sums = { stands: [0, 0, 0], atOnce: [0, 0, 0] };
  for (let seed = 201; seed <= 200 + 2 * CALLING; seed++) {
    const made = await hallWithOwnCalls(seed, 'bench', {
      seconds: OWN_SECONDS,
      signalToNoise: 20,
      ...given,
    });
    const from = performance.now();
    const found = besideOwn(made);
    ownTook += performance.now() - from;
    ownHalls += 1;
    for (const [which, sum] of Object.entries(sums)) {
      const hits = scored(
        made.at,
        found[which].map(({ at }) => at),
      ).errors.length;
      for (const [i, count] of [hits, made.at.length, found[which].length - hits].entries()) sum[i] += count;
    }
  }
  for (const [label, [hits, due, wrong]] of [
    [name, sums.stands],
    ['… as reported at once, before it is re-analysed', sums.atOnce],
  ])
    row(
      label,
      `${((100 * hits) / due).toFixed(1)} % found`,
      `${((60 * wrong) / OWN_SECONDS / (2 * CALLING)).toFixed(1)} false a minute; at least 95 %, at most 1`,
    );
}
row(
  '… and what it costs',
  `${((100 * ownTook) / (1000 * OWN_SECONDS * ownHalls)).toFixed(1)} % of a core`,
  'while something is played',
);

const share = (isRight) => {
  let right = 0;
  for (let seed = 1; seed <= TIMES; seed++) if (isRight(seededRandom(seed))) right += 1;
  return `${((100 * right) / TIMES).toFixed(1)} %`;
};
const DUE = Array.from({ length: 240 }, (_, i) => 2 + i * 0.7);
row(
  'latency of a device within 5 ms',
  share((random) => {
    const latency = 0.3 * random();
    const profile = { bias: 0, spread: 0.02, fading: 0, misses: 0.2, extras: 0.2 };
    const heard = simulateRound(DUE, profile, random).map((at) => ({ at: at + latency }));
    const found = matchStrikes(
      DUE.map((at) => ({ at })),
      heard,
    ).latency;
    return Math.abs(found - latency) <= 0.005;
  }),
  `of ${TIMES} rounds with 20 % misses and 20 % extras; at least 95 %`,
);
row(
  'motion: 40 strikes at 4 a second, within 1',
  share((random) => {
    const strikes = Array.from({ length: 40 }, (_, i) => 1 + i / 4 + 0.02 * (random() - 0.5));
    const detector = new MotionDetector();
    const found = bagMotion(strikes, { seconds: 13, hertz: 60 }, random).filter((each) =>
      detector.push(each),
    );
    return Math.abs(found.length - 40) <= 1;
  }),
  '60 samples a second',
);
row(
  'sensor: all impacts within 20 ms, or reported as lost',
  share((random) => {
    const stream = new SensorStream();
    const way = { seconds: 180, late: [0.004, 0.15], lost: 0.02, twice: 0.1, drift: 30e-6, zero: 5000 };
    for (const { message, received } of sensorMessages(DUE, way, random)) stream.take(message, received);
    return (
      stream.impacts.length + stream.lost === DUE.length &&
      stream.impacts.every(({ at }) => DUE.some((due) => Math.abs(due - at) < 0.02))
    );
  }),
  '2 % of messages lost, 10 % twice, 4 to 150 ms on the way',
);
