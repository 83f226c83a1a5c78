import { createHash, randomUUID } from 'node:crypto';
import { linkSync, readFileSync, readdirSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ownIdentity, runs, type ProcessIdentity } from './processIdentity.ts';

/*
 * A lock on a folder. Whoever holds it is named by a file with the process and its start; a file is only ever put in its place whole,
 * and where none is yet, so of several that try at once one succeeds. The holder after one that is gone stands in a file that is named
 * after the one before: nobody has to take away what another one may just have put there.
 */

/** Who held the folder first, since it was last given free. */
const FIRST = 'eurhythm.lock';
const AFTER = 'eurhythm.lock-after-';
/** What an older server wrote is its number alone; it gave its signs in a folder of its own. */
const OLDER = 'an older server';
const OLDER_SIGNS = 'eurhythm.locked';
/** A holder gives a sign so often; one that this process cannot look for is watched for some of them. */
const SIGN_MS = 1000;
const WATCHED_MS = 3500;

interface Holder extends ProcessIdentity {
  /** Of this taking alone. */
  readonly token: string;
}

/** A lock that is held. */
export interface HeldLock {
  release(): void;
}

/** Takes the lock, or tells the number of the process that holds it. */
export function takeLock(folder: string): HeldLock | { readonly heldBy: number } {
  const own: Holder = { ...ownIdentity(), token: randomUUID() };
  for (;;) {
    const { last, file } = lastHolder(folder);
    if (last && isThere(last, file)) return { heldBy: last.pid };
    const place = last ? afterFile(folder, last.token) : join(folder, FIRST);
    if (!put(folder, place, own)) continue;
    // Somebody may have given the folder free in between, and begun a new row.
    if (lastHolder(folder).last?.token === own.token) return held(folder, place);
    rmSync(place, { force: true });
  }
}

function held(folder: string, place: string): HeldLock {
  const signs = setInterval(() => {
    const now = new Date();
    try {
      utimesSync(place, now, now);
    } catch {
      // The folder was taken away: there is nothing to hold any more.
    }
  }, SIGN_MS);
  signs.unref();
  return {
    release: () => {
      clearInterval(signs);
      // From the first on, so that a new row begins as soon as the old one is cut.
      const all = readdirSync(folder).filter((name) => name === FIRST || name.startsWith(AFTER));
      for (const name of all.sort()) rmSync(join(folder, name), { force: true });
    },
  };
}

/** Puts a file in its place, whole; gives whether none was there. */
function put(folder: string, place: string, holder: Holder): boolean {
  const part = join(folder, `eurhythm.lock-part-${holder.token}`);
  writeFileSync(part, JSON.stringify(holder));
  try {
    linkSync(part, place);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  } finally {
    rmSync(part, { force: true });
  }
}

/** The last of the row of holders. */
function lastHolder(folder: string): { last: Holder | null; file: string } {
  let file = join(folder, FIRST);
  let last: Holder | null = null;
  for (let next = read(file); next; next = read(file)) {
    last = next;
    file = afterFile(folder, next.token);
  }
  return { last, file: last ? fileOf(folder, last) : file };
}

function fileOf(folder: string, { token }: Holder): string {
  const names = readdirSync(folder).filter((name) => name === FIRST || name.startsWith(AFTER));
  return join(folder, names.find((name) => read(join(folder, name))?.token === token) ?? FIRST);
}

function afterFile(folder: string, token: string): string {
  return join(folder, `${AFTER}${token}`);
}

/** What a lock file says; one of an older server is known by its content, and its process is not looked for. */
function read(file: string): Holder | null {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    return null;
  }
  try {
    const { pid, started, place, token } = JSON.parse(text) as Holder;
    if (typeof token === 'string') return { pid, started, place, token };
  } catch {
    // reported below
  }
  const token = createHash('sha256').update(text).digest('hex').slice(0, 32);
  return { pid: Number.parseInt(text, 10) || 0, started: '', place: OLDER, token };
}

/** Whether a holder is still there; one elsewhere by the signs that it gives. */
function isThere(holder: Holder, file: string): boolean {
  if (holder.place === OLDER) return givesSigns(join(dirname(file), OLDER_SIGNS));
  return runs(holder) ?? givesSigns(file);
}

/** Watches for a while: no clock has to be right for that. */
function givesSigns(file: string): boolean {
  const signOf = (): number => {
    try {
      return statSync(file).mtimeMs;
    } catch {
      return 0;
    }
  };
  const first = signOf();
  if (first === 0) return false;
  const until = performance.now() + WATCHED_MS;
  while (performance.now() < until) {
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 100);
    if (signOf() !== first) return true;
  }
  return false;
}
