/** Seconds of real time. */
export type Seconds = number;

/** Tempo: beats in a minute. */
export type Bpm = number;

/** Slowest and fastest tempo that a combo or block may have. */
export const BPM_LIMITS = { min: 20, max: 300 } as const;

/**
 * Length of one beat.
 *
 * @example
 * beatSeconds(120) // 0.5
 */
export function beatSeconds(bpm: Bpm): Seconds {
  return 60 / bpm;
}
