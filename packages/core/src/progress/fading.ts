import { linearRegression, mean } from 'simple-statistics';
import { NINE_OF_TEN } from './compareTrials.ts';

export interface Fading {
  /** Percent of the mean rate that is lost from one round to the next; below 0 where it rises. */
  readonly percent: number;
  readonly from: number;
  readonly to: number;
  readonly rounds: number;
}

/**
 * How the rate falls over the rounds of one session, from the rate of each in order. Null for fewer than three.
 *
 * @example
 * fading([3, 2.7, 2.4])?.percent.toFixed(1) // '11.1'
 */
export function fading(rates: readonly number[]): Fading | null {
  if (rates.length < 3) return null;
  const middle = mean([...rates]);
  if (middle <= 0) return null;
  const { m, b } = linearRegression(rates.map((rate, i) => [i, rate]));
  const rest = rates.reduce((sum, rate, i) => sum + (rate - (m * i + b)) ** 2, 0);
  const wide = rates.reduce((sum, _, i) => sum + (i - (rates.length - 1) / 2) ** 2, 0);
  const reach = NINE_OF_TEN * Math.sqrt(rest / (rates.length - 2) / wide);
  const percentOf = (slope: number): number => (-100 * slope) / middle;
  return {
    percent: percentOf(m),
    from: percentOf(m + reach),
    to: percentOf(m - reach),
    rounds: rates.length,
  };
}

/**
 * What a burst loses from its first third to its last, in percent of the first; the mean over bursts, null where none tells it.
 *
 * @example
 * fadingWithin([{ firstThird: 4, lastThird: 3 }]) // 25
 */
export function fadingWithin(
  bursts: readonly { readonly firstThird: number; readonly lastThird: number }[],
): number | null {
  const told = bursts.filter(({ firstThird }) => firstThird > 0);
  if (told.length === 0) return null;
  return mean(told.map(({ firstThird, lastThird }) => (100 * (firstThird - lastThird)) / firstThird));
}
