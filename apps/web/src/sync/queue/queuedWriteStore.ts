import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { versionOf, type QueuedWrite, type Outcome, type RejectedWrite } from './queuedWrite.ts';

/** The stores' names, and the field of a rejected write, are those of the first version: what it left in a browser is read. */
const QUEUE = 'letters';
const REJECTED = 'shelf';
type KeptRejection = Omit<RejectedWrite, 'write'> & { readonly letter: QueuedWrite };

interface Rooms extends DBSchema {
  [QUEUE]: { key: number; value: QueuedWrite; indexes: { address: string } };
  [REJECTED]: { key: string; value: KeptRejection };
  drafts: { key: string; value: unknown };
  /** By address: the version that the last write from this browser came to, and the page that wrote it. */
  versions: { key: string; value: { readonly origin: string; readonly version: number } };
}

const NAME = 'eurhythm';
const VERSION = 1;
/** What is written and taken away again, so that the disk has all that came before. */
const DISK = 'on disk';

/** Queued writes, rejected writes and drafts in the browser's own database, shared by all its tabs. */
export class QueuedWriteStore {
  private readonly database: IDBPDatabase<Rooms>;

  private constructor(database: IDBPDatabase<Rooms>) {
    this.database = database;
  }

  static async open(name = NAME): Promise<QueuedWriteStore> {
    const database = await openDB<Rooms>(name, VERSION, {
      upgrade: (made) => {
        const writes = made.createObjectStore(QUEUE, { keyPath: 'sequence', autoIncrement: true });
        writes.createIndex('address', 'address');
        made.createObjectStore(REJECTED);
        made.createObjectStore('drafts');
        made.createObjectStore('versions');
      },
      // Another tab has a newer page: it may go on, and this one opens anew at its next write.
      blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
    });
    return new QueuedWriteStore(database);
  }

  /**
   * Puts a write at the end. One to the same address that has not been sent gives way to it, and so does a rejected one;
   * gives the ids of those that gave way. From then on it outlives the page and the browser; a power cut, from `reachDisk` on.
   */
  async add(write: QueuedWrite): Promise<string[]> {
    const tx = this.database.transaction([QUEUE, REJECTED, 'versions'], 'readwrite');
    const writes = tx.objectStore(QUEUE);
    const rejectedWrites = tx.objectStore(REJECTED);
    // What this page wrote last is newer than what it was drawn from.
    const [same, rejected, rejectedKeys, own] = await Promise.all([
      writes.index('address').getAll(write.address),
      rejectedWrites.getAll(),
      rejectedWrites.getAllKeys(),
      tx.objectStore('versions').get(write.address),
    ]);
    const older = same.filter(({ isSent }) => !isSent);
    const gone = rejectedKeys.filter((_, i) => rejected[i]!.letter.address === write.address);
    await Promise.all([
      ...older.map(({ sequence }) => writes.delete(sequence!)),
      ...gone.map((key) => rejectedWrites.delete(key)),
    ]);
    const isOwn = own !== undefined && own.origin === write.origin && write.basedOn !== undefined;
    await writes.add(isOwn ? { ...write, basedOn: Math.max(write.basedOn!, own.version) } : write);
    await tx.done;
    return older.map(({ id }) => id);
  }

  /**
   * Waits until all that was written so far is on the disk. Of the database's own rooms only the drafts are held up by it, so that
   * a write is sent meanwhile.
   */
  async reachDisk(): Promise<void> {
    const tx = this.database.transaction('drafts', 'readwrite', { durability: 'strict' });
    await Promise.all([tx.store.put(null, DISK), tx.store.delete(DISK), tx.done]);
  }

  /** The write that goes next; from now on it counts as sent. */
  async next(): Promise<QueuedWrite | undefined> {
    const tx = this.database.transaction(QUEUE, 'readwrite');
    const cursor = await tx.store.openCursor();
    const write = cursor?.value;
    if (cursor && write && !write.isSent) await cursor.update({ ...write, isSent: true });
    await tx.done;
    return write;
  }

  /** Takes a write off, for what became of it. Newer ones of the same page go on from the version it came to. */
  async settle(write: QueuedWrite, outcome: Outcome): Promise<void> {
    // What a power cut brings back is sent once more, and changes nothing.
    const tx = this.database.transaction([QUEUE, REJECTED, 'versions'], 'readwrite');
    const writes = tx.objectStore(QUEUE);
    await writes.delete(write.sequence!);
    const version = outcome.kind === 'taken' ? versionOf(outcome.answer) : undefined;
    if (version !== undefined)
      await tx.objectStore('versions').put({ origin: write.origin, version }, write.address);
    for (const newer of await writes.index('address').getAll(write.address))
      if (version !== undefined && newer.origin === write.origin && newer.basedOn !== undefined)
        await writes.put({ ...newer, basedOn: version });
    if (outcome.kind === 'refused') {
      const { write: letter, ...rejection } = outcome.rejected;
      await tx.objectStore(REJECTED).put({ ...rejection, letter }, write.id);
    }
    await tx.done;
  }

  waiting(): Promise<QueuedWrite[]> {
    return this.database.getAll(QUEUE);
  }

  async rejected(): Promise<RejectedWrite[]> {
    const kept = await this.database.getAll(REJECTED);
    return kept.map(({ letter, ...rejection }) => ({ ...rejection, write: letter }));
  }

  /** Forgets a rejected write. */
  async unreject(id: string): Promise<void> {
    await this.database.delete(REJECTED, id);
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
