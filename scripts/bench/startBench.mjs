/** Starting the server, and how much a page loads. */
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
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
