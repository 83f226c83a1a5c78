import { setPriority } from 'node:os';

/** A third of the share of a thread of the usual rank: enough to get on when the machine has other work too. */
const RANK = 5;

/**
 * Called in a thread that works for long: the thread that answers goes first where both want the same processor. Only where a
 * system gives each thread a rank of its own; elsewhere it would hold back the whole server.
 */
export function giveWay(): void {
  if (process.platform === 'linux') setPriority(RANK);
}
