/** `npm run restore`: brings back a copy of the gym, the newest one or the one that is named; `-- --list` shows them. */
import { resolve } from 'node:path';
import { getTableName } from 'drizzle-orm';
import { erasedIn, forgetAgain, type ErasedPerson } from './backup/erasePerson.ts';
import { CannotStart } from './process/cannotStart.ts';
import { takeDataFolder } from './process/dataFolder.ts';
import { openOrExplain } from './openOrExplain.ts';
import { checkCopy } from './store/copies/checkCopy.ts';
import { CopyFolder, REASONS } from './store/copies/copyFolder.ts';
import { dumpTables } from './store/copies/dumpTables.ts';
import { BrokenCopy, readCopy, restoreCopy } from './store/copies/restoreCopy.ts';
import { DamagedDatabase } from './store/open/damagedDatabase.ts';
import { openStore } from './store/open/openStore.ts';
import { erasedPeople } from './store/schema.ts';
import type { Store, StoreWish } from './store/store.ts';

const say = (line: string): void => void process.stdout.write(`${line}\n`);

async function restore(wanted: string | undefined): Promise<void> {
  const folder = resolve(process.env['EURHYTHM_DATA'] ?? 'data');
  const copies = new CopyFolder(folder);
  const all = await copies.list();
  if (wanted === '--list') {
    for (const { name, reason, bytes } of all)
      say(`${name}  ${Math.ceil(bytes / 1024)} kB  ${REASONS[reason]}`);
    if (all.length === 0) say(`There is no copy in ${copies.folder}.`);
    return;
  }
  const name = wanted ?? all[0]?.name;
  if (name === undefined) throw new CannotStart(`There is no copy in ${copies.folder}.`);
  if (!(await copies.has(name)))
    throw new CannotStart(
      `There is no copy ${name} in ${copies.folder}. “npm run restore -- --list” shows those that are.`,
    );
  const text = await copies.text(name);
  const taken = takeDataFolder(folder);
  process.on('exit', () => taken.release());
  const wish: StoreWish = { folder, url: process.env['DATABASE_URL'], isRestoring: true };
  const erased = await putBack(await openOrSetAside(wish), copies, text);
  // As at every start: a copy of an older version is brought up to date.
  const again = await openOrExplain(wish);
  const known = erased.length > 0 ? erased : await erasedInNewest(copies);
  await forgetAgain(again.database, known, new Date(readCopy(text).head.madeAt));
  await again.close();
  say(`The copy ${name} is back. “npm start” opens it.`);
}

/** A damaged database is set aside, and an empty one begun in its place. */
async function openOrSetAside(wish: StoreWish): Promise<Store> {
  try {
    return await openStore(wish);
  } catch (error) {
    if (!(error instanceof DamagedDatabase)) throw error;
    say(`The database was damaged (${error.why}); it is set aside as ${error.aside}.`);
    return openStore(wish);
  }
}

/** Puts a copy in the place of what is there, which is kept; gives whose data was erased by then. */
async function putBack(store: Store, copies: CopyFolder, text: string): Promise<readonly ErasedPerson[]> {
  try {
    await keepWhatIsThere(store, copies);
    const erased = await erasedIn(store.database);
    await restoreCopy(store.database, text);
    return erased;
  } finally {
    await store.close();
  }
}

/** Whose data was erased, as the newest copy knows it: where the database itself was damaged. */
async function erasedInNewest(copies: CopyFolder): Promise<ErasedPerson[]> {
  const [newest] = await copies.list();
  if (!newest) return [];
  const rows = readCopy(await copies.text(newest.name)).rows.get(getTableName(erasedPeople)) ?? [];
  return rows.map((row) => {
    const { mark, at } = JSON.parse(row) as { mark: string; at: string };
    return { mark, at: new Date(at) };
  });
}

/** What is replaced can be brought back too. */
async function keepWhatIsThere({ database }: Store, copies: CopyFolder): Promise<void> {
  const now = new Date();
  const lines = await dumpTables(database, 'before-restore', now);
  if (lines.length > 1) await copies.keep(lines, 'before-restore', now, checkCopy);
}

restore(process.argv[2]).then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof CannotStart || error instanceof BrokenCopy ? error.message : error);
    process.exit(1);
  },
);
