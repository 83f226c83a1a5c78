import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { X509Certificate } from 'node:crypto';
import { createServer, get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { certificatesIn } from './certificates.ts';
import { KEY_DAYS, isKey, makeKey } from './key.ts';
import { kept, matches } from './passphrase.ts';
import { addressesOf, isOwnHost } from './reach.ts';
import { RateLimit } from './rateLimit.ts';

const DAY_MS = 86_400_000;

describe('a passphrase', () => {
  it('is known again, and kept in a form that tells nothing', async () => {
    const keptOne = await kept('drei graue Reiher');
    expect(keptOne).not.toContain('Reiher');
    expect(await matches('drei graue Reiher', keptOne)).toBe(true);
    expect(await matches('drei graue Reiher ', keptOne)).toBe(false);
    expect(await kept('drei graue Reiher')).not.toBe(keptOne);
  });
  it('is the same one however its letters were typed', async () => {
    expect(await matches('cafe\u0301 am Wehr', await kept('caf\u00e9 am Wehr'))).toBe(true);
  });
});

describe('a key', () => {
  const key = makeKey('secret', 0);
  it('lets in for a while, with this secret alone', () => {
    expect(isKey(key, 'secret', KEY_DAYS * DAY_MS - 1)).toBe(true);
    expect(isKey(key, 'secret', KEY_DAYS * DAY_MS)).toBe(false);
    expect(isKey(key, 'another', 1)).toBe(false);
  });
  it.each(['', '.', 'x.y', `9${key}`, key.replace(/.$/, (last) => (last === 'A' ? 'B' : 'A'))])(
    'that was made up (%j) does not',
    (made) => expect(isKey(made, 'secret', 1)).toBe(false),
  );
});

describe('tries', () => {
  const tries = (): RateLimit => new RateLimit({ tries: 3, seconds: 60 }, { tries: 5, seconds: 60 });
  const taken = async (all: RateLimit, who: string): Promise<string> =>
    all.take(who).then(
      () => 'taken',
      (error: Error) => error.message,
    );
  it('are few for one, many at once are counted too, and right ones are free', async () => {
    const all = tries();
    const reported = await Promise.all(['a', 'a', 'a', 'a'].map((who) => taken(all, who)));
    expect(reported).toEqual(['taken', 'taken', 'taken', 'That was wrong too often. Try again in a minute.']);
    expect(await taken(all, 'b')).toBe('taken');
    const other = tries();
    for (let i = 0; i < 20; i++) {
      expect(await taken(other, 'a')).toBe('taken');
      await other.wasRight('a');
    }
  });
  it('are few for all together', async () => {
    const all = tries();
    for (const who of ['a', 'b', 'c', 'd', 'e']) expect(await taken(all, who)).toBe('taken');
    expect(await taken(all, 'f')).toContain('too often');
  });
});

describe('where others reach the gym', () => {
  const at = (host: string) =>
    addressesOf({ host, port: 80, securePort: 81, names: ['hall.local'], authority: () => '' });
  it.each(['127.0.0.1', 'localhost', '::1'])('nowhere while it listens on %s', (host) => {
    expect(isOwnHost(host)).toBe(true);
    expect(at(host)).toEqual({ addresses: [], secureAddresses: [] });
  });
  it('by its names and addresses, both ways', () => {
    expect(at('fd00::7')).toEqual({
      addresses: ['http://hall.local:80', 'http://[fd00::7]:80'],
      secureAddresses: ['https://hall.local:81', 'https://[fd00::7]:81'],
    });
  });
});

describe('certificates', () => {
  let folder = '';
  beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'eurhythm-door-'))));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const now = Date.now();

  it('stay as they are, and are made anew for other addresses and before they end, by the same authority', async () => {
    const first = await certificatesIn(folder, ['10.0.0.7'], now);
    expect(await certificatesIn(folder, ['10.0.0.7'], now)).toEqual(first);
    const moved = await certificatesIn(folder, ['10.0.0.8'], now);
    expect(moved.authority).toBe(first.authority);
    expect(moved.certificate).not.toBe(first.certificate);
    expect(new X509Certificate(moved.certificate).checkIP('10.0.0.8')).toBe('10.0.0.8');
    const later = await certificatesIn(folder, ['10.0.0.8'], now + 370 * DAY_MS);
    expect([later.authority, later.certificate === moved.certificate]).toEqual([first.authority, false]);
    for (const key of ['authority.key', 'server.key'])
      expect(statSync(join(folder, 'hall', key)).mode & 0o777).toBe(0o600);
  });
  it('are trusted by who trusts the authority, and by nobody else', async () => {
    const { authority, certificate, key } = await certificatesIn(folder, ['10.0.0.8'], now);
    const server = createServer({ cert: certificate, key }, (_, response) => response.end('here'));
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const { port } = server.address() as AddressInfo;
    const asked = (ca?: string): Promise<string> =>
      new Promise((done) =>
        get({ host: '127.0.0.1', port, path: '/', ...(ca ? { ca } : {}) }, (answer) =>
          answer.on('data', (data: Buffer) => done(data.toString())),
        ).on('error', (error: NodeJS.ErrnoException) => done(error.code ?? '')),
      );
    expect(await asked(authority)).toBe('here');
    expect(await asked()).not.toBe('here');
    server.close();
    server.closeAllConnections();
  });
});
