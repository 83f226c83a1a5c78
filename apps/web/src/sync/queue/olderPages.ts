import type { QueuedWrite, Subject } from './queuedWrite.ts';
import type { QueuedWriteStore } from './queuedWriteStore.ts';

/** Places in which earlier versions of the page kept writes and drafts. */
const OUTBOX = 'eurhythm.outbox';
const DRAFT = 'eurhythm.draft.';

const MARK: Subject = { one: 'mark', many: 'marks' };

interface OldQueuedWrite {
  readonly id: string;
  readonly method: 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** Takes over what an earlier version of the page left in this browser, once. */
export async function takeOverOlderPages(
  storage: Storage,
  store: QueuedWriteStore,
  newId: () => string,
): Promise<void> {
  for (const { method, path, body } of readList(storage.getItem(OUTBOX))) {
    // Where a run stood is known by its events now; the last place that was not sent is not worth a write.
    if (path.endsWith('/clock')) continue;
    const write: QueuedWrite = {
      id: newId(),
      method,
      address: path,
      body,
      subject: MARK,
      origin: 'an older page',
      isSent: false,
    };
    await store.add(write);
  }
  storage.removeItem(OUTBOX);
  for (const place of Object.keys(storage).filter((key) => key.startsWith(DRAFT))) {
    const draft = readJson(storage.getItem(place));
    if (draft !== undefined) await store.keepDraft(place.slice(DRAFT.length), draft);
    storage.removeItem(place);
  }
}

function readList(text: string | null): OldQueuedWrite[] {
  const list = readJson(text);
  return Array.isArray(list) ? (list as OldQueuedWrite[]) : [];
}

function readJson(text: string | null): unknown {
  if (text === null) return undefined;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined; // written by something else; there is nothing of ours in it
  }
}
