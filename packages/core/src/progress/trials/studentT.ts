/**
 * The chance that a value of Student's spread lies further from 0 than `t`, on both sides together.
 * For whole degrees of freedom it is a finite sum (Abramowitz and Stegun 1964, 26.7.3 and 26.7.4).
 *
 * @param t standard errors
 * @param degreesOfFreedom rounded down to a whole number; from 1 on
 *
 * @example
 * beyond(2.306, 8).toFixed(3) // '0.050'
 * beyond(1.96, 1e9).toFixed(3) // '0.050'
 */
export function beyond(t: number, degreesOfFreedom: number): number {
  const n = Math.min(MOST_DEGREES, Math.floor(degreesOfFreedom));
  const angle = Math.atan(Math.abs(t) / Math.sqrt(n));
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const square = cos * cos;
  let sum = 0;
  if (n % 2 === 1) {
    for (let term = cos, k = 3; k <= n; k += 2) {
      sum += term;
      term *= (square * (k - 1)) / k;
    }
    return 1 - (2 / Math.PI) * (angle + sin * sum);
  }
  for (let term = 1, k = 2; k <= n; k += 2) {
    sum += term;
    term *= (square * (k - 1)) / k;
  }
  return 1 - sin * sum;
}

/** From here on Student's spread is the normal one, as far as anybody can tell. */
const MOST_DEGREES = 1000;
/** One in twenty, both sides together. */
const FALSE_SHARE = 0.05;
const known = new Map<number, number>();

/**
 * So many standard errors a difference of nothing goes beyond in one of twenty cases, up or down.
 *
 * @param degreesOfFreedom rounded down to a whole number; from 1 on
 *
 * @example
 * tCritical95(2).toFixed(2) // '4.30'
 */
export function tCritical95(degreesOfFreedom: number): number {
  const n = Math.min(MOST_DEGREES, Math.floor(degreesOfFreedom));
  const found = known.get(n);
  if (found !== undefined) return found;
  let [low, high] = [1, 20];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (beyond(middle, n) > FALSE_SHARE) low = middle;
    else high = middle;
  }
  known.set(n, high);
  return high;
}
