import { constants, setPriority } from 'node:os';

/**
 * Called in a thread that works for long: the thread that answers goes first where both want the same processor. Only where a
 * system gives each thread a rank of its own; elsewhere it would hold back the whole server.
 */
export function giveWay(): void {
  if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);
}
