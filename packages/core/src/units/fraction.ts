/**
 * An exact fraction in lowest terms with a positive denominator. Beats are fractions, so that thirds, sixteenths
 * and their sums stay exact. Denominators in a beat line divide 720 720 (= lcm 1..16), far inside safe integers.
 */
export interface Fraction {
  readonly n: number;
  readonly d: number;
}

/** A position or length in beats. */
export type Beats = Fraction;

function gcd(a: number, b: number): number {
  let [x, y] = [Math.abs(a), Math.abs(b)];
  while (y !== 0) [x, y] = [y, x % y];
  return x;
}

/**
 * n/d in lowest terms. @throws RangeError when d is 0 or either part is no safe integer.
 *
 * @param n a whole number
 * @param d a whole number other than 0
 *
 * @example
 * fractionToText(fraction(2, 4)) // '1/2'
 */
export function fraction(n: number, d = 1): Fraction {
  if (!Number.isSafeInteger(n) || !Number.isSafeInteger(d) || d === 0) {
    throw new RangeError(`not a fraction: ${n}/${d}`);
  }
  const shared = gcd(n, d) || 1;
  const sign = d < 0 ? -1 : 1;
  return { n: (sign * n) / shared || 0, d: (sign * d) / shared };
}

export const ZERO: Fraction = { n: 0, d: 1 };
export const ONE: Fraction = { n: 1, d: 1 };
export const HALF: Fraction = { n: 1, d: 2 };
export const QUARTER: Fraction = { n: 1, d: 4 };

/**
 * @example
 * fractionToText(add(HALF, ONE)) // '3/2'
 */
export function add(a: Fraction, b: Fraction): Fraction {
  return fraction(a.n * b.d + b.n * a.d, a.d * b.d);
}

/**
 * @example
 * fractionToText(subtract(ONE, HALF)) // '1/2'
 */
export function subtract(a: Fraction, b: Fraction): Fraction {
  return fraction(a.n * b.d - b.n * a.d, a.d * b.d);
}

/**
 * @param factor a whole number
 *
 * @example
 * toNumber(times(HALF, 3)) // 1.5
 */
export function times(a: Fraction, factor: number): Fraction {
  return fraction(a.n * factor, a.d);
}

/**
 * Negative, zero or positive, as a is before, at or after b.
 *
 * @example
 * compare(HALF, ONE) < 0 // true
 */
export function compare(a: Fraction, b: Fraction): number {
  return a.n * b.d - b.n * a.d;
}

/**
 * @example
 * equals(fraction(2, 4), HALF) // true
 */
export function equals(a: Fraction, b: Fraction): boolean {
  return a.n === b.n && a.d === b.d;
}

/**
 * @example
 * toNumber(HALF) // 0.5
 */
export function toNumber(a: Fraction): number {
  return a.n / a.d;
}

/**
 * The form used in JSON: "3/2", or "4" when whole.
 *
 * @example
 * fractionToText(fraction(3, 2)) // '3/2'
 */
export function fractionToText(a: Fraction): string {
  return a.d === 1 ? String(a.n) : `${a.n}/${a.d}`;
}

/**
 * Reads "3/2" or "4"; null when the text is neither.
 *
 * @example
 * toNumber(fractionFromText('3/4')) // 0.75
 */
export function fractionFromText(text: string): Fraction | null {
  const match = /^(-?\d{1,9})(?:\/(\d{1,9}))?$/.exec(text);
  if (!match) return null;
  const d = match[2] === undefined ? 1 : Number(match[2]);
  return d === 0 ? null : fraction(Number(match[1]), d);
}

/**
 * The smallest whole multiple of `step` that is not before `a`; `step` is positive.
 *
 * @example
 * toNumber(roundUpTo(fraction(5), fraction(4))) // 8
 */
export function roundUpTo(a: Fraction, step: Fraction): Fraction {
  const ratio = (a.n * step.d) / (a.d * step.n);
  return times(step, Math.ceil(ratio - 1e-12));
}
