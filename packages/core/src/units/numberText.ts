/**
 * A number within a sentence; a dash for one that is not there, or still being typed.
 *
 * @param value of any unit
 *
 * @example
 * [numberText(12), numberText(NaN), numberText(null)] // ['12', '–', '–']
 */
export function numberText(value: number | null): string {
  return value === null || Number.isNaN(value) ? '–' : String(value);
}
