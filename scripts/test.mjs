/** `npm test`: lint, types, dependency rule, unit tests, build, a short attack, and the stories in the real browser. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, checkNode, install, run, runQuietly, stop } from './house.mjs';

checkNode();
install();
const { needChromium } = await import('./chromium.mjs');
try {
  needChromium();
} catch (error) {
  stop(error.message);
}
/** What took how long, told at the end. */
const stages = [];
function stage(name, work) {
  const from = performance.now();
  work();
  stages.push([name, (performance.now() - from) / 1000]);
}

/** Two that need one processor each, beside each other; each tells what it found once it is done. */
async function stagesTogether(...names) {
  const from = performance.now();
  await Promise.all(
    names.map(async (name) => {
      await runQuietly('npm', ['run', '-s', name]);
      stages.push([name, (performance.now() - from) / 1000]);
    }),
  );
}

// The voice says the same in every stage, so it says it once.
const clips = mkdtempSync(join(tmpdir(), 'eurhythm-clips-'));
process.env['EURHYTHM_TEST_CLIPS'] = clips;
process.on('exit', () => rmSync(clips, { recursive: true, force: true }));

const began = performance.now();
await stagesTogether('lint', 'types');
stage('build', build);
stage('unit', () => run('npm', ['run', '-s', 'unit']));
// A short attack; `npm run attack` is the whole.
await stagesTogether('postgres', 'attack:short');
stage('stories', () => run('npm', ['run', '-s', 'e2e']));
const all = (performance.now() - began) / 1000;
for (const [name, seconds] of [...stages, ['all', all]])
  console.log(`${name.padEnd(13)} ${String(Math.round(seconds)).padStart(5)} s`);
