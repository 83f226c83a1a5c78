import type { Tabs } from './Sync.ts';

const NAME = 'eurhythm.sync';

/** The tabs of this browser: a channel between them, and a lock that one of them holds. */
export function browserTabs(): Tabs {
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME);
  return {
    post: (message) => channel?.postMessage(message),
    onMessage: (listen) => channel?.addEventListener('message', ({ data }) => listen(data)),
    whenAlone: (work) => {
      // Without locks (an old browser, a page that is not from this machine) each tab sends; the server takes all once.
      if (typeof navigator === 'undefined' || !navigator.locks) void work();
      else void navigator.locks.request(`${NAME}.sender`, work);
    },
  };
}
