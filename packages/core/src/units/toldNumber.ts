/**
 * A number within a sentence; a dash for one that is not there, or still being typed.
 *
 * @example
 * [toldNumber(12), toldNumber(NaN), toldNumber(null)] // ['12', '–', '–']
 */
export function toldNumber(value: number | null): string {
  return value === null || Number.isNaN(value) ? '–' : String(value);
}
