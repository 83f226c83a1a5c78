import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { versionOf, type Letter, type Outcome, type ShelvedLetter } from './letter.ts';

interface Rooms extends DBSchema {
  letters: { key: number; value: Letter; indexes: { address: string } };
  shelf: { key: string; value: ShelvedLetter };
  drafts: { key: string; value: unknown };
  /** By address: the version that the last write from this browser came to, and the page that wrote it. */
  versions: { key: string; value: { readonly origin: string; readonly version: number } };
}

const NAME = 'eurhythm';
const VERSION = 1;
/** What is written and taken away again, so that the disk has all that came before. */
const DISK = 'on disk';

/** Letters, refused letters and drafts in the browser's own database, shared by all its tabs. */
export class LetterStore {
  private readonly database: IDBPDatabase<Rooms>;

  private constructor(database: IDBPDatabase<Rooms>) {
    this.database = database;
  }

  static async open(name = NAME): Promise<LetterStore> {
    const database = await openDB<Rooms>(name, VERSION, {
      upgrade: (made) => {
        const letters = made.createObjectStore('letters', { keyPath: 'sequence', autoIncrement: true });
        letters.createIndex('address', 'address');
        made.createObjectStore('shelf');
        made.createObjectStore('drafts');
        made.createObjectStore('versions');
      },
      // Another tab has a newer page: it may go on, and this one opens anew at its next write.
      blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
    });
    return new LetterStore(database);
  }

  /**
   * Puts a letter at the end. One to the same address that has not been sent gives way to it, and so does one on the shelf;
   * gives the ids of those that gave way. From then on it outlives the page and the browser; a power cut, from `reachDisk` on.
   */
  async add(letter: Letter): Promise<string[]> {
    const tx = this.database.transaction(['letters', 'shelf', 'versions'], 'readwrite');
    const letters = tx.objectStore('letters');
    const shelf = tx.objectStore('shelf');
    // What this page wrote last is newer than what it was drawn from.
    const [same, shelved, shelvedKeys, own] = await Promise.all([
      letters.index('address').getAll(letter.address),
      shelf.getAll(),
      shelf.getAllKeys(),
      tx.objectStore('versions').get(letter.address),
    ]);
    const older = same.filter(({ isSent }) => !isSent);
    const gone = shelvedKeys.filter((_, i) => shelved[i]!.letter.address === letter.address);
    await Promise.all([
      ...older.map(({ sequence }) => letters.delete(sequence!)),
      ...gone.map((key) => shelf.delete(key)),
    ]);
    const isOwn = own !== undefined && own.origin === letter.origin && letter.basedOn !== undefined;
    await letters.add(isOwn ? { ...letter, basedOn: Math.max(letter.basedOn!, own.version) } : letter);
    await tx.done;
    return older.map(({ id }) => id);
  }

  /**
   * Waits until all that was written so far is on the disk. Of the database's own rooms only the drafts are held up by it, so that
   * a letter is sent meanwhile.
   */
  async reachDisk(): Promise<void> {
    const tx = this.database.transaction('drafts', 'readwrite', { durability: 'strict' });
    await Promise.all([tx.store.put(null, DISK), tx.store.delete(DISK), tx.done]);
  }

  /** The letter that goes next; from now on it counts as sent. */
  async next(): Promise<Letter | undefined> {
    const tx = this.database.transaction('letters', 'readwrite');
    const cursor = await tx.store.openCursor();
    const letter = cursor?.value;
    if (cursor && letter && !letter.isSent) await cursor.update({ ...letter, isSent: true });
    await tx.done;
    return letter;
  }

  /** Takes a letter off, for what became of it. Newer ones of the same page go on from the version it came to. */
  async settle(letter: Letter, outcome: Outcome): Promise<void> {
    // What a power cut brings back is sent once more, and changes nothing.
    const tx = this.database.transaction(['letters', 'shelf', 'versions'], 'readwrite');
    const letters = tx.objectStore('letters');
    await letters.delete(letter.sequence!);
    const version = outcome.kind === 'taken' ? versionOf(outcome.answer) : undefined;
    if (version !== undefined)
      await tx.objectStore('versions').put({ origin: letter.origin, version }, letter.address);
    for (const newer of await letters.index('address').getAll(letter.address))
      if (version !== undefined && newer.origin === letter.origin && newer.basedOn !== undefined)
        await letters.put({ ...newer, basedOn: version });
    if (outcome.kind === 'refused') await tx.objectStore('shelf').put(outcome.shelved, letter.id);
    await tx.done;
  }

  waiting(): Promise<Letter[]> {
    return this.database.getAll('letters');
  }

  shelved(): Promise<ShelvedLetter[]> {
    return this.database.getAll('shelf');
  }

  /** Takes a refused letter off the shelf. */
  async unshelve(id: string): Promise<void> {
    await this.database.delete('shelf', id);
  }

  async drafts(): Promise<[string, unknown][]> {
    const tx = this.database.transaction('drafts');
    const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
    return keys.map((key, i) => [key, values[i]]);
  }

  async keepDraft(key: string, value: unknown): Promise<void> {
    await this.database.put('drafts', value, key);
  }

  async dropDraft(key: string): Promise<void> {
    await this.database.delete('drafts', key);
  }

  close(): void {
    this.database.close();
  }
}
