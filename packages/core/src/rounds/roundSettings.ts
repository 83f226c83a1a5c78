import type { CountLanguage } from '../calls/index.ts';
import type { Bpm, Seconds } from '../units/index.ts';

/** What is called out about the time in a round. */
export const TIME_CALLS = [
  'start-bell',
  'halfway',
  'thirty',
  'ten',
  'last-five',
  'end-bell',
  'ready',
] as const;
export type TimeCall = (typeof TIME_CALLS)[number];
/** All but the thirty seconds, which are much talk in a short round. */
export const USUAL_TIME_CALLS: readonly TimeCall[] = TIME_CALLS.filter((call) => call !== 'thirty');

/** The language of the count, with the gym's own words where it has any. */
export interface CountWords {
  readonly language: CountLanguage;
  readonly own: readonly string[];
}

export const ENGLISH_COUNT: CountWords = { language: 'english', own: [] };

/** A change of tempo made while a round runs: what begins at `from` or later goes so much faster. */
export interface TempoShift {
  readonly from: Seconds;
  readonly by: Bpm;
}

export const ROUND_LIMITS = {
  blockSeconds: { min: 5, max: 7200 },
  cyclesEach: { min: 1, max: 50 },
  blocks: 60,
  /** Longest round, and longest session with its series: what a compile and a file may take. */
  roundSeconds: 7200,
  sessionSeconds: 28_800,
  combosPerBlock: 20,
  groups: 12,
  /** Groups with combos of their own at once: so many strips are still read from afar. */
  lanes: 6,
} as const;
