import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { toast } from 'sonner';
import { sessionSeconds } from '@eurhythm/core/plan';
import type { LibraryItem } from '@eurhythm/contract';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { queries } from '../../../server/queries.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { clockText, howMany } from '@eurhythm/core/units';

interface LibraryPanelProps {
  onRounds(item: LibraryItem): void;
  /** Puts the blocks into the round that is open; null while none is. */
  readonly onBlocks: ((item: LibraryItem) => void) | null;
}

/** Rounds to use again: own ones, what ships with the product, and a test for each grade. */
export const LibraryPanel = memo(function LibraryPanel({ onRounds, onBlocks }: LibraryPanelProps) {
  const { data: items } = useQuery(queries.library());
  const [search, setSearch] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const remove = useRemove();
  const wanted = search.trim().toLocaleLowerCase();
  const shown = (items ?? []).filter(({ title, about }) =>
    `${title} ${about}`.toLocaleLowerCase().includes(wanted),
  );
  return (
    <Part title="Library" aside={items ? `${items.length} to choose from` : ''}>
      <TextField
        label="Look for"
        className="pt-2"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      <ul aria-label="Library" className="mt-2 max-h-96 overflow-y-auto">
        {shown.map((item) => (
          <li key={item.id} className="border-b border-rule">
            <button
              type="button"
              aria-expanded={open === item.id}
              onClick={() => setOpen(open === item.id ? null : item.id)}
              className="flex min-h-11 w-full items-baseline gap-3 py-2 text-left hover:bg-hint"
            >
              <span className="min-w-0 flex-1">
                <strong>{item.title}</strong>{' '}
                {item.own && <span className="ml-2 text-sm text-quiet">own</span>}
              </span>
              <span className="tabular font-heading font-bold">{clockText(sessionSeconds(item.rounds))}</span>
            </button>
            {open === item.id && (
              <div className="pb-3">
                <p className="text-sm text-quiet">
                  {item.about || 'Kept by the gym.'}{' '}
                  {item.rounds.length > 1
                    ? howMany(item.rounds.length, 'round')
                    : `${item.rounds[0]?.blocks.length ?? 0} blocks`}
                  .
                </p>
                <span className="flex flex-wrap gap-2 pt-2">
                  <Button onClick={() => onRounds(item)}>Put at the end</Button>
                  {onBlocks && item.rounds.length === 1 && (
                    <Button onClick={() => onBlocks(item)}>Into the open round</Button>
                  )}
                  {item.own && (
                    <IconButton label={`Take ${item.title} out of the library`} onClick={() => remove(item)}>
                      <Trash2 size={18} />
                    </IconButton>
                  )}
                </span>
              </div>
            )}
          </li>
        ))}
      </ul>
      {items && shown.length === 0 && <Plain>Nothing in the library is called that.</Plain>}
    </Part>
  );
});

function useRemove(): (item: LibraryItem) => void {
  const client = useQueryClient();
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: ['library'] });
  const remove = useWrite<void, LibraryItem>(({ id }) => deleteRequest(SUBJECTS.library, `library/${id}`), {
    onSuccess: async (_, { id, title, rounds }) => {
      await refresh();
      toastWithUndo(`“${title}” is out of the library.`, async () => {
        await write(putRequest(SUBJECTS.library, `library/${id}`, { title, rounds }));
        await refresh();
      });
    },
    onError: (error) => toast.error(error.message),
  });
  return remove.mutate;
}
