import type { Server } from 'node:http';

/** An answer that takes longer than this is dropped, so that a server that is told to end does so before somebody kills it. */
const LONGEST_MS = 3000;
const LOOK_MS = 50;

/** Takes nobody in any more; settled once nobody is connected. */
export function closed(server: Server): Promise<void> {
  return new Promise((done) => server.close(() => done()));
}

/**
 * Of servers that are being closed: who is being answered gets the answer, and no connection is kept for the next request, for which
 * Node would wait as long as for any other. Until `done` is settled.
 */
export async function lastAnswers(servers: readonly Server[], done: Promise<unknown>): Promise<void> {
  const idle = setInterval(() => servers.forEach((server) => server.closeIdleConnections()), LOOK_MS);
  const late = setTimeout(() => servers.forEach((server) => server.closeAllConnections()), LONGEST_MS);
  try {
    await done;
  } finally {
    clearInterval(idle);
    clearTimeout(late);
  }
}
