import { useCallback, useRef, useState } from 'react';

/** A function that stays the same from one drawing to the next and always does what `action` does now. */
export function useStable<A extends unknown[], R>(action: (...args: A) => R): (...args: A) => R {
  const latest = useRef(action);
  latest.current = action;
  return useCallback((...args: A) => latest.current(...args), []);
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any function may stand in the list
type Actions = Readonly<Record<string, (...args: any[]) => void>>;

/** The same for a list of functions, whose names do not change. */
export function useStableActions<T extends Actions>(actions: T): T {
  const latest = useRef(actions);
  latest.current = actions;
  const [stable] = useState(() => {
    const call =
      (name: string) =>
      (...args: unknown[]) =>
        latest.current[name]!(...args);
    return Object.fromEntries(Object.keys(actions).map((name) => [name, call(name)])) as T;
  });
  return stable;
}
