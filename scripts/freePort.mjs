/** Ports for the servers of tests. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Below the ports that a system gives to whoever asks for any: nobody takes one between the look and the start. */
const FIRST = 12_000;
const LAST = 32_000;

/** Who looks for a port writes its process here, so that two who look at once never start at the same one. */
const CLAIMS = join(tmpdir(), 'eurhythm-ports');

const own = [];
process.once('exit', () => {
  for (const claim of own) rmSync(claim, { force: true });
});

/** @param {number} port */
function isFree(port) {
  return new Promise((done) => {
    const probe = createServer().once('error', () => done(false));
    probe.listen(port, '0.0.0.0', () => probe.close(() => done(true)));
  });
}

/** @param {string} claim */
function isOfLivingProcess(claim) {
  try {
    process.kill(Number(readFileSync(claim, 'utf8')), 0);
    return true;
  } catch {
    return false;
  }
}

/** @param {number} port */
function claims(port) {
  const claim = join(CLAIMS, String(port));
  try {
    writeFileSync(claim, String(process.pid), { flag: 'wx' });
  } catch (error) {
    if (error.code === 'EEXIST' && !isOfLivingProcess(claim)) rmSync(claim, { force: true });
    return false;
  }
  own.push(claim);
  return true;
}

/**
 * A port that is free, as is the one after it, which is for the secure pages. It stays this process's own until the
 * process ends.
 * @returns {Promise<number>}
 */
export async function freePort() {
  mkdirSync(CLAIMS, { recursive: true });
  for (let tries = 0; tries < 1000; tries++) {
    const port = FIRST + 2 * Math.floor((Math.random() * (LAST - FIRST)) / 2);
    if (claims(port) && (await isFree(port)) && (await isFree(port + 1))) return port;
  }
  throw new Error('No port is free.');
}
