/** What a combo is called that is not in the book any more. */
export const GONE_COMBO_NAME = 'a combo that is gone';

interface CalledCombo {
  readonly grade: string;
  readonly number: number;
}

/**
 * A combo as its grade and number call it.
 *
 * @example
 * comboName({ grade: 'Ebb', number: 3 }) // 'Ebb 3'
 * comboName(undefined) // 'a combo that is gone'
 */
export function comboName(combo: CalledCombo | undefined): string {
  return combo ? `${combo.grade} ${combo.number}`.trim() : GONE_COMBO_NAME;
}
