/** The built application on a port and data folder of its own, for the scripts that look at it or measure it. */
import { spawn } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './house.mjs';

/** Servers that are still served. */
const served = new Set();

/** Ends every server that was started here, whatever became of the one who started it. */
export function endServed() {
  for (const server of served) server.kill('SIGKILL');
  served.clear();
}
process.on('exit', endServed);
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => process.exit(1));

/** Starts the server and waits until it answers; gives its address and what ends it. */
export async function serveApp(data, port, env = {}) {
  const base = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['apps/server/dist/bundle/main.js'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, EURHYTHM_DATA: data, PORT: String(port), ...env },
  });
  served.add(server);
  server.once('exit', () => served.delete(server));
  const answers = () =>
    fetch(`${base}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
  for (let tries = 0; !(await answers()); tries++) {
    if (tries > 1500 || server.exitCode !== null) throw new Error('the server does not answer');
    await new Promise((done) => setTimeout(done, 20));
  }
  return {
    base,
    /** Waits until the voice has made the clips that it makes ahead, so that it takes no time from what is measured. */
    voiceIsReady: async () => {
      const clips = () => readdirSync(join(data, 'clips')).length;
      for (let before = -1; clips() !== before;) {
        before = clips();
        await new Promise((done) => setTimeout(done, 4000));
      }
    },
    process: server,
    /** Ends it as a power cut does. */
    kill: async () => {
      const ended = new Promise((done) => server.once('exit', done));
      server.kill('SIGKILL');
      await ended;
    },
    stop: async () => {
      const ended = new Promise((done) => server.once('exit', done));
      server.kill('SIGTERM');
      await ended;
    },
  };
}
