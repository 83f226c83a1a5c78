/** The rate of so many weeks says how many classes somebody will still have. */
export const RATE_WEEKS = 4;

/**
 * How many classes somebody will still have until a day, at the rate of the last four weeks; whole ones.
 *
 * @param lately classes of the last four weeks
 * @param days until the day; none where it has come
 *
 * @example
 * classesUntil(6, 14) // 3
 */
export function classesUntil(lately: number, days: number): number {
  return Math.max(0, Math.floor((lately / RATE_WEEKS) * (days / 7)));
}
