import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { SessionSummary } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TextField, TickField } from '../../../ui/fields/Field.tsx';
import { Sheet } from '../../../ui/panels/Panel.tsx';
import { weeksAfter } from './dates.ts';
import { useDates } from '../../../ui/fields/dates.ts';

const MOST_WEEKS = 52;

interface RepeatSheetProps {
  readonly id: string;
  readonly title: string;
  readonly plannedFor: string;
  onClose(): void;
}

/** Plans the weeks to come from a session: each drafted anew, or copies of it; each can then be changed by itself. */
export function RepeatSheet({ id, title, plannedFor, onClose }: RepeatSheetProps) {
  const dates = useDates();
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [weeks, setWeeks] = useState('4');
  const [isAnew, setAnew] = useState(true);
  const [ids] = useState(() => Array.from({ length: MOST_WEEKS }, newId));
  const count = Number(weeks);
  const isWhole = Number.isInteger(count) && count >= 1 && count <= MOST_WEEKS;
  const repeat = useWrite<{ items: SessionSummary[] }>(
    () => ({
      method: 'POST',
      subject: SUBJECTS.session,
      address: `sessions/${id}/${isAnew ? 'forward' : 'repeat'}`,
      body: { ids: ids.slice(0, count), dates: weeksAfter(plannedFor, count) },
      page: `/sessions/${id}`,
    }),
    {
      onSuccess: async ({ items }) => {
        await client.invalidateQueries({ queryKey: ['sessions'], exact: true });
        toast(`“${title}” is planned ${items.length} more ${items.length === 1 ? 'time' : 'times'}.`);
        onClose();
      },
      onError: errors.showFailure,
    },
  );
  return (
    <Sheet open title="Repeat weekly" onClose={onClose}>
      <TextField
        label="How many weeks more"
        className="w-44"
        inputMode="numeric"
        value={weeks}
        error={isWhole ? errors.of('dates') : `From 1 to ${MOST_WEEKS} weeks.`}
        onChange={(e) => setWeeks(e.target.value)}
      />
      {isWhole && (
        <p className="pt-3">
          Each {dates.tell(plannedFor, 'EEEE, time')}, the last time on{' '}
          {dates.tell(weeksAfter(plannedFor, count).at(-1)!, 'long-dated')}. Each can be changed by itself.
        </p>
      )}
      <TickField
        label="Go forward: draft each anew, for the same groups and as long"
        checked={isAnew}
        onChange={setAnew}
      />
      <div className="flex gap-3 pt-4">
        <Button weight="main" disabled={!isWhole || repeat.isPending} onClick={() => repeat.mutate()}>
          Plan them
        </Button>
        <Button onClick={onClose}>Not now</Button>
      </div>
    </Sheet>
  );
}
