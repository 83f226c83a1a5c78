import { useCallback, useState } from 'react';
import { useStable } from '../../ui/useStable.ts';
import { changed, redone, startHistory, undone, type DraftHistory } from './draftHistory.ts';
import { drafts } from '../opened.ts';

/** Where the version is kept that a draft was begun from. */
const baseOf = (key: string): string => `${key} is based on`;

/**
 * Something that is being written: kept in the browser at every change until it is saved or put back, so that a reload,
 * a closed tab or a refused save loses nothing; every step can be undone. `saved` is what the server has, in `version`;
 * undefined while it is not known.
 */
export function useDraft<T>(key: string, saved: T | undefined, version?: number): Draft<T> {
  const [held, setHeld] = useState(() => readDraft<T>(key));
  // Another thing is being written now: its draft begins with this drawing.
  const now = held.key === key ? held : readDraft<T>(key);
  if (now !== held) setHeld(now);
  const { history } = now;
  const draft = history.now;
  const [settled, setSettled] = useState<string | null>(null);

  const step = useCallback(
    (to: (before: HeldDraft<T>) => HeldDraft<T>) =>
      setHeld((before) => (before.key === key ? kept(to(before)) : before)),
    [key],
  );
  const change = useStable((next: T) =>
    step((before) => {
      if (before.history.now !== undefined)
        return { ...before, history: changed(before.history, next, performance.now()) };
      // The first step back leads to what was there when the first change was made, whatever the server has by then.
      const from = { ...before.history, now: saved };
      return { key, history: changed(from, next, performance.now()), base: version };
    }),
  );
  const clear = useCallback(
    () => step(() => ({ key, history: startHistory<T | undefined>(undefined), base: undefined })),
    [step, key],
  );
  const settle = useCallback(
    (sent: T, to?: number) => {
      const text = JSON.stringify(sent);
      setSettled(text);
      setHeld((before) => (before.key === key ? { ...before, base: to } : before));
      const since = drafts.get<T>(key);
      if (since !== undefined && JSON.stringify(since) !== text) {
        drafts.keep(baseOf(key), to);
        return since;
      }
      drop(key);
      return undefined;
    },
    [key],
  );
  const undo = useCallback(() => step((before) => ({ ...before, history: undone(before.history) })), [step]);
  const redo = useCallback(() => step((before) => ({ ...before, history: redone(before.history) })), [step]);
  return {
    value: draft ?? saved,
    basedOn: draft === undefined ? version : (now.base ?? version),
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

interface HeldDraft<T> {
  readonly key: string;
  readonly history: DraftHistory<T | undefined>;
  readonly base: number | undefined;
}

function readDraft<T>(key: string): HeldDraft<T> {
  return { key, history: startHistory(drafts.get<T>(key)), base: drafts.get<number>(baseOf(key)) };
}

function kept<T>(held: HeldDraft<T>): HeldDraft<T> {
  const { key, history, base } = held;
  if (history.now === undefined) drop(key);
  else {
    drafts.keep(key, history.now);
    if (base !== undefined) drafts.keep(baseOf(key), base);
  }
  return held;
}

function drop(key: string): void {
  drafts.drop(key);
  drafts.drop(baseOf(key));
}

/** Puts a draft in its place before the page that edits it is opened. */
export function putDraft<T>(key: string, value: T): void {
  drafts.keep(key, value);
}

export interface Draft<T> {
  readonly value: T | undefined;
  /** The version of the server from which the draft was begun. */
  readonly basedOn: number | undefined;
  /** Whether it differs from what the server has. */
  readonly isChanged: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  change(next: T): void;
  clear(): void;
  /** The server has this value now, in this version. Its steps can still be undone; what was written since is given back. */
  settle(sent: T, version?: number): T | undefined;
  undo(): void;
  redo(): void;
}
