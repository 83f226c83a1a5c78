import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { BackupView } from '@eurhythm/contract';
import { send } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { Sure } from '../../../ui/buttons/Sure.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

/** The dated copies of the gym: made by themselves each day, checked by opening them, brought back from here. */
export function Backups() {
  const dates = useDates();
  const { data } = useQuery(queries.backups());
  const dated = ({ madeAt }: BackupView): string => dates.tell(madeAt, 'EEEE short time');
  const client = useQueryClient();
  const [wanted, setWanted] = useState<BackupView | null>(null);
  const make = useMutation({
    networkMode: 'always',
    mutationFn: () => send<BackupView>('POST', 'backups'),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['backups'] });
      toast('A copy is made, and was opened to see that it is whole.');
    },
    onError: (error) => toast.error(error.message),
  });
  const restore = async (copy: BackupView): Promise<void> => {
    await send<BackupView>('POST', `backups/${copy.name}/restore?sure=yes`);
    await client.invalidateQueries();
    toast(`The gym is as it was on ${dated(copy)}. What was here before is kept as a copy too.`);
  };
  return (
    <Part title="Copies" aside="one a day; kept for seven days, then one a week for four weeks">
      {data?.trouble && (
        <p role="alert" className="pt-3 font-semibold text-caution">
          {data.trouble}
        </p>
      )}
      {data?.items.length === 0 && <Plain>The first copy is made a moment after the server starts.</Plain>}
      <ul aria-label="Copies">
        {data?.items.map((copy) => (
          <li key={copy.name} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              <strong className="block leading-tight">{dated(copy)}</strong>
              <span className="text-sm text-quiet">
                {copy.why} · {Math.ceil(copy.bytes / 1024)} kB · opened and whole
              </span>
              {copy.erasedSince > 0 && (
                <span className="block text-sm text-caution">
                  May still hold the data of{' '}
                  {copy.erasedSince === 1 ? 'a person who was' : `${copy.erasedSince} people who were`} erased
                  later. If you bring it back, that data is erased again.
                </span>
              )}
            </span>
            <a
              href={`/api/backups/${copy.name}`}
              download
              className="inline-flex min-h-11 items-center underline underline-offset-4"
            >
              Fetch
            </a>
            <Button weight="bare" onClick={() => setWanted(copy)}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-3" disabled={make.isPending} onClick={() => make.mutate()}>
        {make.isPending ? 'Making a copy…' : 'Make a copy now'}
      </Button>
      <Sure
        open={wanted !== null}
        title={wanted ? `Back to ${dated(wanted)}?` : ''}
        confirm="Bring it back"
        onSure={() => restore(wanted!)}
        onClose={() => setWanted(null)}
      >
        Everything becomes as it was then, for everybody who uses this gym. What is here now is kept as a copy
        first, so that you can come back.
      </Sure>
    </Part>
  );
}
