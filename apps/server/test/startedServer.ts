/** Starts the built server on a data folder of its own, for the contract tests. */
import { afterAll, beforeAll, jest } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, symlinkSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { freePort } from '../../../scripts/freePort.mjs';
import { openGym } from './host/hostedGym.ts';

/** A server of a test is gone before it pays to make its database faster. */
export const QUICK = ['--liftoff-only'];
export const MAIN = fileURLToPath(new URL('../dist/bundle/main.js', import.meta.url));

export interface Answer<T = any> {
  readonly status: number;
  readonly headers: Headers;
  readonly body: T;
}

export interface StartedServer {
  readonly base: string;
  readonly data: string;
  call<T = any>(
    method: string,
    path: string,
    body?: unknown,
    headers?: Readonly<Record<string, string>>,
  ): Promise<Answer<T>>;
  stop(): Promise<void>;
}

/** Runs the server until it ends by itself; gives what it said. */
export function runToEnd(env: Record<string, string>): Promise<{ code: number | null; said: string }> {
  return new Promise((done) => {
    const child = spawn(process.execPath, [...QUICK, MAIN], { env: { ...process.env, ...env } });
    let said = '';
    child.stderr.on('data', (data) => (said += data));
    child.on('exit', (code) => done({ code, said }));
  });
}

/** The voice says the same in every test of a run, so the servers of a run share what it has said. */
const CLIPS = process.env['EURHYTHM_TEST_CLIPS'] ?? join(tmpdir(), `eurhythm-test-clips-${process.ppid}`);

export function folderOfOwn(): string {
  const data = mkdtempSync(join(tmpdir(), 'eurhythm-test-'));
  mkdirSync(CLIPS, { recursive: true });
  symlinkSync(CLIPS, join(data, 'clips'));
  return data;
}

/** A server that is told to end drops what it does; on a busy machine that may take some seconds. */
const LONGEST_END_MS = 60_000;

/** No copies of the gym are made and nothing is prepared ahead while tests run, but where it is asked for. */
const QUIET = { EURHYTHM_BACKUP_AFTER: '3600', EURHYTHM_WARM_AHEAD: '0' };

/** The PostgreSQL server that the tests run on; none for the embedded database. */
export const POSTGRES = process.env['EURHYTHM_TEST_POSTGRES'];

/** Runs a statement of administration. */
export async function administer(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: POSTGRES });
  await client.connect();
  await client.query(statement);
  await client.end();
}

/** A new, empty database on it. */
export async function databaseOfOwn(): Promise<{ url: string; drop(): Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await administer(`create database ${name}`);
  const url = POSTGRES!.replace(/\/postgres$/, `/${name}`);
  return { url, drop: () => administer(`drop database if exists ${name} with (force)`) };
}

export async function startServer(
  folder?: string,
  env: Readonly<Record<string, string>> = {},
): Promise<StartedServer> {
  const data = folder ?? folderOfOwn();
  const database = POSTGRES && !env['DATABASE_URL'] ? await databaseOfOwn() : null;
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const child: ChildProcess = spawn(process.execPath, [...QUICK, MAIN], {
    env: {
      ...process.env,
      ...QUIET,
      EURHYTHM_DATA: data,
      PORT: String(port),
      ...(database ? { DATABASE_URL: database.url } : {}),
      ...env,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const kill = (): void => void child.kill('SIGKILL');
  process.once('exit', kill);
  const ended = new Promise<void>((done) => child.once('exit', () => done()));
  void ended.then(() => process.off('exit', kill));
  for (let tries = 0; ; tries++) {
    const isUp = await fetch(`${base}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) break;
    if (tries > 900 || child.exitCode !== null) throw new Error('the server did not start');
    await new Promise((done) => setTimeout(done, 100));
  }
  return {
    base,
    data,
    call: caller(base),
    stop: async () => {
      child.kill('SIGTERM');
      const late = setTimeout(() => child.kill('SIGKILL'), LONGEST_END_MS);
      await ended;
      clearTimeout(late);
      if (child.signalCode === 'SIGKILL') throw new Error('the server did not end when it was told to');
      await database?.drop();
      if (folder === undefined) rmSync(data, { recursive: true, force: true });
    },
  };
}

/** Asks a server, and reads its answer. */
function caller(base: string): StartedServer['call'] {
  return async (method, path, body, headers = {}) => {
    const isSent = body !== undefined;
    const response = await fetch(`${base}/api/${path}`, {
      method,
      headers: { ...(isSent ? { 'content-type': 'application/json' } : {}), ...headers },
      ...(isSent ? { body: typeof body === 'string' ? body : JSON.stringify(body) } : {}),
    });
    const text = await response.text();
    const isJson = response.headers.get('content-type')?.includes('json') ?? false;
    return { status: response.status, headers: response.headers, body: isJson ? JSON.parse(text) : text };
  };
}

export interface FileServer {
  call: StartedServer['call'];
  base(): string;
}

/** A gym that is served until it is stopped: the demo gym, or one that begins empty. */
export async function startGym(kind: 'demo' | 'empty'): Promise<Omit<StartedServer, 'data'>> {
  const { base, close } = await openGym(kind);
  return { base, call: caller(base), stop: close };
}

/** A gym for all tests of a file. */
export function serverForThisFile(kind: 'demo' | 'empty' = 'demo'): FileServer {
  return serverFor(() => startGym(kind));
}

/** A server with a process of its own for all tests of a file. */
export function processForThisFile(env: Readonly<Record<string, string>>): FileServer {
  return serverFor(() => startServer(undefined, env));
}

function serverFor(start: () => Promise<Omit<StartedServer, 'data'>>): FileServer {
  jest.setTimeout(300_000);
  let server: Omit<StartedServer, 'data'>;
  beforeAll(async () => {
    server = await start();
  });
  afterAll(() => server.stop());
  return { base: () => server.base, call: (...request) => server.call(...request) };
}
