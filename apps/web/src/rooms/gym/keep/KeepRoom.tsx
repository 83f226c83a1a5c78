import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { UsesView } from '@eurhythm/contract';
import { send } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { Sure } from '../../../ui/buttons/Sure.tsx';
import { Backups } from './Backups.tsx';
import { BringIn } from './BringIn.tsx';
import { TakeAway } from './TakeAway.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** What is taken away as a file, what is brought in, the dated copies, and what was done to the data of people. */
export function KeepRoom() {
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <Heading className="mb-6 text-3xl">Backup and export</Heading>
      <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
        <TakeAway />
        <BringIn />
        <Backups />
        <div className="grid gap-y-8">
          <Demonstration />
          <Audit />
        </div>
      </div>
    </div>
  );
}

/** The made-up gym, as long as it is here. */
function Demonstration() {
  const { data } = useQuery(queries.keeping());
  const client = useQueryClient();
  const [isOpen, setOpen] = useState(false);
  if (!data?.demo) return null;
  const takeOut = async (): Promise<void> => {
    const { usedBy } = await send<UsesView>('DELETE', 'demo?sure=yes');
    await client.invalidateQueries();
    toast(
      usedBy.length === 0
        ? 'The demonstration is out.'
        : `The demonstration is out, but for ${usedBy.join(', ')} that this gym changed or uses.`,
    );
  };
  return (
    <Part title="The demonstration">
      <Plain>
        Saltmarsh is made up: its people, combos, sessions and eight weeks of log. What you changed of it, or
        use, stays.
      </Plain>
      <Button onClick={() => setOpen(true)}>Take the demonstration out</Button>
      <Sure
        open={isOpen}
        title="Take the demonstration out?"
        confirm="Take it out"
        onSure={takeOut}
        onClose={() => setOpen(false)}
      >
        Everything of the made-up gym goes, but for what you changed or use. Moves and numbers stay.
      </Sure>
    </Part>
  );
}

function Audit() {
  const dates = useDates();
  const { data } = useQuery(queries.keeping());
  if (!data || data.audit.length === 0) return null;
  return (
    <Part title="What was done to the data" aside="names nobody">
      <ul>
        {data.audit.map(({ at, what }) => (
          <li key={`${at}${what}`} className="flex gap-3 border-b border-rule py-1.5">
            <span className="tabular whitespace-nowrap text-quiet">{dates.tell(at, 'dated time')}</span>
            <span>{what}</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
