import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { SaveSessionDto, checkFields, type SessionView } from '@eurhythm/contract';
import { putRequest } from '../../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../../sync/queue/subjects.ts';
import { useWrite } from '../../../../sync/useSync.ts';
import { staleSave, type StaleSave } from '../../../../sync/StaleNotice.tsx';
import type { Draft } from '../../../../sync/drafts/useDraft.ts';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { useStable } from '../../../../ui/useStable.ts';
import { useShortcut } from '../../../../ui/focus/useShortcut.ts';

/** A change is sent when nothing more came for so long. */
const SETTLES_AFTER = 1200;

export interface Saving {
  /** What is known of the last change, in a few words. */
  readonly status: string;
  /** Whether the server has the session as it stands. */
  readonly isSaved: boolean;
  saveNow(): void;
  /** A save that somebody else came before. */
  readonly stale: StaleSave<SessionView, SaveSessionDto> | null;
  saveMine(): void;
  takeTheirs(): void;
}

interface Refused {
  readonly session: SaveSessionDto;
  readonly why: string;
}

interface Save {
  readonly written: SaveSessionDto;
  readonly basedOn: number | undefined;
  /** Asked for by a press, so that it is reported. */
  readonly loud: boolean;
}

/**
 * Sends every change of a session by itself once typing rests. What cannot be saved stays in the browser, and says why; the
 * button and its key save at once and show each fault at its field.
 */
export function useSaving(
  id: string,
  session: SaveSessionDto,
  draft: Draft<SaveSessionDto>,
  {
    isKnown,
    errors,
    onFault,
    titleOf,
  }: {
    isKnown: boolean;
    errors: FieldErrors;
    onFault: (field: string) => void;
    /** What it is called where nobody gave it a title. */
    titleOf: (session: SaveSessionDto) => string;
  },
): Saving {
  const client = useQueryClient();
  const [refused, setRefused] = useState<Refused | null>(null);
  const [stale, setStale] = useState<StaleSave<SessionView, SaveSessionDto> | null>(null);
  const isAsWritten = useStable((written: SaveSessionDto): boolean => written === session);
  const { mutate, isPending } = useWrite<SessionView, Save>(
    ({ written, basedOn }) =>
      putRequest(SUBJECTS.session, `sessions/${id}`, written, { basedOn, page: `/sessions/${id}` }),
    {
      onSuccess: async (saved, { written, loud }) => {
        setRefused(null);
        setStale(null);
        // What was sent by itself says nothing of the faults in what was written since.
        if (isAsWritten(written)) errors.show([]);
        draft.settle(written, saved.version);
        client.setQueryData(['sessions', id], saved);
        await client.invalidateQueries({ queryKey: ['sessions'], exact: true });
        await client.invalidateQueries({ queryKey: ['today'] });
        if (loud) toast(`“${saved.title}” is saved.`);
      },
      onError: (error, { written }) => {
        setRefused({ session: written, why: error.message });
        const late = staleSave<SessionView, SaveSessionDto>(error, written);
        if (late) setStale(late);
        else errors.showFailure(error);
      },
    },
  );
  const isRefused = refused?.session === session;
  useSettled(draft.isChanged && !stale && !isRefused ? session : null, () => {
    // Looking through a whole session takes a while, so it is done when the keys rest.
    const [fault] = checkFields(SaveSessionDto, session);
    if (fault) setRefused({ session, why: fault.message });
    else mutate({ written: session, basedOn: draft.basedOn, loud: false });
  });

  const saveNow = (): void => {
    const written = session.title.trim() === '' ? { ...session, title: titleOf(session) } : session;
    if (written !== session) draft.change(written);
    const wrong = checkFields(SaveSessionDto, written);
    errors.show(wrong);
    if (wrong[0]) onFault(wrong[0].field);
    else mutate({ written, basedOn: draft.basedOn, loud: true });
  };
  useShortcut('mod+s', saveNow);
  const isSaved = isKnown && !draft.isChanged && !isPending;
  const refusal = isRefused ? refused.why : null;
  const status = statusText({ isKnown, isChanged: draft.isChanged, isPending, refusal });
  const saveMine = (): void => {
    if (stale) mutate({ written: session, basedOn: stale.now.version, loud: true });
  };
  const takeTheirs = (): void => {
    if (!stale) return;
    client.setQueryData(['sessions', id], stale.now);
    setStale(null);
    draft.clear();
  };
  return { status, isSaved, saveNow, stale, saveMine, takeTheirs };
}

/** Does something once what is waited for has not changed for a while. */
function useSettled(value: object | null, work: () => void): void {
  const settled = useStable(work);
  useEffect(() => {
    if (value === null) return;
    const timer = setTimeout(settled, SETTLES_AFTER);
    return () => clearTimeout(timer);
  }, [value, settled]);
}

/** What is known of the last change, in a few words. */
function statusText({
  isKnown,
  isChanged,
  isPending,
  refusal,
}: {
  readonly isKnown: boolean;
  readonly isChanged: boolean;
  readonly isPending: boolean;
  readonly refusal: string | null;
}): string {
  if (isPending) return 'saving';
  if (isChanged) return refusal === null ? 'not saved yet' : `not saved: ${refusal}`;
  return isKnown ? 'saved' : 'new';
}
