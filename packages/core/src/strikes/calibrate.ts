import { median } from 'simple-statistics';

/** Quiet of so long, and so many strikes, are asked for. */
export const QUIET_SECONDS = 5;
export const TEST_STRIKES = 10;
/** With fewer strikes than this nothing is known. */
const LEAST_STRIKES = 5;
/** What is quieter than the weakest test strike by more than this, in decibels, is somebody else's. */
const UNDER_WEAKEST = 6;
/** But at least so much must be between the loudest of the quiet and what counts. */
const OVER_QUIET = 3;
/** A hall in which strikes stand out by less than this is told to be too loud. */
const STANDS_OUT = 10;

/** What a device learnt at its place; decibels of full scale. */
export interface Calibration {
  /** The usual level while nobody struck, and its loudest. */
  readonly quiet: number;
  readonly loudestQuiet: number;
  /** The usual test strike. */
  readonly strike: number;
  /** What is weaker counts as doubtful. */
  readonly leastStrength: number;
  /** What stands in the way of a good count, in words; empty where nothing does. */
  readonly warning: string;
}

export type Calibrated =
  { readonly ok: true; readonly calibration: Calibration } | { readonly ok: false; readonly message: string };

/**
 * Learns a hall from levels of 2 ms or more while nobody struck, and from the strengths of test strikes, both in decibels.
 *
 * @param quietLevels decibels
 * @param strikes decibels
 *
 * @example
 * calibrate([-60, -58], [-20, -22, -18, -21, -20]).ok // true
 */
export function calibrate(quietLevels: readonly number[], strikes: readonly number[]): Calibrated {
  if (quietLevels.length === 0)
    return { ok: false, message: 'Nothing was heard at all: the microphone may be switched off.' };
  if (strikes.length < LEAST_STRIKES)
    return {
      ok: false,
      message: `Only ${strikes.length} of ${TEST_STRIKES} strikes were heard. Lay the device nearer to the bag and try again.`,
    };
  const sorted = [...quietLevels].sort((a, b) => a - b);
  const quiet = median(sorted);
  // One door that bangs is not the hall.
  const loudestQuiet = sorted[Math.floor(0.99 * (sorted.length - 1))]!;
  const strike = median([...strikes]);
  const leastStrength = Math.max(Math.min(...strikes) - UNDER_WEAKEST, loudestQuiet + OVER_QUIET);
  return {
    ok: true,
    calibration: {
      quiet,
      loudestQuiet,
      strike,
      leastStrength,
      warning: warningOf(strike, loudestQuiet, leastStrength),
    },
  };
}

function warningOf(strike: number, loudestQuiet: number, leastStrength: number): string {
  if (leastStrength >= strike)
    return 'The hall is as loud as the strikes. Lay the device nearer to the bag, or count by hand.';
  return strike - loudestQuiet < STANDS_OUT
    ? 'The hall is nearly as loud as the strikes: some will be lost. Lay the device nearer to the bag.'
    : '';
}
