/** What the scripts share: the Node check, installing, running a step, and whether a build is still fresh. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const RECOGNISER_SCRIPT = 'scripts/recogniserProgram.mjs';
const STAMPS = join(ROOT, '.build');

/** Says one sentence and ends. */
export function stop(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    stop(`Eurhythm needs Node 20.19 or newer; this is Node ${process.versions.node}.`);
  }
}

/** Runs a command in the project; ends with a sentence when it fails. */
export function run(command, args, { quiet = false, env = {} } = {}) {
  const result = spawnSync(command, args, {
    cwd: ROOT,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    env: { ...process.env, ...env },
    encoding: 'utf8',
  });
  if (result.error) stop(`${command} cannot be run: ${result.error.message}.`);
  if (result.status !== 0) {
    if (quiet) process.stderr.write(`${result.stdout}${result.stderr}`);
    stop(`This step failed: ${command} ${args.join(' ')}`);
  }
}

/** Runs the compiler that is a program of the machine: the same language as the one that lint reads with, ten times as fast. */
export function compile(...args) {
  run(process.execPath, ['node_modules/typescript-native/bin/tsc', ...args]);
}

/** Runs a command and shows what it said once it is done; ends with a sentence when it fails. */
export async function runQuietly(command, args) {
  const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
  const status = await new Promise((done) => child.on('close', done));
  process.stdout.write(said);
  if (status !== 0) stop(`This step failed: ${command} ${args.join(' ')}`);
}

/** The commit that `main` shares with its remote; where there is none, the newest. */
export function changedSince() {
  const base = spawnSync('git', ['merge-base', 'HEAD', 'origin/main'], { cwd: ROOT, encoding: 'utf8' });
  return base.status === 0 ? base.stdout.trim() : 'HEAD';
}

function* filesUnder(path) {
  if (!existsSync(path)) return;
  if (statSync(path).isFile()) yield path;
  else {
    for (const name of readdirSync(path).sort()) {
      if (
        name !== 'node_modules' &&
        name !== 'dist' &&
        name !== 'dist-home' &&
        !name.endsWith('.tsbuildinfo')
      )
        yield* filesUnder(join(path, name));
    }
  }
}

function printOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths)
    for (const file of filesUnder(join(ROOT, path)))
      hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Does `work` unless it was done for exactly these files before and its products are there. */
export function unlessFresh(name, sources, products, work) {
  const stamp = join(STAMPS, name);
  const print = printOf(sources);
  const isFresh =
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === print &&
    products.every((product) => existsSync(join(ROOT, product)));
  if (isFresh) return;
  work();
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stamp, print);
}

export function install() {
  unlessFresh('installed', ['package-lock.json'], ['node_modules/.package-lock.json'], () => {
    console.log('Installing packages (once) …');
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true });
  });
}

export function build() {
  const base = ['package-lock.json', 'tsconfig.base.json', 'packages'];
  unlessFresh(
    'server',
    [...base, 'apps/server', 'scripts/bundle.mjs', RECOGNISER_SCRIPT],
    [
      'apps/server/dist/bundle/main.js',
      'apps/server/dist/recogniser.wasm',
      'apps/server/dist/empty-database.tar.gz',
    ],
    () => {
      console.log('Building the server …');
      compile('-b');
      run('node', ['scripts/bundle.mjs']);
      run('node', [RECOGNISER_SCRIPT, 'apps/server/dist/recogniser.wasm']);
      run('node', ['apps/server/dist/buildEmptyDatabase.js']);
    },
  );
  unlessFresh(
    'web',
    [...base, 'apps/web'],
    ['apps/web/dist/index.html', 'apps/web/dist-home/home.html'],
    () => {
      console.log('Building the pages …');
      // Asked for by a test, it is still what is used.
      const env = { NODE_ENV: 'production' };
      run('npm', ['run', '-s', 'build', '-w', '@eurhythm/web'], { quiet: true, env });
    },
  );
}
