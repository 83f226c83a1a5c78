import type { BeginningView } from '@eurhythm/contract';
import { queries, queryClient } from '../server/queries.ts';

/** The application kept in the browser, as far as the browser lets it be kept. */
const canKeep = (): boolean => import.meta.env.PROD && 'serviceWorker' in navigator;

/** After so long the first page is drawn. */
const QUIET_MS = 2500;
/** Calls that are fetched ahead at the same time. */
const AT_ONCE = 6;

/**
 * Keeps the application in the browser, and tells when a newer one waits; `use` loads it. Nothing is changed under a page that is
 * open.
 */
export function keepApplication(onNewer: (use: () => void) => void): void {
  if (!canKeep()) return;
  const registered: Promise<ServiceWorkerRegistration | undefined> =
    navigator.serviceWorker.register('/sw.js');
  void registered.then((registration) => {
    if (!registration) return; // a browser that keeps nothing
    const tell = (waiting: ServiceWorker): void =>
      onNewer(() => {
        navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload());
        waiting.postMessage({ type: 'SKIP_WAITING' });
      });
    if (registration.waiting && navigator.serviceWorker.controller) tell(registration.waiting);
    registration.addEventListener('updatefound', () => {
      const coming = registration.installing;
      coming?.addEventListener('statechange', () => {
        // The very first one is no newer one.
        if (coming.state === 'installed' && navigator.serviceWorker.controller) tell(coming);
      });
    });
  }, needsServer);
}

/** On a page that the browser does not trust, or in a private window, nothing is kept: the application works as before, with the server. */
function needsServer(): void {}

/** Fetches what the next class needs, so that it can be held with the server away: its plan, and all that is said in it. */
export async function fetchAhead(sessionId: string): Promise<void> {
  if (!canKeep()) return;
  await navigator.serviceWorker.ready;
  // The page that is looked at comes first.
  await new Promise((done) => setTimeout(done, QUIET_MS));
  const beginning = await queryClient.fetchQuery({ ...queries.beginning(sessionId), staleTime: 60_000 });
  await Promise.all(
    [queries.sessions(), queries.fighters(), queries.today(), queries.gym(), queries.tests()].map((query) =>
      queryClient.fetchQuery({ ...(query as ReturnType<typeof queries.gym>), staleTime: 0 }),
    ),
  );
  await queryClient.fetchQuery({ ...queries.sheet(sessionId), staleTime: 0 });
  await queryClient.fetchQuery({ ...queries.session(sessionId), staleTime: 0 });
  await fetchCalls(beginning);
}

async function fetchCalls({ plan }: BeginningView): Promise<void> {
  const waiting = plan.clips.map(({ id }) => id);
  const take = async (): Promise<void> => {
    for (let id = waiting.pop(); id !== undefined; id = waiting.pop())
      await fetch(`/api/voice/clips/${id}.wav`);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, take));
}
