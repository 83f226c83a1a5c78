/** Ports for the servers of tests. */
import { createServer } from 'node:net';

/** Below the ports that a system gives to whoever asks for any: nobody takes one between the look and the start. */
const FIRST = 12_000;
const PER_PROCESS = 500;
const RANGES = 40;
let next = 0;

function isFree(port) {
  return new Promise((done) => {
    const probe = createServer().once('error', () => done(false));
    probe.listen(port, '0.0.0.0', () => probe.close(() => done(true)));
  });
}

/**
 * A port that is free, as is the one after it, which is for the secure pages; processes look in ranges of their own.
 * @returns {Promise<number>}
 */
export async function freePort() {
  for (let tries = 0; tries < PER_PROCESS; tries += 2) {
    const port = FIRST + (process.pid % RANGES) * PER_PROCESS + next;
    next = (next + 2) % PER_PROCESS;
    if ((await isFree(port)) && (await isFree(port + 1))) return port;
  }
  throw new Error('No port is free.');
}
