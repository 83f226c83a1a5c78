/**
 * What comes out: the master bus of the Floor is recorded in Chromium while the page is blocked for half a second of every
 * two, the file of the same round is rendered by the server, and every call and tick is looked for in both by its waveform.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { acceptNotice } from '../acceptNotice.mjs';
import { ms, row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ soundEvents }, { readWav, resample, synthSound }] = await Promise.all([
  core('rounds'),
  core('sound'),
]);

const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const app = await serveApp(data, 4396);
const put = (path, body) =>
  fetch(`${app.base}/api/${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
const work = (id, seconds, comboId) => ({
  kind: 'combo',
  id,
  seconds,
  combos: [{ comboId }],
  bpm: 84,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
});
const session = (title, rounds) => ({ title, lead: 'left', plannedFor: null, rounds });
await put(
  'sessions/three',
  session('Three minutes', [{ id: 'r', title: 'Pads', kind: 'pads', blocks: [work('w', 180, 'flood-3')] }]),
);
await put(
  'sessions/hour',
  session(
    'An hour',
    Array.from({ length: 20 }, (_, i) => ({
      id: `r${i}`,
      title: 'Pads',
      kind: 'pads',
      blocks: [
        work(`w${i}`, 120, ['flood-3', 'slack-3', 'ebb-2'][i % 3]),
        { kind: 'rest', id: `p${i}`, seconds: 60 },
      ],
    })),
  ),
);
await app.voiceIsReady();

// --- the rendered hour: speed and memory
const rss = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${app.process.pid}/status`, 'utf8'))[1]) / 1024;
await (await fetch(`${app.base}/api/sessions/hour/calls.vtt`)).text();
const before = rss();
let most = before;
const from = performance.now();
const answer = await fetch(`${app.base}/api/sessions/hour/audio.wav`);
let bytes = 0;
for await (const piece of answer.body) {
  bytes += piece.length;
  if (bytes % 7 === 0) most = Math.max(most, rss());
}
most = Math.max(most, rss());
const took = (performance.now() - from) / 1000;
const seconds = (bytes - 44) / 2 / 44_100;
row(
  'render of an hour to WAV',
  `${(seconds / took).toFixed(0)} × real time`,
  `${took.toFixed(1)} s for ${(seconds / 60).toFixed(0)} min`,
);
row('memory while it renders', `${(most - before).toFixed(0)} MB more`, `${before.toFixed(0)} MB before`);

// --- the live round, recorded
const browser = await chromium.launch({
  executablePath: needChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--autoplay-policy=no-user-gesture-required',
  ],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, bypassCSP: true });
const page = await context.newPage();
await acceptNotice(page, app.base);
await page.addInitScript(() => {
  const recorder = `registerProcessor('recorder', class extends AudioWorkletProcessor {
    constructor() { super(); this.parts = []; this.port.onmessage = () => this.port.postMessage(this.parts); }
    process([input]) { this.parts.push(input[0] ? input[0].slice() : new Float32Array(128)); return true; }
  })`;
  const connect = AudioNode.prototype.connect;
  const made = new WeakMap();
  const recorderOf = (context) => {
    if (!made.has(context)) {
      const url = URL.createObjectURL(new Blob([recorder], { type: 'text/javascript' }));
      made.set(
        context,
        context.audioWorklet.addModule(url).then(() => {
          const node = new AudioWorkletNode(context, 'recorder', {
            channelCount: 1,
            channelCountMode: 'explicit',
          });
          window.recorded = { rate: context.sampleRate, node };
          return node;
        }),
      );
    }
    return made.get(context);
  };
  AudioNode.prototype.connect = function (to, ...rest) {
    if (to === this.context.destination && this.context instanceof AudioContext)
      void recorderOf(this.context).then((node) => connect.call(this, node));
    return connect.call(this, to, ...rest);
  };
});
const begun = await page.request.put(`${app.base}/api/runs/bench`, {
  data: { sessionId: 'three', fighterIds: [], startedAt: new Date().toISOString() },
});
const run = await begun.json();
const [first] = run.rounds;
await page.goto(`${app.base}/floor/bench`);
// The page compiles by itself; the server says the same of the same round.
const { roundSeed } = await core('run');
const compiled = await page.request.post(`${app.base}/api/rounds/compile`, {
  data: { blocks: first.blocks, lead: run.lead, seed: roundSeed(run.sessionId, first.id) },
});
const round = await compiled.json();
await page.getByText('ready when you are').waitFor({ timeout: 60_000 });
await page.waitForFunction(() => window.recorded);
await page.evaluate(() => {
  setInterval(() => {
    const until = performance.now() + 500;
    while (performance.now() < until);
  }, 2000);
});
await page.keyboard.press(' ');
await page.getByText('That was the session').waitFor({ timeout: 600_000 });
const live = await page.evaluate(
  () =>
    new Promise((done) => {
      const { rate, node } = window.recorded;
      node.port.onmessage = ({ data: parts }) => {
        const samples = new Int16Array(parts.length * 128);
        parts.forEach((part, i) =>
          part.forEach((x, j) => (samples[i * 128 + j] = Math.max(-1, Math.min(1, x)) * 32767)),
        );
        let text = '';
        const view = new Uint8Array(samples.buffer);
        for (let i = 0; i < view.length; i += 32768)
          text += String.fromCharCode(...view.subarray(i, i + 32768));
        done({ rate, text: btoa(text) });
      };
      node.port.postMessage(null);
    }),
);
await browser.close();
const rendered = readWav(
  new Uint8Array(await (await fetch(`${app.base}/api/sessions/three/audio.wav`)).arrayBuffer()),
).sound;

// --- where each sound is
const events = soundEvents(round);
const clips = new Map();
for (const { source } of events) {
  if (source.kind !== 'clip' || clips.has(source.id)) continue;
  const wav = await (await fetch(`${app.base}/api/voice/clips/${source.id}.wav`)).arrayBuffer();
  clips.set(source.id, readWav(new Uint8Array(wav)).sound);
}
const centreOf = new Map(round.cues.flatMap((cue) => (cue.clip ? [[cue.clip.id, cue.clip.centre]] : [])));
await app.stop();
rmSync(data, { recursive: true, force: true });

/** The piece of a sound that is looked for: a tick from its start, a call around its centre. */
function template({ source }, rate) {
  if (source.kind === 'synth')
    return { samples: synthSound(source.sound, rate).samples.slice(0, 0.05 * rate), skip: 0 };
  const whole = resample(clips.get(source.id), rate).samples;
  const from = Math.max(0, Math.round((centreOf.get(source.id) - 0.04) * rate));
  return { samples: whole.slice(from, from + Math.round(0.12 * rate)), skip: from / rate };
}

/** What is steep in a sound: the click of a tick stands out under a call. */
const steep = (samples) => samples.map((x, i) => x - (samples[i - 1] ?? 0));

/** Lag in samples at which `wanted` is most like `sound` around `at`, between samples by a parabola. */
function lagOf(sound, wanted, at, reach) {
  let best = 0;
  const scores = [];
  for (let lag = -reach; lag <= reach; lag++) {
    let sum = 0;
    let power = 1e-9;
    for (let i = 0; i < wanted.length; i++) {
      const x = sound[at + lag + i] ?? 0;
      sum += x * wanted[i];
      power += x * x;
    }
    scores.push(sum / Math.sqrt(power));
    if (scores.at(-1) > scores[best]) best = scores.length - 1;
  }
  const [a, b, c] = [scores[best - 1], scores[best], scores[best + 1]];
  const bend = a - 2 * b + c;
  return best - reach + (a === undefined || c === undefined || bend === 0 ? 0 : (a - c) / (2 * bend));
}

/** The sample at which the round begins in a sound: where its first bell rings. */
function zeroOf(sound, rate) {
  const bell = events.find(({ source }) => source.sound === 'bell-start');
  const ring = synthSound('bell-start', rate).samples.slice(0, Math.round(0.02 * rate));
  let zero = 0;
  let loudest = 0;
  for (let at = 0; at < 40 * rate; at++) {
    let sum = 0;
    for (let i = 0; i < ring.length; i += 2) sum += (sound[at + i] ?? 0) * ring[i];
    if (sum > loudest) [loudest, zero] = [sum, at];
  }
  return zero - Math.round(bell.at * rate);
}

/** Seconds by which each event is off, after the one shift that all share. */
function offsets(sound, rate) {
  const zero = zeroOf(sound, rate);
  const reach = Math.round(0.012 * rate);
  const edges = steep(sound);
  const off = events.map((event) => {
    const { samples, skip } = template(event, rate);
    const due = zero + (event.at + skip) * rate;
    return (Math.round(due) - due + lagOf(edges, steep(samples), Math.round(due), reach)) / rate;
  });
  const middle = [...off].sort((a, b) => a - b)[off.length >> 1];
  return off.map((each) => each - middle);
}
const liveBytes = Buffer.from(live.text, 'base64');
const liveSound = Float32Array.from(
  new Int16Array(liveBytes.buffer, liveBytes.byteOffset, liveBytes.length / 2),
  (x) => x / 32767,
);
const [liveOff, renderedOff] = [
  offsets(liveSound, live.rate),
  offsets(rendered.samples, rendered.sampleRate),
];
/** A tick under a call cannot be distinguished from the call's own hiss; those that stand free are looked at. */
const spoken = events.filter(({ source }) => source.kind === 'clip');
const lasts = ({ source }) => clips.get(source.id).samples.length / clips.get(source.id).sampleRate;
const isFree = ({ at }) => spoken.every((call) => at + 0.07 < call.at || at > call.at + lasts(call) + 0.02);

/** Seconds by which what is heard live around each event lies off the same stretch of the file, whatever sounds in it. */
function apart() {
  const rate = rendered.sampleRate;
  const heard =
    live.rate === rate ? liveSound : resample({ sampleRate: live.rate, samples: liveSound }, rate).samples;
  const [from, to] = [zeroOf(rendered.samples, rate), zeroOf(heard, rate)];
  const reach = Math.round(0.006 * rate);
  const edges = steep(heard);
  const off = events.map(({ at }) => {
    const start = Math.round(at * rate);
    const wanted = steep(rendered.samples.slice(from + start, from + start + Math.round(0.1 * rate)));
    return lagOf(edges, wanted, to + start, reach) / rate;
  });
  const middle = [...off].sort((a, b) => a - b)[off.length >> 1];
  return off.map((each) => each - middle);
}
const spread = (values) => {
  const sorted = values.map((x) => 1000 * Math.abs(x)).sort((a, b) => a - b);
  return `${ms(sorted[sorted.length >> 1])}, worst ${ms(sorted.at(-1))}`;
};
const only = (kind, values) =>
  values.filter((_, i) => events[i].source.kind === kind && (kind === 'clip' || isFree(events[i])));
const blocked = 'page blocked 500 ms of every 2 s';
row(
  'live: call centres off their cues',
  spread(only('clip', liveOff)),
  `${only('clip', liveOff).length} calls, ${blocked}`,
);
row(
  'live: ticks and bells off their cues',
  spread(only('synth', liveOff)),
  `${only('synth', liveOff).length} that no call covers`,
);
const renderedFree = [...only('clip', renderedOff), ...only('synth', renderedOff)];
row('rendered: off their cues', spread(renderedFree), `${renderedFree.length} sounds`);
row('live against rendered', spread(apart()), `${events.length} sounds, all that is heard around each`);
