/** `npm run bench`: how fast the parts are, as a table. No figure here is a test; machines differ. */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT, build, install } from './house.mjs';

install();
build();
const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [
  { starterBook },
  { analyseCombo, findFindings },
  { compileRound, wantedTexts },
  { clipShelf, VOICE_RATES },
] = await Promise.all([core('moves'), core('body'), core('rounds'), core('calls')]);
const rows = [];
const row = (what, value, note = '') => rows.push({ what, value, note });

/** Median and 95th percentile of the milliseconds that `work` takes. */
function timed(work, times) {
  for (let i = 0; i < Math.min(20, times); i++) work();
  const took = Array.from({ length: times }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return { median: took[times >> 1], p95: took[Math.floor(times * 0.95)] };
}
const ms = (x) => `${x.toFixed(x < 1 ? 3 : 1)} ms`;
const both = ({ median, p95 }) => `${ms(median)}, p95 ${ms(p95)}`;

const book = starterBook();
const line = '1-1 2> 3@b r:round@l*:3/2 2 . r:knee!';
row('parse and walk, 7 strokes', both(timed(() => analyseCombo(line, book, 'left'), 2000)));
const forty = `{${line} sw}x5`;
row('parse and walk, 40 strokes', both(timed(() => analyseCombo(forty, book, 'left'), 1000)));
row(
  'analyse 40 strokes with clock and findings',
  both(
    timed(() => {
      const analysis = analyseCombo(forty, book, 'left');
      findFindings(analysis.walk, book, { factor: 1.25, bpm: 92 });
    }, 1000),
  ),
);
row('parse a faulty line', both(timed(() => analyseCombo('1 rund (3 kross-42', book, 'left'), 1000)));

const combo = (id, text) => ({
  id,
  grade: 'Flood',
  number: 4,
  title: 'Low gate',
  line: text,
  beatsPerBar: 4,
});
const work = (id, seconds) => ({
  kind: 'combo',
  id,
  seconds,
  combos: [combo('a', line), combo('b', '1-2 3')],
  bpm: 92,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
});
const clips = wantedTexts([work('w', 60)], book).flatMap((text) =>
  VOICE_RATES.map((rate) => ({
    id: `${text}${rate}`,
    text,
    rate,
    seconds: (0.2 + text.length * 0.05) / rate,
    centre: 0.08,
  })),
);
const shelf = clipShelf(clips);
const plan = (blocks) => ({ blocks, lead: 'left', seed: 1 });
const three = plan([work('w', 180), { kind: 'rest', id: 'r', seconds: 40, next: '' }]);
const hour = plan(Array.from({ length: 20 }, (_, i) => work(`w${i}`, 180)));
row(
  'compile a round of 3 minutes',
  both(timed(() => compileRound(three, book, shelf), 200)),
  `${compileRound(three, book, shelf).cues.length} cues`,
);
row(
  'compile an hour of work',
  both(timed(() => compileRound(hour, book, shelf), 20)),
  `${compileRound(hour, book, shelf).cues.length} cues`,
);

async function startOnce(data, port) {
  const from = performance.now();
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, EURHYTHM_DATA: data, PORT: String(port) },
  });
  while (
    !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ))
  ) {
    await new Promise((done) => setTimeout(done, 20));
  }
  const took = performance.now() - from;
  const ended = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await ended;
  return took;
}
const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const cold = await startOnce(data, 4398);
const warm = await startOnce(data, 4398);
rmSync(data, { recursive: true, force: true });
row('first start: database, demo gym, answering', ms(cold));
row('later start', ms(warm), `${(cold / warm).toFixed(1)} times faster than the first`);

const dist = join(ROOT, 'apps/web/dist');
const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
/** A script with all that it imports at once. */
const scriptsOf = (key, seen = new Set()) => {
  if (!seen.has(key)) {
    seen.add(key);
    for (const other of manifest[key].imports ?? []) scriptsOf(other, seen);
  }
  return [...seen].map((each) => join(dist, manifest[each].file));
};
const size = (files) => {
  const plain = files.reduce((sum, file) => sum + statSync(file).size, 0);
  const packed = files.reduce((sum, file) => sum + gzipSync(readFileSync(file)).length, 0);
  return `${(plain / 1024).toFixed(0)} kB, ${(packed / 1024).toFixed(0)} kB packed`;
};
row('initial JavaScript', size(scriptsOf('index.html')), 'the frame, before any room');
for (const [name, key] of [
  ['Today', 'src/rooms/today/TodayRoom.tsx'],
  ['Combos', 'src/rooms/combos/CombosRoom.tsx'],
  ['Floor', 'src/rooms/floor/FloorRoom.tsx'],
]) {
  row(`JavaScript of ${name}`, size(scriptsOf(key)), 'with what it shares');
}

const widths = ['what', 'value'].map((column) => Math.max(...rows.map((each) => each[column].length)));
for (const { what, value, note } of rows)
  console.log(`${what.padEnd(widths[0])}  ${value.padEnd(widths[1])}  ${note}`);
