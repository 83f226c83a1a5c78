import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { SetFitDto, checkFields, type FighterView, type FitView } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { Button } from '../../ui/buttons/Button.tsx';
import { TextField } from '../../ui/fields/Field.tsx';
import { Sheet } from '../../ui/panels/Panel.tsx';
import { useDates } from '../../ui/fields/dates.ts';

/** Who said it last on this device, so that nobody types a name twice. */
const SAID_BY = 'eurhythm.fit-said-by';

/** Whether a fighter may train, why not and who said so. */
export function FitMark({ fighter }: { fighter: FighterView }) {
  const dates = useDates();
  const { data: mark } = useQuery(queries.fit(fighter.id));
  if (!mark) return null;
  const { fit, reason, by, at } = mark;
  const parts = [
    reason === '' ? 'no reason given' : reason,
    by === '' ? '' : `said by ${by}`,
    at === null ? '' : dates.tell(at, 'dated'),
  ].filter((part) => part !== '');
  if (fit && reason === '') return null;
  return fit ? (
    <p className="mt-1 text-sm text-quiet">Fit again: {parts.join(' · ')}</p>
  ) : (
    <p className="mt-1 font-semibold text-caution">
      Not fit to train: {parts.join(' · ')}. Cannot join a run until the mark is lifted.
    </p>
  );
}

/** Sets the mark or lifts it; each time with a reason. */
export function FitButton({ fighter }: { fighter: FighterView }) {
  const [isOpen, setOpen] = useState(false);
  const { data: mark } = useQuery(queries.fit(fighter.id));
  if (!mark) return null;
  const { fit } = mark;
  const { id, name } = fighter;
  return (
    <>
      <Button weight={fit ? 'bare' : 'plain'} onClick={() => setOpen(true)}>
        {fit ? 'Mark as not fit to train' : 'Lift the mark'}
      </Button>
      <Sheet
        open={isOpen}
        title={fit ? `${name} cannot train` : `${name} may train again`}
        onClose={() => setOpen(false)}
      >
        {isOpen && <FitForm id={id} mark={mark} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  );
}

function FitForm({ id, mark, onDone }: { id: string; mark: FitView; onDone: () => void }) {
  const client = useQueryClient();
  const fit = !mark.fit;
  const errors = useFieldErrors();
  const [reason, setReason] = useState('');
  const [by, setBy] = useState(() => localStorage.getItem(SAID_BY) ?? '');
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['fighters'] });
    await client.invalidateQueries({ queryKey: ['today'] });
  };
  const { save, isPending, notice } = useVersionedWrite<FitView, SetFitDto, FitView>({
    writing: (mine, basedOn) =>
      putRequest(SUBJECTS.fighter, `fighters/${id}/fit`, mine, {
        basedOn,
        page: `/fighters/${id}`,
      }),
    fields: { fit: 'Fit to train', reason: 'Reason', by: 'Said by' },
    onSaved: async (_, { by }) => {
      localStorage.setItem(SAID_BY, by);
      await refresh();
      onDone();
    },
    onTheirs: async () => {
      await refresh();
      onDone();
    },
    onError: errors.showFailure,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const mine = { fit, reason, by };
    const wrong = checkFields(SetFitDto, mine);
    errors.show(wrong);
    if (wrong.length === 0) save(mine, mark.version);
  };
  return (
    <form onSubmit={submit} noValidate className="space-y-4">
      {notice}
      <TextField
        label={fit ? 'What lets this fighter train again' : 'Why not'}
        value={reason}
        error={errors.of('reason')}
        onChange={(event) => setReason(event.target.value)}
      />
      <TextField
        label="Who says so"
        value={by}
        error={errors.of('by')}
        onChange={(event) => setBy(event.target.value)}
      />
      <p className="text-sm text-quiet">
        Whether somebody may train is for those who are licensed to say so; this only keeps what they said.
      </p>
      <Button type="submit" weight="main" disabled={isPending}>
        {fit ? 'Lift the mark' : 'Mark as not fit'}
      </Button>
    </form>
  );
}
