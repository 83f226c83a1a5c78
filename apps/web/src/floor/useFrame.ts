import { useEffect, useRef, useState } from 'react';

/** Asks for a value at every frame of the screen while `active`. */
export function useFrame<T>(ask: () => T, active: boolean): T {
  const [value, setValue] = useState(ask);
  const latest = useRef(ask);
  latest.current = ask;
  useEffect(() => {
    setValue(latest.current());
    if (!active) return;
    let frame = requestAnimationFrame(function look() {
      setValue(latest.current());
      frame = requestAnimationFrame(look);
    });
    return () => cancelAnimationFrame(frame);
  }, [active]);
  return value;
}
