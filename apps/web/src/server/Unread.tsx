import { useQueryClient, type QueryCache } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { Button } from '../ui/buttons/Button.tsx';

/**
 * What a page asked for and did not get, and the way to ask again. It stands once, in the frame of all pages; a query whose failure
 * its page tells itself says so by `meta: { reportedHere: true }`.
 */
export function Unread() {
  const client = useQueryClient();
  const cache = client.getQueryCache();
  const message = useSyncExternalStore(
    useCallback((listener) => cache.subscribe(listener), [cache]),
    () => sentences(cache),
  );
  if (message === '') return null;
  return (
    <section role="alert" className="mx-6 mt-4 border-l-[6px] border-caution bg-paper px-5 py-3">
      {message.split('\n').map((sentence) => (
        <p key={sentence} className="font-semibold">
          {sentence}
        </p>
      ))}
      <Button
        className="mt-2"
        onClick={() => void client.refetchQueries({ predicate: ({ state }) => state.status === 'error' })}
      >
        Try again
      </Button>
    </section>
  );
}

/** Why what is on the page is not all there, a sentence a line. */
function sentences(cache: QueryCache): string {
  const failed = cache
    .getAll()
    .filter(
      (query) =>
        query.state.status === 'error' &&
        query.state.data === undefined &&
        query.isActive() &&
        query.meta?.['reportedHere'] !== true,
    );
  return [...new Set(failed.map(({ state }) => (state.error as Error).message))].join('\n');
}
