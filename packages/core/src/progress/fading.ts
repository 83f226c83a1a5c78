import { linearRegression, mean } from 'simple-statistics';
import { groupBy } from '../units/index.ts';
import { tCritical95 } from './trials/studentT.ts';

export interface Fading {
  /** Percent of the mean rate that is lost from one round to the next; below 0 where it rises. */
  readonly percent: number;
  /** Nineteen of twenty such intervals hold the truth. */
  readonly from: number;
  readonly to: number;
  readonly rounds: number;
}

/**
 * How the rate falls over the rounds of one session, from the rate of each in order. Null for fewer than three.
 *
 * @param rates strikes a second, one of each round
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
  const reach = tCritical95(rates.length - 2) * Math.sqrt(rest / (rates.length - 2) / wide);
  const percentOf = (slope: number): number => (-100 * slope) / middle;
  return {
    percent: percentOf(m),
    from: percentOf(m + reach),
    to: percentOf(m - reach),
    rounds: rates.length,
  };
}

/** A burst of a class, as far as it tells how the next one fades. */
interface ClassBurst {
  readonly runId: string | null;
  readonly lead: string;
  readonly count: number;
}

/**
 * How bursts fade from one to the next in the last class that had three or more from one lead; `bursts` are the newest first. Null
 * where none had.
 *
 * @example
 * fadingOfLastClass([22, 26, 30].map((count) => ({ runId: 'r', lead: 'left', count }))).rounds // 3
 */
export function fadingOfLastClass<B extends ClassBurst>(
  bursts: readonly B[],
): (Fading & { readonly newest: B }) | null {
  const inClass = bursts.filter(({ runId }) => runId !== null);
  for (const those of groupBy(inClass, ({ runId, lead }) => `${runId} ${lead}`).values()) {
    const found = fading(those.map(({ count }) => count).reverse());
    if (found) return { ...found, newest: those[0]! };
  }
  return null;
}

/**
 * The same in words, with the day of that class.
 *
 * @example
 * fadingSentence({ percent: 11, from: 8, to: 14, rounds: 3, day: '2026-03-05' }) // 'Over the 3 bursts of 2026-03-05 each next one had 11 % less (8 to 14).'
 */
export function fadingSentence({
  percent,
  from,
  to,
  rounds,
  day,
}: Fading & { readonly day: string }): string {
  const [least, most] = [Math.min(from, to), Math.max(from, to)];
  const share = `${Math.abs(percent).toFixed(0)} % ${percent >= 0 ? 'less' : 'more'}`;
  const chance = least > 0 || most < 0 ? '' : ', which may be chance';
  return `Over the ${rounds} bursts of ${day} each next one had ${share} (${least.toFixed(0)} to ${most.toFixed(0)})${chance}.`;
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
  const measured = bursts.filter(({ firstThird }) => firstThird > 0);
  if (measured.length === 0) return null;
  return mean(measured.map(({ firstThird, lastThird }) => (100 * (firstThird - lastThird)) / firstThird));
}
