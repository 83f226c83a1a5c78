import { useEffect, useState } from 'react';
import { useStable } from '../ui/useStable.ts';

/** Asks for a value at every frame of the screen while `active`, or at one frame in so many milliseconds where each costs too much. */
export function useFrame<T>(ask: () => T, active: boolean, everyMs = 0): T {
  const [value, setValue] = useState(ask);
  const now = useStable(ask);
  useEffect(() => {
    let frame = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const wait = (): void => {
      frame = requestAnimationFrame(look);
    };
    const look = (): void => {
      setValue(now());
      if (!active) return;
      if (everyMs > 0) timer = setTimeout(wait, everyMs);
      else wait();
    };
    wait();
    return () => {
      clearTimeout(timer);
      cancelAnimationFrame(frame);
    };
  }, [active, now, everyMs]);
  return value;
}
