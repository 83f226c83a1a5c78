import { useEffect, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { queries } from '../server/queries.ts';
import { Button } from '../ui/buttons/Button.tsx';
import { fetchAhead, keepApplication } from './worksAlone.ts';

/** Keeps the application and the next class in the browser, and tells when a newer application waits; never during a run. */
export function NewerNotice() {
  const [use, setUse] = useState<(() => void) | null>(null);
  const { data: today } = useQuery(queries.today());
  const next = today?.next?.id;
  useEffect(() => keepApplication((load) => setUse(() => load)), []);
  useEffect(() => {
    // Without it the class is fetched when it begins.
    if (next) void fetchAhead(next).catch(() => {});
  }, [next]);
  if (!use) return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 bg-tape px-6 py-1 text-on-tape">
      A newer version of the application waits.
      <Button className="min-h-11" onClick={use}>
        Use it
      </Button>
    </p>
  );
}
