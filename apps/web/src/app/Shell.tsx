import { useQuery } from '@tanstack/react-query';
import { Suspense, lazy, useMemo, useState } from 'react';
import { NavLink, Outlet } from 'react-router';
import { Toasts } from '../ui/panels/Toasts.tsx';
import { Key } from '../ui/buttons/Button.tsx';
import { CautionsSheet, FirstStartNotice, StandingLine } from './Cautions.tsx';
import { NewerNotice } from './NewerNotice.tsx';
import { SyncNotice } from '../sync/SyncNotice.tsx';
import { queries } from '../server/queries.ts';
import { Unread } from '../server/Unread.tsx';
import { useShortcut } from '../ui/focus/useShortcut.ts';
import { useFocusOnPage } from '../ui/focus/useFocusOnPage.ts';
import { DatesContext, datesBy } from '../ui/fields/dates.ts';
import { STARTER_DATES } from '@eurhythm/core/units';

// Fetched when they are first asked for: no page needs them to be drawn.
const CommandBox = lazy(() => import('./CommandBox.tsx').then(({ CommandBox }) => ({ default: CommandBox })));
const KeysSheet = lazy(() => import('./KeysSheet.tsx').then(({ KeysSheet }) => ({ default: KeysSheet })));

const ROOMS = [
  ['/', 'Today'],
  ['/moves', 'Moves'],
  ['/combos', 'Combos'],
  ['/sessions', 'Sessions'],
  ['/floor', 'Floor'],
  ['/fighters', 'Fighters'],
  ['/gym', 'Gym'],
] as const;

type Open = 'commands' | 'keys' | 'cautions' | null;

/** The frame of the planning pages: rooms in the order of the work, the gym's name, and the standing caution. */
export function Shell() {
  const { data: gym } = useQuery(queries.gym());
  const page = useFocusOnPage();
  const school = gym?.school;
  const dates = useMemo(() => datesBy(school ?? STARTER_DATES), [school]);
  const [open, setOpen] = useState<Open>(null);
  useShortcut('mod+k', () => setOpen('commands'));
  useShortcut('?', () => setOpen('keys'));
  return (
    <DatesContext value={dates}>
      <div className="flex min-h-screen flex-col">
        <a
          href="#page"
          className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:rounded-md focus:bg-ink focus:px-4 focus:py-3 focus:font-semibold focus:text-canvas"
        >
          Skip to the page
        </a>
        <header className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b-2 border-ink px-6 py-1.5 max-sm:gap-x-3">
          <NavLink
            to="/"
            className="flex min-h-11 items-center gap-2 font-heading text-xl font-bold tracking-tight"
          >
            <svg viewBox="0 0 34 18" className="h-4" aria-hidden="true">
              <path d="M0 1h10l3 7 3-7h18l-3 5.3 3 5.3-3 5.4H1L3 12 1 6z" className="fill-tape" />
            </svg>
            eurhythm
          </NavLink>
          <nav
            aria-label="Rooms"
            className="flex flex-1 flex-wrap max-sm:order-last max-sm:-mx-3 max-sm:basis-full"
          >
            {ROOMS.map(([to, name]) => (
              <NavLink
                key={to}
                to={to}
                end={to === '/'}
                className={({ isActive }) =>
                  `flex min-h-11 items-center rounded px-3 ${isActive ? 'bg-tape font-bold text-on-tape' : 'hover:bg-hint'}`
                }
              >
                {name}
              </NavLink>
            ))}
          </nav>
          <span className="text-sm text-quiet max-sm:flex-1 max-sm:truncate max-sm:text-right">
            {gym?.name}
          </span>
          <div className="flex gap-2 text-sm text-quiet pointer-coarse:hidden">
            <button
              type="button"
              className="min-h-11"
              onClick={() => setOpen('commands')}
              aria-label="Ctrl K, open the command box"
            >
              <Key>Ctrl K</Key>
            </button>
            <button
              type="button"
              className="min-h-11"
              onClick={() => setOpen('keys')}
              aria-label="?, show the keys"
            >
              <Key>?</Key>
            </button>
          </div>
        </header>
        <SyncNotice className="justify-end px-6" />
        <NewerNotice />
        <main id="page" ref={page} tabIndex={-1} className="flex flex-1 flex-col outline-none">
          <Unread />
          {/* What a room needs is fetched before it is drawn. */}
          <Suspense fallback={null}>
            <Outlet />
          </Suspense>
        </main>
        <StandingLine onOpen={() => setOpen('cautions')} />
        <Suspense fallback={null}>
          {open === 'commands' && <CommandBox open onClose={() => setOpen(null)} />}
          {open === 'keys' && <KeysSheet open onClose={() => setOpen(null)} />}
        </Suspense>
        <CautionsSheet open={open === 'cautions'} onClose={() => setOpen(null)} />
        {gym && gym.noticeAcceptedAt === null && <FirstStartNotice />}
        <Toasts position="bottom-right" />
      </div>
    </DatesContext>
  );
}
