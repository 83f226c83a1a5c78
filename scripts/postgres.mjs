/** A PostgreSQL server of the tests' own, from Debian's package, in a folder that goes when it stops. */
import { execFileSync, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './freePort.mjs';

const HOME = '/usr/lib/postgresql';
/** PostgreSQL does not run as root; its package brings this user. */
const USER = 'postgres';

/** The folder of its programs; installs the package when it is missing and that is allowed. Null where there is none. */
function programs() {
  const found = () => {
    const [newest] = existsSync(HOME) ? readdirSync(HOME).sort((a, b) => Number(b) - Number(a)) : [];
    const bin = newest && join(HOME, newest, 'bin');
    return bin && existsSync(join(bin, 'initdb')) ? bin : null;
  };
  if (!found() && process.getuid?.() === 0) {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env });
    spawnSync('apt-get', ['install', '-y', '-qq', 'postgresql'], { stdio: 'ignore', env });
  }
  return found();
}

/** Starts one; gives its address, and how to stop and restart it. Null where there is no PostgreSQL. */
export async function startPostgres() {
  const bin = programs();
  if (!bin) return null;
  const isRoot = process.getuid?.() === 0;
  const folder = mkdtempSync(join(tmpdir(), 'eurhythm-postgres-'));
  const data = join(folder, 'data');
  mkdirSync(data, { mode: 0o700 });
  const run = (program, ...args) => {
    const [command, ...rest] = isRoot
      ? ['runuser', '-u', USER, '--', join(bin, program)]
      : [join(bin, program)];
    execFileSync(command, [...rest, ...args], { cwd: '/', stdio: 'ignore' });
  };
  if (isRoot) {
    const id = (flag) => Number(execFileSync('id', [flag, USER], { encoding: 'utf8' }));
    for (const path of [folder, data]) chownSync(path, id('-u'), id('-g'));
  }
  const port = await freePort();
  // Nothing here has to outlive a power cut.
  const settings = `-p ${port} -k ${folder} -c listen_addresses=127.0.0.1 -c fsync=off -c max_connections=300`;
  run('initdb', '-D', data, '-U', 'eurhythm', '-A', 'trust', '-E', 'UTF8', '--no-sync');
  const start = () => run('pg_ctl', '-D', data, '-w', '-l', join(folder, 'log'), '-o', settings, 'start');
  start();
  return {
    url: `postgresql://eurhythm@127.0.0.1:${port}/postgres`,
    restart: () =>
      run(
        'pg_ctl',
        '-D',
        data,
        '-w',
        '-m',
        'immediate',
        '-l',
        join(folder, 'log'),
        '-o',
        settings,
        'restart',
      ),
    stop: () => {
      try {
        run('pg_ctl', '-D', data, '-m', 'immediate', 'stop');
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    },
  };
}
