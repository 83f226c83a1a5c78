import type { EpochMs } from './runEvent.ts';

/** A question to another clock: when it was sent and when the answer came, by the own clock, and what the other one showed. */
export interface RoundTrip {
  readonly sent: EpochMs;
  readonly answered: EpochMs;
  readonly came: EpochMs;
}

/** How far another clock is ahead of the own one, in milliseconds, and by how much this can be wrong at most. */
export interface ClockDifference {
  readonly ahead: number;
  readonly within: number;
}

/**
 * What several round trips together say about another clock. Each of them leaves a span in which the truth lies, since the
 * answer was given after the question and before the answer came; however long a way took, the truth lies in all of these spans
 * (Marzullo 1984). Where they have nothing in common, one of the clocks was set meanwhile: then only the latest trips count.
 * Null before the first.
 *
 * @example
 * clockDifference([{ sent: 0, answered: 1050, came: 100 }]) // { ahead: 1000, within: 50 }
 */
export function clockDifference(trips: readonly RoundTrip[]): ClockDifference | null {
  let [least, most] = [-Infinity, Infinity];
  for (const { sent, answered, came } of trips.toReversed()) {
    const [low, high] = [Math.max(least, answered - came), Math.min(most, answered - sent)];
    if (low > high) break;
    [least, most] = [low, high];
  }
  return least === -Infinity ? null : { ahead: (least + most) / 2, within: (most - least) / 2 };
}
