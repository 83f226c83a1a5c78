import { useCallback, useInsertionEffect, useMemo, useRef } from 'react';

/** A function that stays the same from one drawing to the next and always does what `action` does now. */
export function useStable<A extends unknown[], R>(action: (...args: A) => R): (...args: A) => R {
  const latest = useRef(action);
  useInsertionEffect(() => {
    latest.current = action;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any function may stand in the list
type Actions = Readonly<Record<string, (...args: any[]) => void>>;

/** The same for a list of functions, whose names do not change. */
export function useStableActions<T extends Actions>(actions: T): T {
  const names = Object.keys(actions).join(' ');
  const call = useStable((name: string, args: unknown[]) => actions[name]!(...args));
  return useMemo(
    () =>
      Object.fromEntries(
        names.split(' ').map((name) => [name, (...args: unknown[]) => call(name, args)]),
      ) as unknown as T,
    [names, call],
  );
}
