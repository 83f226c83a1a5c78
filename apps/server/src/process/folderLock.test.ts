import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ownIdentity } from './processIdentity.ts';
import { takeLock } from './folderLock.ts';

const BUILT = fileURLToPath(new URL('../../dist/process/folderLock.js', import.meta.url));
let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'eurhythm-lock-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Writes a lock file as a process would. */
const lockedBy = (holder: object): void =>
  writeFileSync(join(folder, 'eurhythm.lock'), JSON.stringify(holder));
const take = (): number | null => {
  const lock = takeLock(folder);
  if ('heldBy' in lock) return lock.heldBy;
  lock.release();
  return null;
};

describe('the lock of a folder', () => {
  it('is held by one, tells by whom, and leaves nothing behind', () => {
    const lock = takeLock(folder);
    expect('heldBy' in lock).toBe(false);
    expect(take()).toBe(process.pid);
    if (!('heldBy' in lock)) lock.release();
    expect(readdirSync(folder)).toEqual([]);
    expect(take()).toBeNull();
  });
  it('of a process that is gone is taken over', () => {
    const { pid } = spawnSync(process.execPath, ['-e', '']);
    lockedBy({ ...ownIdentity(), pid, token: 'gone' });
    expect(take()).toBeNull();
    expect(readdirSync(folder)).toEqual([]);
  });
  it('of a process whose number another one has by now is taken over', () => {
    lockedBy({ ...ownIdentity(), started: '1', token: 'reused' });
    expect(take()).toBeNull();
  });
  it('of an older server, or a half written one, is taken over', () => {
    for (const text of ['12345', '{"pid":1', '']) {
      writeFileSync(join(folder, 'eurhythm.lock'), text);
      expect([text, take()]).toEqual([text, null]);
    }
  });
  it('of a process elsewhere counts as long as it gives signs', () => {
    const elsewhere = { ...ownIdentity(), place: 'another machine', token: 'far' };
    lockedBy(elsewhere);
    const beat = `setInterval(()=>{const n=new Date();require('fs').utimesSync(${JSON.stringify(join(folder, 'eurhythm.lock'))},n,n)},300)`;
    const far = spawn(process.execPath, ['-e', beat]);
    try {
      expect(take()).toBe(process.pid);
    } finally {
      far.kill('SIGKILL');
    }
    expect(take()).toBeNull();
  }, 20_000);

  const race = (n: number): Promise<string[]> =>
    Promise.all(
      Array.from(
        { length: n },
        () =>
          new Promise<string>((done) => {
            const code = `import(${JSON.stringify(BUILT)}).then(({ takeLock }) => {
              while (Date.now() < ${Date.now() + 1200});
              const lock = takeLock(${JSON.stringify(folder)});
              process.stdout.write('heldBy' in lock ? 'lost ' : 'won ');
              // Nobody lets go before all have tried.
              setTimeout(() => process.exit(0), 1500);
            });`;
            const child = spawn(process.execPath, ['--input-type=module', '-e', code]);
            let said = '';
            child.stdout.on('data', (data) => (said += data));
            child.on('exit', () => done(said.trim()));
          }),
      ),
    );
  it('is taken by one of three that start at the same time, also after a crash', async () => {
    for (let i = 0; i < 3; i++) {
      // Each ended without giving it free: the next three find the lock of a process that is gone.
      expect((await race(3)).sort()).toEqual(['lost', 'lost', 'won']);
    }
  }, 60_000);
});
