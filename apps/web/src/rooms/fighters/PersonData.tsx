import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { FighterView } from '@eurhythm/contract';
import { send } from '../../server/api.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { Part } from '../../ui/panels/Panel.tsx';
import { Sure } from '../../ui/buttons/Sure.tsx';
import { FileLink } from '../gym/keep/TakeAway.tsx';

/** Everything that is kept about a person: given out whole, or erased for good. */
export function PersonData({ fighter: { id, name } }: { fighter: FighterView }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const erase = async (): Promise<void> => {
    await send('DELETE', `fighters/${id}?sure=yes`);
    await navigate('/fighters');
    await client.invalidateQueries();
    toast('Everything about this person is erased.');
  };
  return (
    <Part title="What is kept about this person" className="mt-10">
      <p className="py-3 text-quiet">
        Name, grade, lead, note, height, marks, trials, and the sheets and sessions held that this fighter was
        in.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <FileLink to={`export.json?fighter=${id}`}>Give it out, in one file</FileLink>
        <Button weight="bare" onClick={() => setOpen(true)}>
          Erase it for good
        </Button>
      </div>
      <Sure
        open={isOpen}
        title={`Erase everything about ${name}?`}
        confirm="Erase it"
        onSure={erase}
        onClose={() => setOpen(false)}
      >
        This cannot be taken back. Totals of past classes stay, without the person. Copies that were made
        before still hold it until they are a month old, and so do files that were taken away.
      </Sure>
    </Part>
  );
}
