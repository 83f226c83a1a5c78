/**
 * `npm test`: types, lint, the dependency rule, unit and contract tests, the build, a short attack, and the stories in the real browser.
 * `npm run test:quick` proves a change: the types of all, lint and tests of what is not committed yet or came since `main` left its remote.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, build, changedSince, checkNode, install, stop } from './house.mjs';

checkNode();
install();
const isQuick = process.argv.includes('--quick');
if (!isQuick) {
  const { needChromium } = await import('./chromium.mjs');
  try {
    needChromium();
  } catch (error) {
    stop(error.message);
  }
}

// The voice says the same in every stage, so it says it once.
const clips = mkdtempSync(join(tmpdir(), 'eurhythm-clips-'));
const running = new Set();
process.on('exit', () => {
  for (const child of running) process.kill(-child.pid, 'SIGTERM');
  rmSync(clips, { recursive: true, force: true });
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));

/** Runs `npm run -s NAME …`, and shows what it said once it is done; ends the whole with a sentence when it fails. */
async function npmRun(...args) {
  const child = spawn('npm', ['run', '-s', ...args], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, EURHYTHM_TEST_CLIPS: clips },
    detached: true,
  });
  running.add(child);
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
  const status = await new Promise((done) => child.on('close', done));
  running.delete(child);
  process.stdout.write(said);
  if (status !== 0) stop(`This step failed: npm run ${args.join(' ')}`);
}

/**
 * The stages, in the order in which they are begun as processors are free; each with how many it needs, and what it waits for.
 * Two run beside each other wherever that does no harm; what is about sound runs alone.
 */
const WHOLE = {
  build: { cores: 1, work: async () => build() },
  // The build compiles what the types are checked against.
  types: { cores: 1, after: ['build'], work: () => npmRun('types') },
  lint: { cores: 1, work: () => npmRun('lint') },
  core: { cores: 1, work: () => npmRun('unit', '--', '--maxWorkers=1', 'packages') },
  unit: { cores: 2, after: ['build'], work: () => npmRun('unit', '--', 'apps') },
  // Both wait for a database most of the time.
  attack: { cores: 0.5, after: ['build'], work: () => npmRun('attack:short') },
  postgres: { cores: 0.5, after: ['build'], work: () => npmRun('postgres') },
  stories: { cores: 2, after: ['build'], work: () => npmRun('stories') },
  sound: { cores: 2, after: ['build'], work: () => npmRun('stories:sound') },
};
const QUICK = {
  build: WHOLE.build,
  lint: { cores: 1, work: () => npmRun('lint:changed') },
  types: WHOLE.types,
  changed: {
    cores: 2,
    after: ['build'],
    work: () => npmRun('unit', '--', `--changedSince=${changedSince()}`),
  },
};

async function runAll(stages) {
  const took = new Map();
  const begun = new Set();
  const began = performance.now();
  await new Promise((done) => {
    let free = Math.max(2, availableParallelism());
    const next = () => {
      if (took.size === Object.keys(stages).length) return done();
      for (const [name, { cores, after = [], work }] of Object.entries(stages)) {
        if (begun.has(name) || cores > free || !after.every((each) => took.has(each))) continue;
        begun.add(name);
        free -= cores;
        const from = performance.now();
        void work().then(() => {
          took.set(name, (performance.now() - from) / 1000);
          free += cores;
          next();
        });
      }
    };
    next();
  });
  took.set('all', (performance.now() - began) / 1000);
  for (const [name, seconds] of took)
    console.log(`${name.padEnd(10)} ${String(Math.round(seconds)).padStart(5)} s`);
}

await runAll(isQuick ? QUICK : WHOLE);
process.exit(0);
