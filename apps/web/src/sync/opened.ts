import { toast } from 'sonner';
import { newId, send } from '../server/api.ts';
import { queryClient } from '../server/queries.ts';
import { Drafts } from './drafts/drafts.ts';
import { QueuedWriteStore } from './queue/queuedWriteStore.ts';
import { takeOverOlderPages } from './queue/olderPages.ts';
import { Sync } from './queue/Sync.ts';
import { browserTabs } from './queue/tabs.ts';

/** The way to write of this page, once it is open. */
export let sync: Sync;
export let drafts: Drafts;

/** Opens the browser's database before the first page is drawn, so that drafts are at hand. */
export async function openSync(): Promise<void> {
  const store = await QueuedWriteStore.open();
  await takeOverOlderPages(localStorage, store, newId).catch(() => {
    // A browser that lets nothing be kept has nothing to take over.
  });
  drafts = new Drafts(await store.drafts(), store, () =>
    toast.error('This device has no room left: what you write is lost when you close this page.', {
      id: 'no-room',
    }),
  );
  window.addEventListener('pagehide', () => drafts.write());
  if (typeof BroadcastChannel !== 'undefined') {
    const channel = new BroadcastChannel('eurhythm.drafts');
    const hear = drafts.joinTabs((change) => channel.postMessage(change));
    channel.addEventListener('message', ({ data }) => hear(data));
  }
  sync = new Sync(store, send, browserTabs(), newId);
  // What another tab or an earlier page wrote changes what this one shows; the Floor knows its own marks.
  sync.onOutcome(({ address }) => {
    if (!/^(runs|attempts)\//.test(address)) void queryClient.invalidateQueries();
  });
  window.addEventListener('online', () => sync.tryNow());
}
