import { wrap, type Remote } from 'comlink';
import type { CoreWork, WiredBook } from './core.worker.ts';

let work: Remote<CoreWork> | null = null;

/** The thread that compiles and plans; one for the page, begun when it is first needed. */
export function coreWork(): Remote<CoreWork> {
  work ??= wrap<CoreWork>(
    new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module', name: 'core' }),
  );
  return work;
}

let given: { readonly book: WiredBook; readonly taken: Promise<void> } | null = null;

/** The same thread with this book, which is sent when it is another one, not with every round. */
export async function coreWorkWith(book: WiredBook): Promise<Remote<CoreWork>> {
  if (given?.book !== book) {
    const { items, numbers, sides } = book;
    given = { book, taken: coreWork().takeBook({ items, numbers, sides }) };
  }
  await given.taken;
  return coreWork();
}
