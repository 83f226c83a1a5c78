/** Gyms for the contract tests, served by one host process for each Jest worker. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, openSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const HOST = fileURLToPath(new URL('./host.mjs', import.meta.url));
/** The host belongs to the process that runs these tests, and outlives each of their files. */
const FOLDER = join(tmpdir(), `eurhythm-host-${process.pid}`);
const LOOK_MS = 50;

async function hostPort(): Promise<string> {
  const place = join(FOLDER, 'port');
  if (!existsSync(FOLDER)) {
    mkdirSync(FOLDER);
    const log = openSync(join(FOLDER, 'log'), 'a');
    spawn(process.execPath, [HOST, FOLDER, String(process.pid)], {
      stdio: ['ignore', log, log],
      detached: true,
    }).unref();
  }
  while (!existsSync(place)) {
    const said = readFileSync(join(FOLDER, 'log'), 'utf8');
    if (/Error/.test(said)) throw new Error(`The host of the tests did not start: ${said}`);
    await new Promise((done) => setTimeout(done, LOOK_MS));
  }
  return readFileSync(place, 'utf8');
}

async function ask<T>(what: 'open' | 'close', body: object): Promise<T> {
  const answer = await fetch(`http://127.0.0.1:${await hostPort()}/${what}`, {
    method: 'POST',
    // A connection that is kept may be closed just when it is used again.
    headers: { connection: 'close' },
    body: JSON.stringify(body),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`The host of the tests could not ${what} a gym: ${text}`);
  return JSON.parse(text) as T;
}

/** A gym that is served, until it is closed: the demo gym, or one that begins empty. */
export async function openGym(
  kind: 'demo' | 'empty',
): Promise<{ readonly base: string; close(): Promise<void> }> {
  const { base } = await ask<{ base: string }>('open', { kind });
  return { base, close: async () => void (await ask('close', { base })) };
}
