import { useEffect, useState } from 'react';

/** How much larger the picture of the hall is than on a screen of 800 lines: what is drawn in pixels grows with its text. */
export function useHallScale(): number {
  const [scale, setScale] = useState(scaleNow);
  useEffect(() => {
    const measure = (): void => setScale(scaleNow());
    window.addEventListener('resize', measure);
    return () => window.removeEventListener('resize', measure);
  }, []);
  return scale;
}

/** The size of text at which a screen of 800 lines is drawn. */
const USUAL = 16;

function scaleNow(): number {
  return Number.parseFloat(getComputedStyle(document.documentElement).fontSize) / USUAL;
}
