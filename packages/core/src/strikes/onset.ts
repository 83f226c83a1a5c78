import type { Seconds } from '../units/index.ts';

/** A strike as it was heard, felt or read: the one shape of it, from the detector to the log. */
export interface Onset {
  /** Where the impact begins. The latency of the input is taken off where the strike comes in, and nowhere after. */
  readonly at: Seconds;
  /** How strong, as its input measures it: decibels of full scale of a microphone, m/s³ of motion. */
  readonly strength?: number;
  /** It may have been something else, or somebody else's. It is kept and shown, and counts for nothing. */
  readonly doubtful?: boolean;
}

/** What an input reports: an onset, or that the one it reported at this instant before was none. */
export interface OnsetReport extends Onset {
  readonly withdrawn?: boolean;
}

/**
 * Those that count: what is doubtful is neither a hit nor an extra.
 *
 * @param onsets in any order; the order is kept
 *
 * @example
 * sureOnsets([{ at: 1 }, { at: 1.5, doubtful: true }]).length // 1
 */
export const sureOnsets = <T extends Onset>(onsets: readonly T[]): T[] =>
  onsets.filter(({ doubtful }) => doubtful !== true);
