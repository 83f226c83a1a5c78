import { createReadStream, mkdirSync } from 'node:fs';
import { open, readFile, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { BrokenCopy } from './restoreCopy.ts';

const zip = promisify(gzip);
const unzip = promisify(gunzip);

/** Why a copy was made, as its file tells it. */
export const REASONS = {
  daily: 'as every day',
  'before-migration': 'before the server brought its tables up to date',
  'before-restore': 'before an older copy was brought back',
  'by-hand': 'asked for',
} as const;
export type Reason = keyof typeof REASONS;

/** A copy in the folder. */
export interface KeptCopy {
  readonly name: string;
  readonly madeAt: Date;
  readonly reason: Reason;
  readonly bytes: number;
}

const NAME = /^(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z-([a-z-]+)\.ndjson\.gz$/;
/** A copy that nobody has opened yet. */
const UNCHECKED = '.unchecked';

/** The dated copies of a data folder. */
export class CopyFolder {
  readonly folder: string;

  constructor(dataFolder: string) {
    this.folder = join(dataFolder, 'backups');
  }

  /** Newest first. */
  async list(): Promise<KeptCopy[]> {
    const names = await readdir(this.folder).catch(() => [] as string[]);
    const copies = await Promise.all(
      names.map(async (name): Promise<KeptCopy | null> => {
        const match = NAME.exec(name);
        const reason = match?.[6] as Reason | undefined;
        if (!match || !reason || !(reason in REASONS)) return null;
        const [, day, hour, minute, second, ms] = match;
        const { size } = await stat(join(this.folder, name));
        const madeAt = new Date(`${day}T${hour}:${minute}:${second}.${ms}Z`);
        return { name, madeAt, reason, bytes: size };
      }),
    );
    return copies.filter((copy) => copy !== null).sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
  }

  /**
   * Writes a copy, has it opened, and only then gives it its name: what stands in the folder is whole.
   * @throws BrokenCopy when it cannot be opened.
   */
  async keep(
    lines: readonly string[],
    reason: Reason,
    now: Date,
    check: (file: string) => Promise<void>,
  ): Promise<string> {
    mkdirSync(this.folder, { recursive: true });
    const name = `${now.toISOString().replace(/[:.]/g, '-')}-${reason}.ndjson.gz`;
    const file = join(this.folder, name);
    const unchecked = `${file}${UNCHECKED}`;
    try {
      const handle = await open(unchecked, 'w');
      try {
        await handle.writeFile(await zip(`${lines.join('\n')}\n`));
        // On the disk, not only on its way there.
        await handle.sync();
      } finally {
        await handle.close();
      }
      await check(unchecked);
      await rename(unchecked, file);
    } catch (error) {
      await rm(unchecked, { force: true });
      throw error;
    }
    return name;
  }

  /** Takes out what is older than it is kept, and what an ended process left half written. */
  async prune(now: Date): Promise<void> {
    const copies = await this.list();
    const kept = new Set(keptCopies(copies, now));
    for (const { name } of copies) if (!kept.has(name)) await rm(join(this.folder, name), { force: true });
    for (const name of await readdir(this.folder).catch(() => [] as string[]))
      if (name.endsWith(UNCHECKED)) await rm(join(this.folder, name), { force: true });
  }

  async has(name: string): Promise<boolean> {
    return (await this.list()).some((copy) => copy.name === name);
  }

  text(name: string): Promise<string> {
    return copyText(join(this.folder, name));
  }

  stream(name: string) {
    return createReadStream(join(this.folder, name));
  }
}

/** The text of a copy. @throws BrokenCopy when it is damaged. */
export async function copyText(file: string): Promise<string> {
  const bytes = await readFile(file);
  try {
    return (await unzip(bytes)).toString('utf8');
  } catch {
    throw new BrokenCopy('This copy is damaged.');
  }
}

const DAY = 86_400_000;
/** So long the last copy of each day is kept, and of each week. */
const DAYS = 7;
const WEEKS = 4;

/** The names of the copies that stay: all of the last day, the newest of each of seven days and of each of four weeks. */
export function keptCopies(copies: readonly Pick<KeptCopy, 'name' | 'madeAt'>[], now: Date): string[] {
  const newestOf = (length: number, count: number): string[] => {
    const newest = new Map<number, string>();
    for (const { name, madeAt } of [...copies].sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime())) {
      const age = Math.floor((now.getTime() - madeAt.getTime()) / length);
      // The clock was set back: a copy from the future is of today.
      const place = Math.max(0, age);
      if (place < count && !newest.has(place)) newest.set(place, name);
    }
    return [...newest.values()];
  };
  const fresh = copies.filter(({ madeAt }) => now.getTime() - madeAt.getTime() < DAY).map(({ name }) => name);
  return [...new Set([...fresh, ...newestOf(DAY, DAYS), ...newestOf(7 * DAY, WEEKS)])];
}
