import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { RecipeKind } from '@eurhythm/core/teach';
import { SaveComboDto, checkFields, type ComboView } from '@eurhythm/contract';
import { put, send } from '../../app/api.ts';
import { toastWithUndo } from '../../app/toastWithUndo.ts';
import { putDraft, type Draft } from '../../app/useDraft.ts';
import type { FieldErrors } from '../../app/useFieldErrors.ts';
import { freeNumber, saveable } from './newCombo.ts';

interface Wanted {
  readonly id: string;
  readonly isNew: boolean;
  readonly combo: SaveComboDto;
  readonly isReadable: boolean;
  /** All combos of the gym. */
  readonly all: readonly ComboView[];
  readonly draft: Draft<SaveComboDto>;
  readonly errors: FieldErrors;
}

/** A form of a combo that is to become a combo of its own. */
export interface KeptForm {
  readonly kind: RecipeKind;
  readonly step: number | null;
  readonly line: string;
  /** The grade that it is made for, where that is another one. */
  readonly gradeId?: string;
}

/** Saving a combo, taking it out of the book, and beginning another one from it. */
export function useSavedCombo({ id, isNew, combo, isReadable, all, draft, errors }: Wanted) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: ['combos'] });
  const save = useMutation({
    mutationFn: (_written: SaveComboDto) => put<ComboView>(`combos/${id}`, combo),
    onSuccess: async (saved, written) => {
      await refresh();
      errors.show([]);
      const since = draft.settle(written);
      if (!since) draft.clear();
      if (isNew) {
        if (since) putDraft(`combo.${id}`, since);
        draft.clear();
        // Told only once its own page stands, so that nothing is pressed on a page that is about to go.
        await navigate(`/combos/${id}`, { replace: true, flushSync: true });
      }
      toast(`${saved.grade} ${saved.number} is saved.`);
    },
    onError: errors.showFailure,
  });
  const remove = useMutation({
    mutationFn: () => send('DELETE', `combos/${id}`),
    onSuccess: async () => {
      const before = all.find((each) => each.id === id);
      const unsaved = draft.isChanged ? combo : null;
      draft.clear();
      await refresh();
      toastWithUndo(`“${before?.title ?? combo.title}” is out of the book.`, async () => {
        await put(`combos/${id}`, before ? saveable(before) : combo);
        if (unsaved) putDraft(`combo.${id}`, unsaved);
        await refresh();
      });
      void navigate('/combos');
    },
    onError: (error) => toast.error(error.message),
  });
  const beginFrom = (changes: Partial<SaveComboDto>): void => {
    const begun = { ...combo, ...changes };
    putDraft('combo.new', { ...begun, number: freeNumber(all, begun.gradeId) });
    void navigate('/combos/new');
  };
  return {
    isSaving: save.isPending,
    trySave: (): void => {
      const wrong = checkFields(SaveComboDto, combo);
      errors.show(wrong);
      if (wrong.length === 0 && isReadable) save.mutate(draft.value ?? combo);
      else if (wrong.length === 0)
        toast.error('The line has a fault. Mend it, then save; nothing is lost meanwhile.');
    },
    remove: (): void => remove.mutate(),
    copy: (): void => beginFrom({ title: `${combo.title}, again`.slice(0, 60), variant: null }),
    /** Begins a form of this combo that follows its line until it is edited. */
    keepForm: ({ kind, step, line, gradeId }: KeptForm): void =>
      beginFrom({
        title: `${combo.title}, ${kind}`.slice(0, 60),
        line,
        gradeId: gradeId ?? combo.gradeId,
        variant: { parentId: id, kind, step },
      }),
  };
}
