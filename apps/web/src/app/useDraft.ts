import { useCallback, useEffect, useState } from 'react';

/**
 * Something that is being written: kept in the browser at every change until it is saved or put back, so that a reload,
 * a closed tab or a refused save loses nothing. `saved` is what the server has; undefined while it is not known.
 */
export function useDraft<T>(key: string, saved: T | undefined): Draft<T> {
  const place = `eurhythm.draft.${key}`;
  const [draft, setDraft] = useState<T | undefined>(() => readDraft<T>(place));
  useEffect(() => setDraft(readDraft<T>(place)), [place]);
  const change = useCallback(
    (next: T) => {
      localStorage.setItem(place, JSON.stringify(next));
      setDraft(next);
    },
    [place],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(place);
    setDraft(undefined);
  }, [place]);
  const isChanged = draft !== undefined && JSON.stringify(draft) !== JSON.stringify(saved);
  return { value: draft ?? saved, isChanged, change, clear };
}

/** Puts a draft in its place before the page that edits it is opened. */
export function putDraft<T>(key: string, value: T): void {
  localStorage.setItem(`eurhythm.draft.${key}`, JSON.stringify(value));
}

export interface Draft<T> {
  readonly value: T | undefined;
  /** Whether it differs from what the server has. */
  readonly isChanged: boolean;
  change(next: T): void;
  clear(): void;
}

function readDraft<T>(place: string): T | undefined {
  const text = localStorage.getItem(place);
  if (text === null) return undefined;
  try {
    return JSON.parse(text) as T;
  } catch {
    localStorage.removeItem(place); // not ours; what the server has is shown instead
    return undefined;
  }
}
