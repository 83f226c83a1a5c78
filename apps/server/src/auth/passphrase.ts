import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);

/** Costs of scrypt as OWASP's Password Storage Cheat Sheet has them for little memory: 32 MB and some tenths of a second for each try. */
const COSTS = { N: 2 ** 15, r: 8, p: 3 };
const LENGTH = 32;
const MEMORY = 64 * 2 ** 20;

/**
 * A passphrase as it is kept. However its letters were typed on another keyboard, it is the same one.
 *
 * @example
 * await matches('three grey herons', await kept('three grey herons')) // true
 */
export async function kept(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derived(passphrase, salt, COSTS);
  return ['scrypt', COSTS.N, COSTS.r, COSTS.p, salt.toString('base64'), key.toString('base64')].join('$');
}

export async function matches(passphrase: string, keptOne: string): Promise<boolean> {
  const [, n, r, p, salt = '', key = ''] = keptOne.split('$');
  const wanted = Buffer.from(key, 'base64');
  const got = await derived(passphrase, Buffer.from(salt, 'base64'), {
    N: Number(n),
    r: Number(r),
    p: Number(p),
  });
  return wanted.length === got.length && timingSafeEqual(wanted, got);
}

function derived(passphrase: string, salt: Buffer, costs: typeof COSTS): Promise<Buffer> {
  return derive(passphrase.normalize('NFKC'), salt, LENGTH, { ...costs, maxmem: MEMORY });
}
