import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { RecipeKind } from '@eurhythm/core/teach';
import { SaveComboDto, checkFields, type ComboView } from '@eurhythm/contract';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { staleSave, type StaleSave } from '../../../sync/StaleNotice.tsx';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { putDraft, type Draft } from '../../../sync/drafts/useDraft.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { queries } from '../../../server/queries.ts';
import type { FieldErrors } from '../../../server/useFieldErrors.ts';
import { freeNumber, saveable } from '../list/newCombo.ts';

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

interface Save {
  readonly written: SaveComboDto;
  /** What was written by the time it was sent, as the draft has it. */
  readonly draft: SaveComboDto;
  readonly basedOn: number | undefined;
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
export function useSavedCombo(wanted: Wanted) {
  const { id, combo, isReadable, all, draft, errors } = wanted;
  const navigate = useNavigate();
  const refresh = useRefresh();
  const { save, stale, setStale } = useSave(wanted);
  const remove = useRemove(wanted);
  const beginFrom = (changes: Partial<SaveComboDto>): void => {
    const begun = { ...combo, ...changes };
    putDraft('combo.new', { ...begun, number: freeNumber(all, begun.gradeId) });
    void navigate('/combos/new');
  };
  return {
    stale,
    /** Saves what was refused over what somebody else saved meanwhile. */
    saveMine: (): void => {
      if (stale) save.mutate({ written: stale.mine, draft: stale.mine, basedOn: stale.now.version });
    },
    /** Lets the draft go for what somebody else saved meanwhile. */
    takeTheirs: async (): Promise<void> => {
      setStale(null);
      draft.clear();
      await refresh();
    },
    trySave: (): void => {
      const wrong = checkFields(SaveComboDto, combo);
      errors.show(wrong);
      if (wrong.length === 0 && isReadable)
        save.mutate({ written: combo, draft: draft.value ?? combo, basedOn: draft.basedOn });
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

function useRefresh(): () => Promise<void> {
  const client = useQueryClient();
  return () => client.invalidateQueries({ queryKey: ['combos'] });
}

function useSave({ id, isNew, draft, errors }: Wanted) {
  const navigate = useNavigate();
  const refresh = useRefresh();
  const [stale, setStale] = useState<StaleSave<ComboView, SaveComboDto> | null>(null);
  const page = isNew ? '/combos/new' : `/combos/${id}`;
  const save = useWrite<ComboView, Save>(
    ({ written, basedOn }) => putRequest(SUBJECTS.combo, `combos/${id}`, written, { basedOn, page }),
    {
      onSuccess: async (saved, { draft: written }) => {
        await refresh();
        errors.show([]);
        setStale(null);
        const since = draft.settle(written, saved.version);
        if (!since) draft.clear();
        if (isNew) {
          if (since) putDraft(`combo.${id}`, since);
          draft.clear();
          // Reported only once its own page stands, so that nothing is pressed on a page that is about to go.
          await navigate(`/combos/${id}`, { replace: true, flushSync: true });
        }
        toast(`${saved.grade} ${saved.number} is saved.`);
      },
      onError: (error, { written }) => {
        const late = staleSave<ComboView, SaveComboDto>(error, written);
        if (late) setStale(late);
        else errors.showFailure(error);
      },
    },
  );
  return { save, stale, setStale };
}

function useRemove({ id, isNew, combo, all, draft }: Wanted) {
  const navigate = useNavigate();
  const refresh = useRefresh();
  const { data: uses } = useQuery({ ...queries.uses(`combos/${id}`), enabled: !isNew });
  const usedBy = uses?.usedBy ?? [];
  return useWrite(() => deleteRequest(SUBJECTS.combo, `combos/${id}`), {
    onSuccess: async () => {
      const before = all.find((each) => each.id === id);
      const unsaved = draft.isChanged ? combo : null;
      draft.clear();
      await refresh();
      toastWithUndo(goneText(before?.title ?? combo.title, usedBy), async () => {
        // First what nobody else has: a page that is left before the server answers loses none of it.
        if (unsaved) putDraft(`combo.${id}`, unsaved);
        await write(putRequest(SUBJECTS.combo, `combos/${id}`, before ? saveable(before) : combo));
        await refresh();
      });
      void navigate('/combos');
    },
    onError: (error) => toast.error(error.message),
  });
}

function goneText(title: string, usedBy: readonly string[]): string {
  if (usedBy.length === 0) return `“${title}” is out of the book.`;
  const more = usedBy.length > 3 ? ` and ${usedBy.length - 3} more` : '';
  return `“${title}” is retired, not gone: used by ${usedBy.slice(0, 3).join(', ')}${more}.`;
}
