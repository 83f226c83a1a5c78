import type { MemoryView, TrainedView } from '@eurhythm/contract';
import type { Asked } from './AskCombo.tsx';

/** A combo, and who of a group is asked for it. */
export interface AskedCombo {
  readonly comboId: string;
  /** Those who are due first. */
  readonly who: readonly Asked[];
  readonly due: number;
}

/**
 * Which combos a group is asked for, and each of whom: of those who trained it or were asked before, and nobody else. What is due with
 * most stands first.
 *
 * @example
 * whoIsAsked([{ id: 'ines', name: 'Ines' }], { items: [], trained: [{ fighterId: 'ines', comboIds: ['a'] }] }).map(({ comboId }) => comboId) // ['a']
 */
export function whoIsAsked(
  group: readonly { readonly id: string; readonly name: string }[],
  { items, trained }: { readonly items: readonly MemoryView[]; readonly trained: readonly TrainedView[] },
): AskedCombo[] {
  const known = new Map(items.map((each) => [`${each.fighterId} ${each.comboId}`, each]));
  const trainedBy = new Map(trained.map(({ fighterId, comboIds }) => [fighterId, new Set(comboIds)]));
  const combos = new Set(
    [...items, ...trained].flatMap((each) => ('comboIds' in each ? each.comboIds : [each.comboId])),
  );
  return [...combos]
    .map((comboId): AskedCombo => {
      const who = group
        .flatMap(({ id, name }): Asked[] => {
          const memory = known.get(`${id} ${comboId}`);
          if (!memory && !trainedBy.get(id)?.has(comboId)) return [];
          return [{ id, name, due: memory ? dueText(memory) : '' }];
        })
        .sort((a, b) => Number(b.due !== '') - Number(a.due !== ''));
      return { comboId, who, due: who.filter(({ due }) => due !== '').length };
    })
    .filter(({ who }) => who.length > 0)
    .sort((a, b) => b.due - a.due || b.who.length - a.who.length);
}

function dueText({ isDue, isSlipping, last }: MemoryView): string {
  if (last === 'forgot') return 'due, forgotten last time';
  return isDue ? `due${isSlipping ? ', slipping' : ''}` : '';
}
