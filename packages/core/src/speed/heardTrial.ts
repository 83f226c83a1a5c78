import type { Onset } from '../strikes/index.ts';
import type { Seconds } from '../units/index.ts';

/** What is measured: as many as fit, how long a combo takes, how soon an answer comes, or a number that somebody reads off. */
export const TRIAL_KINDS = ['burst', 'combo-time', 'reaction', 'measure'] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** As much of a test as says what counts of its trials. */
export interface Tested {
  readonly kind: TrialKind;
  /** Length of a burst. */
  readonly seconds: Seconds;
}

/** How a trial was counted: each way has errors of its own. */
export const MEASURED = [
  'taps',
  'partner',
  'by-hand',
  'microphone',
  'motion',
  'sensor',
  'file',
  'self-reported',
] as const;
export type Measured = (typeof MEASURED)[number];

/** What a trial said before it was corrected. */
export interface EarlierCount {
  readonly count: number;
  /** Where it was not a number of times: seconds. */
  readonly value?: Seconds;
  readonly measured: Measured;
  readonly at: string;
  /** Which making of the detector it came from, where that is what changed. */
  readonly detector?: string;
}

/** Where the strikes of a trial came from. */
export const SOURCES = ['microphone', 'motion', 'sensor', 'file', 'taps'] as const;
export type StrikeSource = (typeof SOURCES)[number];

/** What a trial was worked out from, so that it can be worked out again. */
export interface HeardTrial {
  readonly source: StrikeSource;
  /** What heard it, in words. */
  readonly device: string;
  /** Of trials of before alone: what is still to be taken off the onsets for the way from the strike to the device. */
  readonly latency?: Seconds;
  /** Which making of the detector it was; null where nothing was detected. */
  readonly detector: string | null;
  /** All that was heard, by the clock of the trial. */
  readonly onsets: readonly Onset[];
  /** When strikes were due, or when was called what is answered to; null where as many as possible were wanted. */
  readonly due: readonly Seconds[] | null;
  /** Places in `due` at which each time through the line begins; all of it is one time through without it. */
  readonly starts?: readonly number[];
  /**
   * For each that was due the place among the onsets of what landed, −1 for none, as the whole round was put together: what the strip
   * shows and what the trial counts are one evaluation. Without it the trial is put together by itself.
   */
  readonly hits?: readonly number[];
  /** When sounds of the device's own began where it heard them: what came just then is left out. */
  readonly own?: readonly Seconds[];
  /** What was weaker counted as doubtful, in decibels of full scale. */
  readonly leastStrength?: number;
}
