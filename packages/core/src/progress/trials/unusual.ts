import { median } from 'simple-statistics';
import type { ValueText } from '../words/verdictWords.ts';

/** A result that is further from the middle of the usual than this, as a factor, is asked about. */
const FAR = 1.6;

/** Where nine of ten trials of somebody lie, in the unit of the test. */
interface Usual {
  readonly low: number;
  readonly high: number;
}

/** With fewer trials nobody knows what is usual. */
const ENOUGH = 4;

/**
 * What is usual of trials alone, where nobody knows yet by how much they vary: their middle; null of too few.
 *
 * @param values in the unit of the test
 *
 * @example
 * usualOf([18, 19, 31, 19]) // { low: 19, high: 19 }
 */
export function usualOf(values: readonly number[]): Usual | null {
  if (values.length < ENOUGH) return null;
  const middle = median([...values]);
  return { low: middle, high: middle };
}

/**
 * How far a result lies from what this person usually does, in a sentence; empty where it does not, or nobody knows what is usual.
 *
 * @param value in the unit of the test
 *
 * @example
 * farText(40, { low: 17, high: 21 }, (value) => `${value} strikes`) // '40 strikes is 2.1 times the usual 19 strikes.'
 * farText(22, { low: 17, high: 21 }, String) // ''
 */
export function farText(value: number, usual: Usual | null, textOf: ValueText): string {
  const middle = usual ? (usual.low + usual.high) / 2 : 0;
  if (middle <= 0) return '';
  const factor = value / middle;
  if (factor < FAR && factor > 1 / FAR) return '';
  const beside = factor > 1 ? `${Number(factor.toFixed(1))} times` : `${Math.round(100 * factor)} % of`;
  return `${textOf(value)} is ${beside} the usual ${textOf(middle)}.`;
}

/**
 * The same as what is to be asked about a result before it is kept.
 *
 * @param value in the unit of the test
 *
 * @example
 * unusualText(40, { low: 17, high: 21 }, (value) => `${value} strikes`) // '40 strikes is 2.1 times the usual 19 strikes. Is it the right person, and the right test?'
 */
export function unusualText(value: number, usual: Usual | null, textOf: ValueText): string {
  const far = farText(value, usual, textOf);
  return far === '' ? '' : `${far} Is it the right person, and the right test?`;
}
