import { accessSync, constants, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CannotStart } from './cannotStart.ts';

const LOCK = 'eurhythm.lock';

/** Makes the data folder if need be and takes its lock, so that two processes never write one database. */
export function takeDataFolder(folder: string): { release(): void } {
  try {
    mkdirSync(folder, { recursive: true });
    if (!statSync(folder).isDirectory()) throw new Error('not a folder');
    accessSync(folder, constants.W_OK);
  } catch {
    throw new CannotStart(
      `The data folder ${folder} cannot be made or written to. Choose another with EURHYTHM_DATA.`,
    );
  }
  const lock = join(folder, LOCK);
  if (!tryLock(lock)) {
    const holder = Number(readFileSync(lock, 'utf8'));
    if (isAlive(holder)) {
      throw new CannotStart(
        `The data folder ${folder} is in use by process ${holder}. Stop that one first, or choose another folder with EURHYTHM_DATA.`,
      );
    }
    rmSync(lock, { force: true });
    if (!tryLock(lock))
      throw new CannotStart(
        `The data folder ${folder} is being taken by another process just now. Try again.`,
      );
  }
  return { release: () => rmSync(lock, { force: true }) };
}

function tryLock(lock: string): boolean {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

/** Whether a process with this number runs; our own number in an old lock is a leftover. */
function isAlive(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0 || pid === process.pid) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
