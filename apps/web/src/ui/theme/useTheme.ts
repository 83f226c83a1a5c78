import { useSyncExternalStore } from 'react';

const dark = (): MediaQueryList => window.matchMedia('screen and (prefers-color-scheme: dark)');

/** Whether the planning rooms are light or dark now; a chart that has read its colours is drawn anew with it. */
export function useTheme(): 'light' | 'dark' {
  return useSyncExternalStore(
    (changed) => {
      const query = dark();
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => (dark().matches ? 'dark' : 'light'),
  );
}
