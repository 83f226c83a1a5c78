import { ArrowLeft } from 'lucide-react';
import { useLayoutEffect, useSyncExternalStore, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { ButtonLink } from '../buttons/Button.tsx';

interface ListAndPageProps {
  readonly list: ReactNode;
  /** The width of the list beside a page. */
  readonly width: string;
  /** Whether something of the list is open; on a narrow screen only that is shown then, with a way back. */
  readonly isOpen: boolean;
  readonly back: { readonly to: string; readonly label: string };
  readonly children: ReactNode;
}

/** A list and what is chosen of it: side by side, or on a phone each a page of its own. */
export function ListAndPage({ list, width, isOpen, back, children }: ListAndPageProps) {
  const { pathname } = useLocation();
  const isWide = useIsWide();
  // A page begins at its top, however far down the list was.
  useLayoutEffect(() => {
    if (!isWide) window.scrollTo(0, 0);
  }, [pathname, isWide]);
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <aside className={`border-rule lg:shrink-0 lg:border-r ${width} ${isOpen ? 'max-lg:hidden' : ''}`}>
        {list}
      </aside>
      {isOpen && (
        <div className="flex min-w-0 flex-1 flex-col">
          <ButtonLink to={back.to} weight="bare" className="justify-start px-8! pt-3 lg:hidden">
            <ArrowLeft size={18} aria-hidden /> {back.label}
          </ButtonLink>
          {children}
        </div>
      )}
    </div>
  );
}

/** As Tailwind's `lg`. */
const WIDE = '(min-width: 64rem)';

/** Whether a list and a page stand side by side. */
export function useIsWide(): boolean {
  return useSyncExternalStore(
    (listener) => {
      const query = window.matchMedia(WIDE);
      query.addEventListener('change', listener);
      return () => query.removeEventListener('change', listener);
    },
    () => window.matchMedia(WIDE).matches,
  );
}
