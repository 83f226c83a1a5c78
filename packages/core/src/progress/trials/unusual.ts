import type { ValueText } from '../verdictWords.ts';

/** A result that is further from the middle of the usual than this, as a factor, is asked about. */
const FAR = 1.6;

/**
 * What is to be asked about a result before it is kept, where it lies far from what this person usually does; empty where it does not,
 * or nobody knows what is usual.
 *
 * @param value in the unit of the test
 * @param usual where nine of ten trials lie now, in the same unit
 *
 * @example
 * unusualText(40, { low: 17, high: 21 }, (value) => `${value} strikes`) // '40 strikes is 2.1 times the usual 19 strikes. Is it the right person, and the right test?'
 * unusualText(22, { low: 17, high: 21 }, String) // ''
 */
export function unusualText(
  value: number,
  usual: { readonly low: number; readonly high: number } | null,
  textOf: ValueText,
): string {
  const middle = usual ? (usual.low + usual.high) / 2 : 0;
  if (middle <= 0) return '';
  const factor = value / middle;
  if (factor < FAR && factor > 1 / FAR) return '';
  const beside = factor > 1 ? `${Number(factor.toFixed(1))} times` : `${Math.round(100 * factor)} % of`;
  return `${textOf(value)} is ${beside} the usual ${textOf(middle)}. Is it the right person, and the right test?`;
}
