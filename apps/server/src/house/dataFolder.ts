import { accessSync, constants, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { lockSync } from 'proper-lockfile';
import { CannotStart } from './cannotStart.ts';

/** Names the process that holds the folder; the lock itself is a folder beside it, which only one process can make. */
const HOLDER = 'eurhythm.lock';
const LOCK = 'eurhythm.locked';
/** A holder that has given no sign for so long is gone; it gives one every other second. */
const STALE_MS = 15_000;

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
  const free = tryLock(folder) ?? (isHeld(folder) ? null : broken(folder));
  if (!free)
    throw new CannotStart(
      `The data folder ${folder} is in use by process ${holderOf(folder)}. Stop that one first, or choose another folder with EURHYTHM_DATA.`,
    );
  writeFileSync(join(folder, HOLDER), String(process.pid));
  return {
    release: () => {
      rmSync(join(folder, HOLDER), { force: true });
      free();
    },
  };
}

/** Takes the lock and gives what frees it again; null where it is taken. */
function tryLock(folder: string): (() => void) | null {
  try {
    return lockSync(folder, { lockfilePath: join(folder, LOCK), stale: STALE_MS, update: 2000 });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ELOCKED') return null;
    throw error;
  }
}

/** Takes over the lock that a process left behind which is gone: nobody waits for it to grow stale. */
function broken(folder: string): (() => void) | null {
  rmSync(join(folder, LOCK), { recursive: true, force: true });
  return tryLock(folder);
}

function holderOf(folder: string): number {
  try {
    return Number(readFileSync(join(folder, HOLDER), 'utf8'));
  } catch {
    return NaN; // it is being taken just now
  }
}

/** Whether the holder runs; one that has not written its name yet is starting. */
function isHeld(folder: string): boolean {
  const pid = holderOf(folder);
  if (Number.isNaN(pid)) return true;
  if (!Number.isInteger(pid) || pid <= 0 || pid === process.pid) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
