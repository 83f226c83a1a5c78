import { howMany } from '@eurhythm/core/units';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { StoodIn } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { putRequest, type Subject } from '../../sync/queue/queuedWrite.ts';
import { useWrite } from '../../sync/useSync.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../ui/fields/Field.tsx';
import { Part } from '../../ui/panels/Panel.tsx';

interface WhereUsedProps {
  /** Where the thing is on the server, as "combos/one-two". */
  readonly address: string;
  readonly subject: Subject;
  /** What may stand in for it. */
  readonly others: readonly { readonly value: string; readonly label: string }[];
}

/** So many uses are reported; the rest is counted. */
const TOLD = 12;

/** Where a combo or a move is used, and how another one takes its place everywhere at once. */
export function WhereUsed({ address, subject, others }: WhereUsedProps) {
  const client = useQueryClient();
  const { data } = useQuery(queries.uses(address));
  const [by, setBy] = useState('');
  const replacement = useWrite<StoodIn>(() => putRequest(subject, `${address}/stand-in`, { by }), {
    onSuccess: async ({ changed, left }) => {
      await client.invalidateQueries();
      setBy('');
      const name = others.find(({ value }) => value === by)?.label ?? by;
      toast(
        left.length === 0
          ? `${name} stands in everywhere.`
          : `${name} stands in at ${changed.length} of ${changed.length + left.length} places. Left: ${left.slice(0, 3).join(', ')}${left.length > 3 ? ` and ${left.length - 3} more` : ''}.`,
      );
    },
    onError: (error) => toast.error(error.message),
  });
  if (!data || data.usedBy.length === 0) return null;
  const { usedBy } = data;
  return (
    <Part title="Where it is used" aside={`${howMany(usedBy.length, 'place')}`}>
      <ul className="py-2">
        {usedBy.slice(0, TOLD).map((use) => (
          <li key={use}>{use}</li>
        ))}
        {usedBy.length > TOLD && <li className="text-quiet">and {usedBy.length - TOLD} more</li>}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <ChoiceField
          label="Put another in its place, everywhere"
          className="w-72"
          value={by}
          choices={[{ value: '', label: 'choose' }, ...others]}
          onChange={setBy}
        />
        <Button disabled={by === '' || replacement.isPending} onClick={() => replacement.mutate()}>
          Put it there
        </Button>
      </div>
    </Part>
  );
}
