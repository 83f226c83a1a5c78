/** How soon the server says that it is well while everything that takes long goes on at once. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { ms, row } from './table.mjs';

const { encodeWav } = await import(join(ROOT, 'packages/core/dist/sound/index.js'));
const LOAD_MS = 30_000;
const TWO_HOURS = 7200;

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4395);
await app.voiceIsReady();
const api = (path) => `${app.base}/api/${path}`;
const json = (method, body) => ({
  method,
  headers: { 'content-type': 'application/json', origin: app.base },
  body: JSON.stringify(body),
});

const combos = (await (await fetch(api('combos'))).json()).items.map(({ id }) => ({ comboId: id }));
const work = (id, seconds) => ({
  kind: 'combo',
  id,
  seconds,
  combos: combos.slice(0, 20),
  bpm: 90,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
});
const long = {
  title: 'Eight hours',
  lead: 'left',
  plannedFor: null,
  rounds: Array.from({ length: 4 }, (_, i) => ({
    id: `long-${i}`,
    title: `Round ${i + 1}`,
    kind: 'shadow',
    blocks: Array.from({ length: 20 }, (_, j) => work(`long-${i}-${j}`, TWO_HOURS / 20)),
  })),
};
const saved = await fetch(api('sessions/long'), json('PUT', long));
if (!saved.ok) throw new Error(await saved.text());
await app.voiceIsReady();

const recording = (seconds) => {
  const samples = Float32Array.from({ length: 48_000 * seconds }, (_, i) =>
    i % 48_000 < 24_000 ? 0.4 * Math.sin(i / 40) * Math.sin(i / 9000) : 0,
  );
  const form = new FormData();
  form.append('sound', new Blob([encodeWav({ sampleRate: 48_000, samples })]), 'call.wav');
  return { method: 'PUT', headers: { origin: app.base }, body: form };
};
/** Reads an answer to its end; long ones are only counted. */
async function drainedBytes(response) {
  const pieces = [];
  let length = 0;
  if (response.body)
    for await (const piece of response.body) {
      length += piece.length;
      if (length < 1e6) pieces.push(piece);
    }
  return length < 1e6 ? Buffer.concat(pieces) : { length };
}
const exported = await (await fetch(api('export.json'))).text();
const midi = await drainedBytes(await fetch(api('sessions/first-steps/rhythm.mid')));
const rhythm = () => {
  const form = new FormData();
  form.append('file', new Blob([midi]), 'beat.mid');
  return { method: 'POST', headers: { origin: app.base }, body: form };
};
let said = 0;
const HEARD = {
  'two-hour round compiled': () =>
    fetch(api('rounds/compile'), json('POST', { blocks: long.rounds[0].blocks, lead: 'left', seed: 1 })),
  'MIDI of eight hours': () => fetch(api('sessions/long/rhythm.mid')),
  'captions of eight hours': () => fetch(api('sessions/long/calls.vtt')),
  'WAV of two hours': () => fetch(api('sessions/long/audio.wav?round=long-0')),
  'homework of two hours': () => fetch(api('sessions/long/homework.zip?round=long-1')),
  'own call of five seconds': () => fetch(api('voice/own/hands%20high'), recording(5)),
  'rhythm of a MIDI file': () => fetch(api('combos/rhythm'), rhythm()),
  'new words said': () => fetch(api(`voice/say?text=word%20${(said += 1)}&voice=slt&rate=1`)),
};
const KEPT = {
  'whole gym out': () => fetch(api('export.json')),
  'whole gym in': () => fetch(api('import'), { ...json('POST', 0), body: exported }),
};

/** Two of each go on for half a minute, again and again; how soon the server answers meanwhile. */
async function under(title, loads) {
  let isOver = false;
  const done = Object.fromEntries(
    Object.keys(loads).map((name) => [name, { answers: 0, busy: 0, bytes: 0 }]),
  );
  const again = async (name) => {
    while (!isOver) {
      const answer = await loads[name]();
      const { length } = await drainedBytes(answer);
      done[name].bytes += length;
      if (answer.status === 503) done[name].busy += 1;
      else if (answer.ok) done[name].answers += 1;
      else throw new Error(`${name}: ${answer.status}`);
    }
  };
  const probe = new Worker(new URL('./healthProbe.mjs', import.meta.url), { workerData: api('health') });
  const going = Object.keys(loads).flatMap((name) => [again(name), again(name)]);
  await new Promise((end) => setTimeout(end, LOAD_MS));
  isOver = true;
  probe.postMessage('stop');
  const took = (await new Promise((end) => probe.once('message', end))).sort((a, b) => a - b);
  const at = (share) => ms(took[Math.min(took.length - 1, Math.floor(took.length * share))]);
  row(`health while ${title}`, `${at(0.5)}, p99 ${at(0.99)}, max ${at(1)}`, `${took.length} answers`);
  await Promise.all(going);
  for (const [name, { answers, busy, bytes }] of Object.entries(done))
    row(`  ${name}`, `${answers} done, ${busy} told to wait`, `${(bytes / 1e6).toFixed(0)} MB`);
}
await under('rounds, files and calls are made, two of each', HEARD);
await under('the whole gym goes out and in, two of each', KEPT);
await app.stop();
rmSync(data, { recursive: true, force: true });
