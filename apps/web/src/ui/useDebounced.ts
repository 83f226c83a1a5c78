import { useEffect, useState } from 'react';

/** A value once it has not changed for so many milliseconds; the one before meanwhile. */
export function useDebounced<T>(value: T, milliseconds: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return rested;
}
