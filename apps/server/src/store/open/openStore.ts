import { CopyFolder } from '../copies/copyFolder.ts';
import type { Store, StoreWish } from '../store.ts';

/** Opens the PostgreSQL server at `url`, or the embedded database in the folder; what the other one needs is not read. @throws DamagedDatabase */
export async function openStore(wish: StoreWish): Promise<Store> {
  const copies = new CopyFolder(wish.folder);
  return wish.url === undefined
    ? (await import('./openEmbedded.ts')).openEmbedded(wish, copies)
    : (await import('./openPostgres.ts')).openPostgres(wish.url, copies);
}
