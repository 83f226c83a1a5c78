import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { useRested } from '../ui/useRested.ts';
import { Sheet } from '../ui/Panel.tsx';
import { toldWaiting, type ShelvedLetter } from './letters/letter.ts';
import { sync } from './opened.ts';
import { useSyncState } from './useSync.ts';

const TOLD_AFTER = 1200;

/** What waits for the server, and the way to what it refused. Says nothing while all is well. */
export function SyncNotice({ className = '' }: { className?: string }) {
  const { waiting, shelved, notKept } = useSyncState();
  const [isOpen, setOpen] = useState(false);
  const told = toldWaiting(waiting);
  // What is sent within a second was never waited for.
  const rested = useRested(told, TOLD_AFTER);
  return (
    <span className={`flex items-center gap-3 text-sm ${className}`}>
      <span aria-live="polite" className="text-quiet">
        {told === '' ? '' : rested}
        {notKept > 0 && '. This device has no room left: keep this page open until they are sent.'}
      </span>
      {shelved.length > 0 && (
        <button
          type="button"
          className="min-h-11 rounded bg-caution px-3 font-semibold text-canvas"
          onClick={() => setOpen(true)}
        >
          {shelved.length === 1 ? '1 change was refused' : `${shelved.length} changes were refused`}
        </button>
      )}
      <Sheet
        open={isOpen && shelved.length > 0}
        title="What the server refused"
        onClose={() => setOpen(false)}
      >
        <ul className="space-y-5">
          {shelved.map((each) => (
            <Shelved key={each.letter.id} shelved={each} onLeave={() => setOpen(false)} />
          ))}
        </ul>
      </Sheet>
    </span>
  );
}

/** One refused write: the server's sentence, what was written, and the ways on from here. */
function Shelved({ shelved, onLeave }: { shelved: ShelvedLetter; onLeave: () => void }) {
  const { letter, refusal } = shelved;
  const sentences = refusal.errors?.length ? refusal.errors.map(({ message }) => message) : [refusal.message];
  return (
    <li className="border-l-[6px] border-caution pl-4">
      <p className="font-semibold">
        {letter.method === 'DELETE' ? `Taking out: ${letter.subject.one}` : `Saving: ${letter.subject.one}`}
      </p>
      {sentences.map((sentence) => (
        <p key={sentence} className="text-caution">
          {sentence}
        </p>
      ))}
      {letter.body !== undefined && (
        <details className="pt-1">
          <summary className="min-h-11 cursor-pointer py-2 text-quiet">What was written</summary>
          <pre className="max-h-60 overflow-auto bg-paper p-2 font-line text-sm whitespace-pre-wrap">
            {JSON.stringify(letter.body, null, 2)}
          </pre>
        </details>
      )}
      <div className="flex gap-3 pt-1">
        {letter.page !== undefined && (
          <Link
            to={letter.page}
            onClick={onLeave}
            className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          >
            Back to where it was written
          </Link>
        )}
        <Button onClick={() => void sync.unshelve(letter.id)}>Put it away</Button>
      </div>
    </li>
  );
}
