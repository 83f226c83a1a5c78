import { useEffect, useRef, type RefObject } from 'react';
import { useLocation } from 'react-router';

/**
 * The focus goes to the page that came, where what had it went with the page before: whoever saves a new thing with a key goes on
 * from there, and a screen reader begins to read it.
 */
export function useFocusOnPage(): RefObject<HTMLElement | null> {
  const page = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  const shown = useRef(pathname);
  useEffect(() => {
    if (shown.current === pathname) return;
    shown.current = pathname;
    if (document.activeElement === document.body) page.current?.focus({ preventScroll: true });
  }, [pathname]);
  return page;
}
