import { mean, median, standardDeviation } from 'simple-statistics';
import type { Tested } from './heardTrial.ts';
import type { Seconds } from '../units/index.ts';

/** What a number alone says of a burst. */
export interface CountSummary {
  readonly count: number;
  readonly perSecond: number;
}

export interface BurstSummary extends CountSummary {
  /** Repetitions a second in the first and the last third of the time. */
  readonly firstThird: number;
  readonly lastThird: number;
  /** How unlike the gaps are: their standard deviation as a share of their mean; null for fewer than three. */
  readonly unevenness: number | null;
}

/**
 * What counts of a trial of a test: the number that was reported, or its instants; of a burst those within its time.
 *
 * @example
 * countOf({ said: 23, instants: [] }, { kind: 'burst', seconds: 10 }) // 23
 */
export function countOf(
  { said, instants }: { readonly said?: number | null; readonly instants: readonly Seconds[] },
  { kind, seconds }: Tested,
): number {
  return said ?? (kind === 'burst' ? summariseBurst(instants, seconds).count : instants.length);
}

/**
 * Sums up a burst of `seconds` from the instants of its repetitions, counted from its start; others are left out.
 *
 * @example
 * summariseBurst([0.5, 1, 12], 10).count // 2
 */
export function summariseBurst(instants: readonly Seconds[], seconds: Seconds): BurstSummary {
  const inside = instants.filter((at) => at >= 0 && at <= seconds).sort((a, b) => a - b);
  const third = seconds / 3;
  const gaps = inside.slice(1).map((at, i) => at - inside[i]!);
  return {
    count: inside.length,
    perSecond: inside.length / seconds,
    firstThird: inside.filter((at) => at < third).length / third,
    lastThird: inside.filter((at) => at >= seconds - third).length / third,
    unevenness: gaps.length < 3 ? null : standardDeviation(gaps) / mean(gaps),
  };
}

/**
 * Sums up a burst of `seconds` of which somebody reported the number.
 *
 * @param count strikes
 *
 * @example
 * summariseCount(23, 10).perSecond // 2.3
 */
export function summariseCount(count: number, seconds: Seconds): CountSummary {
  return { count, perSecond: count / seconds };
}

export interface TrialSummary {
  readonly best: number;
  readonly median: number;
  readonly trials: number;
}

/**
 * Best, median and number of trials, always reported together; null without trials. `better` says which end is best.
 *
 * @param values one of each trial, in the unit of the test
 *
 * @example
 * summariseTrials([30, 26, 22], 'higher') // { best: 30, median: 26, trials: 3 }
 */
export function summariseTrials(values: readonly number[], better: 'higher' | 'lower'): TrialSummary | null {
  if (values.length === 0) return null;
  const best = better === 'higher' ? Math.max(...values) : Math.min(...values);
  return { best, median: median(values), trials: values.length };
}
