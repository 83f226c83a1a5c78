import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { SaveSessionDto, checkFields, type SessionView } from '@eurhythm/contract';
import { Refused, put } from '../../../../app/api.ts';
import type { Draft } from '../../../../app/useDraft.ts';
import type { FieldErrors } from '../../../../app/useFieldErrors.ts';
import { useShortcut } from '../../../../app/useShortcut.ts';

/** A change is sent when nothing more came for so long. */
const SETTLES_AFTER = 1200;
/** A server that does not answer is asked again after so long. */
const ASKS_AGAIN_AFTER = 5000;

export interface Saving {
  /** What is known of the last change, in a few words. */
  readonly status: string;
  /** Whether the server has the session as it stands. */
  readonly isSaved: boolean;
  saveNow(): void;
}

/**
 * Sends every change of a session by itself once typing rests. What cannot be saved stays in the browser, and says why; the
 * button and its key save at once and show each fault at its field.
 */
export function useSaving(
  id: string,
  session: SaveSessionDto,
  draft: Draft<SaveSessionDto>,
  { isKnown, errors, onFault }: { isKnown: boolean; errors: FieldErrors; onFault: (field: string) => void },
): Saving {
  const client = useQueryClient();
  const [refused, setRefused] = useState<{ readonly session: SaveSessionDto; readonly why: string } | null>(
    null,
  );
  const save = useMutation({
    mutationFn: ({ written }: { written: SaveSessionDto; loud: boolean }) =>
      put<SessionView>(`sessions/${id}`, written),
    onSuccess: async (saved, { written, loud }) => {
      setRefused(null);
      draft.settle(written);
      client.setQueryData(['sessions', id], saved);
      errors.show([]);
      await client.invalidateQueries({ queryKey: ['sessions'], exact: true });
      await client.invalidateQueries({ queryKey: ['today'] });
      if (loud) toast(`“${saved.title}” is saved.`);
    },
    onError: (error, { written, loud }) => {
      setRefused({ session: written, why: error.message });
      if (loud || !(error instanceof Refused && error.status === 0)) errors.showFailure(error);
    },
  });
  const { mutate } = save;
  const isAway = save.error instanceof Refused && save.error.status === 0;
  const isWaiting = draft.isChanged && !save.isPending && (refused?.session !== session || isAway);
  useEffect(() => {
    if (!isWaiting) return;
    const send = (): void => {
      // Looking through a whole session takes a while, so it is done when the keys rest.
      const [fault] = checkFields(SaveSessionDto, session);
      if (fault) setRefused({ session, why: fault.message });
      else mutate({ written: session, loud: false });
    };
    const timer = setTimeout(send, isAway ? ASKS_AGAIN_AFTER : SETTLES_AFTER);
    return () => clearTimeout(timer);
  }, [isWaiting, isAway, session, mutate]);

  const saveNow = (): void => {
    const wrong = checkFields(SaveSessionDto, session);
    errors.show(wrong);
    if (wrong[0]) onFault(wrong[0].field);
    else mutate({ written: session, loud: true });
  };
  useShortcut('mod+s', saveNow);
  const isSaved = isKnown && !draft.isChanged && !save.isPending;
  const status = save.isPending
    ? 'saving'
    : draft.isChanged && refused?.session === session
      ? `not saved: ${refused.why}`
      : draft.isChanged
        ? 'not saved yet'
        : isKnown
          ? 'saved'
          : 'new';
  return { status, isSaved, saveNow };
}
