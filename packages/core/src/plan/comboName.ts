import type { ComboRef } from '../rounds/index.ts';

/** What a combo is called that is not in the book any more. */
export const GONE_COMBO_NAME = 'a combo that is gone';

interface CalledCombo {
  readonly grade: string;
  readonly number: number;
  readonly title?: string;
  readonly line?: string;
}

/**
 * A combo as its grade and number call it; by its title where it is no grade's, and by its line where it has none.
 *
 * @example
 * comboName({ grade: 'Ebb', number: 3 }) // 'Ebb 3'
 * comboName({ grade: '', number: 1, title: 'Footwork' }) // 'Footwork'
 * comboName(undefined) // 'a combo that is gone'
 */
export function comboName(combo: CalledCombo | undefined): string {
  if (!combo) return GONE_COMBO_NAME;
  const { grade, number, title, line } = combo;
  return grade === '' ? title || line || String(number) : `${grade} ${number}`;
}

/**
 * What a block names: the combo of the book that is found for it, or the line that it brings itself.
 *
 * @example
 * refName({ line: '1 2', title: 'Door' }, undefined) // 'Door'
 * refName({ comboId: 'lost' }, undefined) // 'a combo that is gone'
 */
export function refName({ comboId, line = '', title }: ComboRef, combo: CalledCombo | undefined): string {
  return comboId === undefined ? title || line : comboName(combo);
}
