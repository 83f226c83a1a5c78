import { useCallback, useMemo } from 'react';
import { refName } from '@eurhythm/core/plan';
import type { NameOf } from '@eurhythm/core/rounds';
import type { ComboView } from '@eurhythm/contract';
import { useAllCombos } from '../../server/gymData.ts';

export function useCombosById(): ReadonlyMap<string, ComboView> {
  const combos = useAllCombos();
  return useMemo(() => new Map(combos.map((combo) => [combo.id, combo])), [combos]);
}

/** Says a combo by its grade and number, or that it is gone. */
export function useComboNames(): NameOf {
  const byId = useCombosById();
  return useCallback((ref) => refName(ref, byId.get(ref.comboId ?? '')), [byId]);
}

/** What a new round begins with: the first combo of the adults, where there is one. */
export function firstComboOf(
  combos: readonly ComboView[],
  grades: readonly { readonly id: string; readonly band: string }[],
): string | null {
  const adults = new Set(grades.filter((grade) => grade.band === 'adults').map((grade) => grade.id));
  return (combos.find((combo) => adults.has(combo.gradeId)) ?? combos[0])?.id ?? null;
}
