import type { Pool } from 'pg';
import type { Database } from './database.ts';

/** An open database. */
export interface Store {
  readonly database: Database;
  /** Connections to a database server that others may use too; null for the embedded database, which is this server's alone. */
  readonly shared: Pool | null;
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
