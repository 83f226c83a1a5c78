import { median } from 'simple-statistics';
import type { Seconds } from '../units/index.ts';

export interface BurstSummary {
  readonly count: number;
  readonly perSecond: number;
  /** Repetitions a second in the first and the last third of the time. */
  readonly firstThird: number;
  readonly lastThird: number;
}

/** How a trial was counted: each way has errors of its own. */
export const MEASURED = ['taps', 'partner', 'by-hand', 'microphone', 'sensor', 'self-reported'] as const;
export type Measured = (typeof MEASURED)[number];

/** What a trial said before it was corrected. */
export interface EarlierCount {
  readonly count: number;
  readonly measured: Measured;
  readonly at: string;
}

/**
 * What counts of a trial: the number that was told, or its instants within the time.
 *
 * @example
 * countOf({ said: 23, instants: [] }, 10) // 23
 */
export function countOf(
  { said, instants }: { readonly said?: number | null; readonly instants: readonly Seconds[] },
  seconds: Seconds,
): number {
  return said ?? summariseBurst(instants, seconds).count;
}

/**
 * Sums up a burst of `seconds` from the instants of its repetitions, counted from its start; others are left out.
 *
 * @example
 * summariseBurst([0.5, 1, 12], 10).count // 2
 */
export function summariseBurst(instants: readonly Seconds[], seconds: Seconds): BurstSummary {
  const inside = instants.filter((at) => at >= 0 && at <= seconds);
  const third = seconds / 3;
  return {
    count: inside.length,
    perSecond: inside.length / seconds,
    firstThird: inside.filter((at) => at < third).length / third,
    lastThird: inside.filter((at) => at >= seconds - third).length / third,
  };
}

export interface TrialSummary {
  readonly best: number;
  readonly median: number;
  readonly trials: number;
}

/**
 * Best, median and number of trials, always told together; null without trials. `better` says which end is best.
 *
 * @example
 * summariseTrials([30, 26, 22], 'higher') // { best: 30, median: 26, trials: 3 }
 */
export function summariseTrials(values: readonly number[], better: 'higher' | 'lower'): TrialSummary | null {
  if (values.length === 0) return null;
  const best = better === 'higher' ? Math.max(...values) : Math.min(...values);
  return { best, median: median(values), trials: values.length };
}
