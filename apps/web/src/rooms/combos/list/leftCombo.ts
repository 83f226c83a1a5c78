import type { SaveComboDto } from '@eurhythm/contract';
import { drafts } from '../../../sync/opened.ts';

const NEW = 'combo.new';
const LEFT = 'combo.left';

/** A new combo starts empty: one that was begun before and not saved is put aside, and can be taken up again. */
export function leaveNewCombo(): void {
  const begun = drafts.get<SaveComboDto>(NEW);
  if (begun === undefined) return;
  if (begun.line.trim() !== '' || begun.title.trim() !== '') drafts.keep(LEFT, begun);
  drafts.drop(NEW);
}

/** The combo that was put aside last; undefined without any. */
export function leftCombo(): SaveComboDto | undefined {
  return drafts.get<SaveComboDto>(LEFT);
}

/** Makes the combo that was put aside the new one again; what is being written now is put aside instead. */
export function takeUpLeftCombo(): void {
  const left = leftCombo();
  drafts.drop(LEFT);
  leaveNewCombo();
  if (left !== undefined) drafts.keep(NEW, left);
}
