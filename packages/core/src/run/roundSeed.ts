import { seedFromText } from '../units/index.ts';

/**
 * What settles the chances of a round: the same owner (a run, or a session that is only heard or written to a file) and round
 * always give the same draws.
 *
 * @example
 * roundSeed('run-1', 'round-2') === roundSeed('run-1', 'round-2') // true
 */
export function roundSeed(owner: string, roundId: string): number {
  return seedFromText(`${owner}/${roundId}`);
}
