import type { Seconds } from './quantities.ts';

/**
 * An instant to the millisecond: nothing is heard more finely.
 *
 * @example
 * thousandths(1.23456) // 1.235
 */
export function thousandths(seconds: Seconds): Seconds {
  return Math.round(seconds * 1000) / 1000;
}
