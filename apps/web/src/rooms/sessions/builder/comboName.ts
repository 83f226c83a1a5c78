import type { ComboView } from '@eurhythm/contract';

/** A combo as its grade and number call it. */
export function comboName(id: string | undefined, combos: readonly ComboView[]): string {
  const combo = combos.find((each) => each.id === id);
  return combo ? `${combo.grade} ${combo.number}` : 'a combo that is gone';
}
