import { accessSync, constants, mkdirSync, statSync } from 'node:fs';
import { CannotStart } from './cannotStart.ts';
import { takeLock } from './folderLock.ts';

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
  const lock = takeLock(folder);
  if ('heldBy' in lock)
    throw new CannotStart(
      `The data folder ${folder} is in use by process ${lock.heldBy}. Stop that one first, or choose another folder with EURHYTHM_DATA.`,
    );
  return lock;
}
