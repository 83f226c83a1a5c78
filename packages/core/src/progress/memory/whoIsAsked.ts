import { groupBy } from '../../units/index.ts';
import type { MemoryNow, Recall } from './memory.ts';

/** How well somebody remembers a combo that he was asked for. */
interface Remembered extends Pick<MemoryNow, 'isDue' | 'isSlipping'> {
  readonly fighterId: string;
  readonly comboId: string;
  readonly last: Recall;
}

/** Somebody who is asked for a combo. */
export interface Asked {
  readonly id: string;
  readonly name: string;
  /** Why this one is asked now, as in "due, forgotten last time"; empty where nothing says so. */
  readonly due: string;
}

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
  {
    items,
    trained,
  }: {
    readonly items: readonly Remembered[];
    readonly trained: readonly { readonly fighterId: string; readonly comboIds: readonly string[] }[];
  },
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

function dueText({ isDue, isSlipping, last }: Remembered): string {
  if (last === 'forgot') return 'due, forgotten last time';
  return isDue ? `due${isSlipping ? ', slipping' : ''}` : '';
}

/**
 * The group of those who have most to be asked, by the group of each; null where nothing is due with anybody.
 *
 * @example
 * groupWithMostDue([{ fighterId: 'ines', comboId: 'a', isDue: true }], (id) => (id === 'ines' ? 'ebb' : null)) // 'ebb'
 */
export function groupWithMostDue(
  memory: readonly Pick<Remembered, 'fighterId' | 'isDue'>[],
  groupOf: (fighterId: string) => string | null,
): string | null {
  const due = memory.flatMap(({ fighterId, isDue }) => (isDue ? (groupOf(fighterId) ?? []) : []));
  const groups = [...groupBy(due, (group) => group)];
  return groups.sort(([, a], [, b]) => b.length - a.length)[0]?.[0] ?? null;
}
