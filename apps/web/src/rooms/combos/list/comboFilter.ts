import type { Family, MoveBook } from '@eurhythm/core/moves';
import { changesLead, usesFamily } from '@eurhythm/core/teach';
import type { ComboView } from '@eurhythm/contract';

/** What the list of combos is narrowed by. Empty texts narrow nothing. */
export interface ComboFilter {
  readonly search: string;
  readonly gradeId: string;
  /** A family of moves that the line uses. */
  readonly family: Family | '';
  readonly kind: '' | 'both-leads' | 'changes-lead' | 'form';
}

export const NO_FILTER: ComboFilter = { search: '', gradeId: '', family: '', kind: '' };

/** Whether a combo stays in the list. The word is looked for in everything that a coach wrote about the combo. */
export function comboFilter(filter: ComboFilter, book: MoveBook): (combo: ComboView) => boolean {
  const wanted = filter.search.trim().toLocaleLowerCase();
  return (combo) =>
    (filter.gradeId === '' || combo.gradeId === filter.gradeId) &&
    (wanted === '' || saysOf(combo).some((text) => text.toLocaleLowerCase().includes(wanted))) &&
    isOfKind(combo, filter.kind, book) &&
    (filter.family === '' || usesFamily(combo.line, filter.family, book));
}

function saysOf(combo: ComboView): string[] {
  return [combo.title, combo.line, combo.notes, `${combo.grade} ${combo.number}`, ...combo.focus];
}

function isOfKind(combo: ComboView, kind: ComboFilter['kind'], book: MoveBook): boolean {
  switch (kind) {
    case '':
      return true;
    case 'both-leads':
      return combo.bothLeads;
    case 'changes-lead':
      return changesLead(combo.line, book);
    case 'form':
      return combo.variant !== null;
    default:
      return kind satisfies never;
  }
}
