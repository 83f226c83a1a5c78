import { seedFromText } from '../units/index.ts';

/**
 * What settles the chances of a round: its session and itself. On the Floor, listened to and in a file it is the same round, to the
 * sample; a session that is planned anew draws anew.
 *
 * @example
 * roundSeed('session-1', 'round-2') === roundSeed('session-1', 'round-2') // true
 */
export function roundSeed(sessionId: string, roundId: string): number {
  return seedFromText(`${sessionId}/${roundId}`);
}
