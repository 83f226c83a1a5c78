import { placeOfChange } from './placeOfChange.ts';

/** States of a draft that can be gone back to and forward again. */
export interface DraftHistory<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** When `now` was first changed into, in milliseconds; changes that follow soon belong to the same step. */
  readonly at: number;
  /** Where that change was; null for one that is a step of its own. */
  readonly place: string | null;
}

/** Changes of one place within this time of each other are one step: a word that is typed is undone as a word. */
const ONE_STEP = 800;
const MOST_STEPS = 200;

export function startHistory<T>(now: T): DraftHistory<T> {
  return { past: [], now, future: [], at: -Infinity, place: null };
}

export function changed<T>(history: DraftHistory<T>, next: T, at: number): DraftHistory<T> {
  const place = placeOfChange(history.now, next);
  const goesOn =
    place !== null && (place === history.place || history.place === '') && at - history.at < ONE_STEP;
  if (goesOn && history.past.length > 0) return { ...history, now: next, future: [], at };
  return { past: [...history.past, history.now].slice(-MOST_STEPS), now: next, future: [], at, place };
}

/** One step back; the same history when there is none. */
export function undone<T>(history: DraftHistory<T>): DraftHistory<T> {
  if (history.past.length === 0) return history;
  return {
    past: history.past.slice(0, -1),
    now: history.past.at(-1) as T,
    future: [history.now, ...history.future],
    at: -Infinity,
    place: null,
  };
}

/** One step forward again; the same history when nothing was undone. */
export function redone<T>(history: DraftHistory<T>): DraftHistory<T> {
  if (history.future.length === 0) return history;
  const [next, ...future] = history.future;
  return { past: [...history.past, history.now], now: next as T, future, at: -Infinity, place: null };
}
