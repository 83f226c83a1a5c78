/** Starting the server, and how much a page loads. */
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { ms, row } from './table.mjs';

async function startOnce(data) {
  const from = performance.now();
  const app = await serveApp(data, 4398);
  const took = performance.now() - from;
  await app.stop();
  return took;
}
const data = mkdtempSync(join(tmpdir(), 'eurhythm-bench-'));
const cold = await startOnce(data);
const warm = await startOnce(data);
rmSync(data, { recursive: true, force: true });
row('first start: database, demo gym, answering', ms(cold), 'at most 2,500 ms');
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
/** What a browser fetches before a room is there: the frame's scripts and the room's, each once, packed as the server sends them. */
const size = (keys) => {
  const seen = new Set();
  const files = [...new Set(keys.flatMap((key) => scriptsOf(key, seen)))];
  // What is too small to gain by it is sent as it is.
  const sent = (file) => (existsSync(file) ? statSync(file).size : null);
  const sum = (ending) => files.reduce((all, file) => all + (sent(file + ending) ?? sent(file)), 0);
  const kB = (bytes) => `${(bytes / 1024).toFixed(0)} kB`;
  return `${kB(sum(''))}, ${kB(sum('.gz'))} gzip, ${kB(sum('.br'))} brotli`;
};
for (const [name, keys, about] of [
  ['Today', ['src/rooms/today/TodayRoom.tsx'], 'at most 200 kB gzip'],
  ['Combos', ['src/rooms/combos/CombosRoom.tsx'], 'at most 300 kB gzip'],
  ['Floor', ['src/rooms/floor/FloorRoom.tsx'], ''],
])
  row(`JavaScript with ${name}`, size(['index.html', ...keys]), about);
