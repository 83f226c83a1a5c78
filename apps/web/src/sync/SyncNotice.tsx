import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/buttons/Button.tsx';
import { useDebounced } from '../ui/useDebounced.ts';
import { Sheet } from '../ui/panels/Panel.tsx';
import { waitingText, type RejectedWrite } from './queue/queuedWrite.ts';
import { sync } from './opened.ts';
import { useSyncState } from './useSync.ts';

const TOLD_AFTER = 1200;

/** What waits for the server, and the way to what it refused. Says nothing while all is well. */
export function SyncNotice({ className = '' }: { className?: string }) {
  const { waiting, rejected, notKept } = useSyncState();
  const [isOpen, setOpen] = useState(false);
  const message = waitingText(waiting);
  // What is sent within a second was never waited for.
  const rested = useDebounced(message, TOLD_AFTER);
  return (
    <span className={`flex items-center gap-3 text-sm ${className}`}>
      <span aria-live="polite" className="text-quiet">
        {message === '' ? '' : rested}
        {notKept > 0 && '. This device has no room left: keep this page open until they are sent.'}
      </span>
      {rejected.length > 0 && (
        <button
          type="button"
          className="min-h-11 rounded bg-caution px-3 font-semibold text-canvas"
          onClick={() => setOpen(true)}
        >
          {rejected.length === 1 ? '1 change was refused' : `${rejected.length} changes were refused`}
        </button>
      )}
      <Sheet
        open={isOpen && rejected.length > 0}
        title="What the server refused"
        onClose={() => setOpen(false)}
      >
        <ul className="space-y-5">
          {rejected.map((each) => (
            <Rejected key={each.write.id} rejected={each} onLeave={() => setOpen(false)} />
          ))}
        </ul>
      </Sheet>
    </span>
  );
}

/** One refused write: the server's sentence, what was written, and the ways on from here. */
function Rejected({ rejected, onLeave }: { rejected: RejectedWrite; onLeave: () => void }) {
  const { write, refusal } = rejected;
  const sentences = refusal.errors?.length ? refusal.errors.map(({ message }) => message) : [refusal.message];
  return (
    <li className="border-l-[6px] border-caution pl-4">
      <p className="font-semibold">
        {write.method === 'DELETE' ? `Taking out: ${write.subject.one}` : `Saving: ${write.subject.one}`}
      </p>
      {sentences.map((sentence) => (
        <p key={sentence} className="text-caution">
          {sentence}
        </p>
      ))}
      {write.body !== undefined && (
        <details className="pt-1">
          <summary className="min-h-11 cursor-pointer py-2 text-quiet">What was written</summary>
          <pre className="max-h-60 overflow-auto bg-paper p-2 font-line text-sm whitespace-pre-wrap">
            {JSON.stringify(write.body, null, 2)}
          </pre>
        </details>
      )}
      <div className="flex gap-3 pt-1">
        {write.page !== undefined && (
          <Link
            to={write.page}
            onClick={onLeave}
            className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          >
            Back to where it was written
          </Link>
        )}
        <Button onClick={() => void sync.unreject(write.id)}>Put it away</Button>
      </div>
    </li>
  );
}
