import { useEffect, useState } from 'react';
import { useStable } from '../ui/useStable.ts';

/** Asks for a value at every frame of the screen while `active`. */
export function useFrame<T>(ask: () => T, active: boolean): T {
  const [value, setValue] = useState(ask);
  const now = useStable(ask);
  useEffect(() => {
    let frame = 0;
    const look = (): void => {
      setValue(now());
      if (active) frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [active, now]);
  return value;
}
