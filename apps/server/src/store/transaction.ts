import type { Database } from './openStore.ts';

/** What runs inside one transaction: it reads and writes all or nothing. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
