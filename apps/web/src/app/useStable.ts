import { useCallback, useRef } from 'react';

/** A function that stays the same from one drawing to the next and always does what `action` does now. */
export function useStable<A extends unknown[], R>(action: (...args: A) => R): (...args: A) => R {
  const latest = useRef(action);
  latest.current = action;
  return useCallback((...args: A) => latest.current(...args), []);
}
