import { median } from 'simple-statistics';
import type { Seconds } from '../units/index.ts';

export interface TapLatency {
  /** How much later than the ticks the taps are, on the whole. */
  readonly latency: Seconds;
  /** Half of the taps lie within this of it. */
  readonly spread: Seconds;
  /** Taps that were used. */
  readonly taps: number;
}

/** Fewer taps say nothing. */
const LEAST_TAPS = 6;
/** The first taps find the beat and are not counted. */
const LEAD_IN = 2;
/** Listeners tap a little ahead of a beat that they can foresee, by 30 ms on the whole (Repp 2005, review). */
const ANTICIPATION: Seconds = 0.03;

/**
 * How late a loudspeaker is, from tapping along with ticks that are `beat` apart, `ticks` being when they were due on
 * the clock and `taps` when they were tapped. The median of each tap's distance to the last tick that it can belong to, so
 * that single slips do not count. Null with too few taps.
 *
 * @example
 * tapLatency(Array.from({ length: 12 }, (_, i) => i), Array.from({ length: 12 }, (_, i) => i + 0.1), 1).latency.toFixed(2) // '0.13'
 */
export function tapLatency(
  ticks: readonly Seconds[],
  taps: readonly Seconds[],
  beat: Seconds,
): TapLatency | null {
  const late = taps.slice(LEAD_IN).flatMap((tap) => {
    // A tap may be ahead of its tick by less than a quarter beat, and behind it by the rest of the beat.
    const tick = ticks.findLast((at) => at <= tap + beat / 4);
    return tick === undefined || tap - tick > beat ? [] : [tap - tick];
  });
  if (late.length < LEAST_TAPS) return null;
  const middle = median(late);
  return {
    latency: Math.max(0, middle + ANTICIPATION),
    spread: median(late.map((each) => Math.abs(each - middle))),
    taps: late.length,
  };
}
