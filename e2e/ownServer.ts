import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, symlinkSync } from 'node:fs';
import { createConnection, createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** A server of a story's own, which may be killed and begun anew on its data. */
export class OwnServer {
  readonly base: string;
  private readonly data = mkdtempSync(join(tmpdir(), 'eurhythm-own-'));
  private process: ChildProcess | null = null;
  private readonly port: number;
  private readonly names: readonly string[];

  constructor(port: number, names: readonly string[] = []) {
    this.port = port;
    this.names = names;
    this.base = `http://127.0.0.1:${port}`;
    const clips = process.env['EURHYTHM_TEST_CLIPS'];
    if (clips) symlinkSync(clips, join(this.data, 'clips'));
  }

  async start(): Promise<void> {
    this.process = spawn(process.execPath, ['--liftoff-only', 'apps/server/dist/bundle/main.js'], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        EURHYTHM_DATA: this.data,
        PORT: String(this.port),
        EURHYTHM_BACKUP_AFTER: '3600',
        EURHYTHM_NAMES: this.names.join(','),
      },
    });
    const { process: child } = this;
    const kill = (): void => void child.kill('SIGKILL');
    process.once('exit', kill);
    child.once('exit', () => process.off('exit', kill));
    for (let tries = 0; ; tries++) {
      const isUp = await fetch(`${this.base}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (isUp) return;
      if (tries > 600) throw new Error('the server did not start');
      await new Promise((done) => setTimeout(done, 100));
    }
  }

  /** As a power cut. */
  async kill(): Promise<void> {
    const { process } = this;
    if (!process || process.exitCode !== null || process.signalCode !== null) return;
    const ended = new Promise((done) => process.once('exit', done));
    process.kill('SIGKILL');
    await ended;
  }

  async end(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** A way to a server that takes its time and jitters: every packet waits so many milliseconds, and none overtakes another. */
export function slowLink(from: number, to: number, waits: () => number): Promise<Server> {
  const link = createServer((near) => {
    const far = createConnection(to, '127.0.0.1');
    for (const [one, other] of [
      [near, far],
      [far, near],
    ] as const) {
      const line: (() => void)[] = [];
      let last = 0;
      const later = (what: () => void): void => {
        line.push(what);
        last = Math.max(last, Date.now() + waits());
        // Timers of one instant come in no order; the line has one.
        setTimeout(() => line.shift()?.(), last - Date.now());
      };
      one.on('data', (data) => later(() => other.writable && other.write(data)));
      one.on('close', () => later(() => other.end()));
      one.on('error', () => other.destroy());
    }
  });
  return new Promise((done) => link.listen(from, '127.0.0.1', () => done(link)));
}
