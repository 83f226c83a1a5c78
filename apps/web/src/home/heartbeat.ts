/** As `workers/heartbeat.worker.ts`, without a file of its own. */
const BEAT = 'setInterval(() => postMessage(null), 200);';

/** A thread that beats, made out of the page itself. */
export function openHeartbeat(): Worker {
  const url = URL.createObjectURL(new Blob([BEAT], { type: 'text/javascript' }));
  const worker = new Worker(url);
  URL.revokeObjectURL(url);
  return worker;
}
