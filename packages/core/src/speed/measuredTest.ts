import type { Lead } from '../moves/index.ts';

/** What the two rows of a test are: from either lead, of either side of the body, or nothing at all. */
export const TEST_SIDES = ['lead', 'side', 'none'] as const;
export type TestSides = (typeof TEST_SIDES)[number];

/** Nothing that somebody does in a gym is more than this, by its unit; what has another unit ends at a million. */
const MOST: Readonly<Record<string, number>> = {
  cm: 2000,
  m: 20_000,
  s: 36_000,
  min: 600,
  kg: 500,
  times: 5000,
};
const MOST_OF_ANY = 1_000_000;
/** Nobody kicks or reaches higher, in centimetres. */
const MOST_HEIGHT = 350;

/**
 * Why a number cannot be the result of a test, as a sentence; null where it can.
 *
 * @param value in the unit of the test
 * @param unit of the test, such as "cm"
 *
 * @example
 * resultFault(9000, { title: 'Height of the round kick', unit: 'cm' }) // '9000 cm is too much: the most is 350 cm. Check the unit.'
 * resultFault(142, { title: 'Height of the round kick', unit: 'cm' }) // null
 */
export function resultFault(
  value: number,
  { title, unit }: { readonly title: string; readonly unit: string },
): string | null {
  if (!Number.isFinite(value)) return 'Enter a number.';
  if (value < 0) return 'A result cannot be below 0.';
  const most = unit === 'cm' && /height|high/i.test(title) ? MOST_HEIGHT : (MOST[unit] ?? MOST_OF_ANY);
  return value > most ? `${value} ${unit} is too much: the most is ${most} ${unit}. Check the unit.` : null;
}

/**
 * A test with the lead or side of a trial, as it is written.
 *
 * @example
 * ofSide('Height of the round kick', 'left', 'side') // 'Height of the round kick, left side'
 * ofSide('Push-ups', 'left', 'none') // 'Push-ups'
 */
export function ofSide(title: string, lead: Lead, sides: TestSides | null = 'lead'): string {
  const side = sideText(lead, sides);
  return side === '' ? title : `${title}, ${side}`;
}

/**
 * The lead or side of a trial; empty where a test has none.
 *
 * @example
 * sideText('left') // 'left lead'
 */
export function sideText(lead: Lead, sides: TestSides | null = 'lead'): string {
  return sides === 'none' ? '' : `${lead} ${sides ?? 'lead'}`;
}

/**
 * A height or distance beside the height of whoever did it, in whole percent; null where nobody measured.
 *
 * @param value in the unit of the test
 *
 * @example
 * shareOfHeight(142, { unit: 'cm' }, 175) // 81
 */
export function shareOfHeight(
  value: number,
  { unit }: { readonly unit?: string | null | undefined },
  height: number | null | undefined,
): number | null {
  return unit === 'cm' && height ? Math.round((100 * value) / height) : null;
}
