/** Beats in a thread of its own; a page that is one file brings another one. */
export const openHeartbeat = (): Worker =>
  new Worker(new URL('./heartbeat.worker.ts', import.meta.url), { type: 'module' });
