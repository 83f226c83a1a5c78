import { useCallback, useEffect, useRef, useState } from 'react';
import { changed, redone, startHistory, undone, type DraftHistory } from './draftHistory.ts';

/**
 * Something that is being written: kept in the browser at every change until it is saved or put back, so that a reload,
 * a closed tab or a refused save loses nothing; every step can be undone. `saved` is what the server has; undefined
 * while it is not known.
 */
export function useDraft<T>(key: string, saved: T | undefined): Draft<T> {
  const place = `eurhythm.draft.${key}`;
  const [history, setHistory] = useState(() => startHistory(readDraft<T>(place)));
  useEffect(() => setHistory(startHistory(readDraft<T>(place))), [place]);
  const draft = history.now;
  const step = useCallback(
    (to: (history: DraftHistory<T | undefined>) => DraftHistory<T | undefined>) =>
      setHistory((before) => {
        const after = to(before);
        if (after.now === undefined) localStorage.removeItem(place);
        else localStorage.setItem(place, JSON.stringify(after.now));
        return after;
      }),
    [place],
  );
  /** The first step back leads to what was there when the first change was made, whatever the server has by then. */
  const base = useRef(saved);
  base.current = saved;
  const change = useCallback(
    (next: T) =>
      step((before) => {
        const from = before.now === undefined ? { ...before, now: base.current } : before;
        return changed(from, next, performance.now());
      }),
    [step],
  );
  const clear = useCallback(() => step(() => startHistory<T | undefined>(undefined)), [step]);
  const [settled, setSettled] = useState<string | null>(null);
  const settle = useCallback(
    (sent: T) => {
      const text = JSON.stringify(sent);
      setSettled(text);
      const since = readDraft<T>(place);
      if (since !== undefined && JSON.stringify(since) !== text) return since;
      localStorage.removeItem(place);
      return undefined;
    },
    [place],
  );
  const undo = useCallback(() => step(undone), [step]);
  const redo = useCallback(() => step(redone), [step]);
  return {
    value: draft ?? saved,
    isChanged: draft !== undefined && ![JSON.stringify(saved), settled].includes(JSON.stringify(draft)),
    change,
    clear,
    settle,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}

/** Puts a draft in its place before the page that edits it is opened. */
export function putDraft<T>(key: string, value: T): void {
  localStorage.setItem(`eurhythm.draft.${key}`, JSON.stringify(value));
}

export interface Draft<T> {
  readonly value: T | undefined;
  /** Whether it differs from what the server has. */
  readonly isChanged: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  change(next: T): void;
  clear(): void;
  /** The server has this value now. Its steps can still be undone; what was written since it was sent is given back. */
  settle(sent: T): T | undefined;
  undo(): void;
  redo(): void;
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
