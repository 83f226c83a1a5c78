import { useQueryClient } from '@tanstack/react-query';
import type { GymView } from '@eurhythm/contract';
import { FIRST_CAUTION, STANDING_CAUTIONS } from '@eurhythm/contract/cautions';
import { Button } from '../ui/buttons/Button.tsx';
import { Sheet } from '../ui/panels/Panel.tsx';
import { putRequest } from '../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../sync/queue/subjects.ts';
import { useWrite } from '../sync/useSync.ts';

function CautionList() {
  return (
    <>
      <p className="mb-3 font-semibold">{FIRST_CAUTION}</p>
      <ul className="mb-5 list-disc space-y-1 pl-5">
        {STANDING_CAUTIONS.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </>
  );
}

/** Shown until somebody in the gym has read it. */
export function FirstStartNotice() {
  const client = useQueryClient();
  const accept = useWrite<GymView>(() => putRequest(SUBJECTS.gym, 'gym/notice', { accepted: true }), {
    onSuccess: (gym) => client.setQueryData(['gym'], gym),
  });
  return (
    <Sheet open title="Before you train with this">
      <CautionList />
      {accept.isError && (
        <p role="alert" className="mb-3 font-semibold text-caution">
          {accept.error.message}
        </p>
      )}
      <Button weight="main" onClick={() => accept.mutate()} disabled={accept.isPending}>
        I have read this
      </Button>
    </Sheet>
  );
}

export function CautionsSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet open={open} title="Cautions" onClose={onClose}>
      <CautionList />
      <Button onClick={onClose}>Close</Button>
    </Sheet>
  );
}

/** The line that stands under every page. */
export function StandingLine({ onOpen }: { onOpen: () => void }) {
  return (
    <footer className="mt-6 border-t border-rule px-6 py-1 text-sm text-quiet">
      Local rules, the venue and a qualified coach come first. Warm up. Stop at pain, dizziness or a head
      knock.{' '}
      <button type="button" onClick={onOpen} className="min-h-11 underline underline-offset-2">
        All cautions
      </button>
    </footer>
  );
}
