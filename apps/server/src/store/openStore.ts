import { CopyFolder } from './copies/copyFolder.ts';
import type { Database } from './database.ts';

export interface Store {
  readonly database: Database;
  /** Brings the tables up to date, with a copy of them before, and does what a first start does; one server after the other. */
  prepare(begin: (database: Database) => Promise<unknown>): Promise<void>;
  close(): Promise<void>;
}

/** Where a store is opened. */
export interface StoreWish {
  /** The data folder. */
  readonly folder: string;
  /** Of a PostgreSQL server; undefined for the embedded database. */
  readonly url: string | undefined;
  /** Whether an empty database may be begun where there was one before: a copy is brought back into it. */
  readonly isRestoring?: boolean;
}

/** Opens the PostgreSQL server at `url`, or the embedded database in the folder; what the other one needs is not read. @throws DamagedDatabase */
export async function openStore(wish: StoreWish): Promise<Store> {
  const copies = new CopyFolder(wish.folder);
  return wish.url === undefined
    ? (await import('./openEmbedded.ts')).openEmbedded(wish, copies)
    : (await import('./openPostgres.ts')).openPostgres(wish.url, copies);
}
