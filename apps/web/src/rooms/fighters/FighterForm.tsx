import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { SaveFighterDto, checkFields, type FighterView, type GymView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { queries } from '../../server/queries.ts';
import { useFieldErrors, type FieldErrors } from '../../server/useFieldErrors.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { StaleNotice, staleSave, type StaleSave } from '../../sync/StaleNotice.tsx';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { useWrite } from '../../sync/useSync.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { ChoiceField, LongTextField, TextField } from '../../ui/fields/Field.tsx';
import { MaybeNumberField } from '../../ui/fields/TypedField.tsx';
import { LEAD_CHOICES } from '../sessions/choices.ts';
import { CareFields } from './CareFields.tsx';

interface FighterFormProps {
  readonly fighter: FighterView | null;
  readonly onSaved?: () => void;
}

/** The entry of a fighter; without one, a new entry. */
export function FighterForm(props: FighterFormProps) {
  const { data: gym } = useQuery(queries.gym());
  const { data: others } = useQuery(queries.fighters());
  return gym && others ? <EntryForm {...props} gym={gym} others={others} /> : null;
}

/** What of an entry two coaches may have written differently. */
const ENTRY_FIELDS = {
  name: 'Name',
  gradeId: 'Grade',
  lead: 'Own lead',
  note: 'Note for the coach',
  height: 'Height, cm',
  apart: 'Not a partner of',
  care: 'Takes care',
} as const;

interface EntryFormProps extends FighterFormProps {
  readonly gym: GymView;
  readonly others: readonly FighterView[];
}

function EntryForm({ fighter, onSaved, gym, others }: EntryFormProps) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [id, setId] = useState(() => fighter?.id ?? newId());
  const form = useRef<HTMLFormElement>(null);
  const saved: SaveFighterDto = fighter
    ? entryOf(fighter)
    : {
        name: '',
        gradeId: gym.grades[0]?.id ?? '',
        lead: 'left',
        note: '',
        height: null,
        apart: [],
        care: null,
      };
  const draft = useDraft(`fighter.${fighter?.id ?? 'new'}`, saved, fighter?.version);
  const entry = draft.value ?? saved;
  const errors = useFieldErrors();
  const [stale, setStale] = useState<StaleSave<FighterView, SaveFighterDto> | null>(null);
  const page = fighter ? `/fighters/${fighter.id}` : '/fighters';
  const save = useWrite<
    FighterView,
    { id: string; entry: SaveFighterDto; basedOn: number | undefined; another?: boolean }
  >(
    ({ id: own, entry, basedOn }) =>
      putRequest(SUBJECTS.fighter, `fighters/${own}`, entry, { basedOn, page }),
    {
      onSuccess: async ({ name }, { another }) => {
        await client.invalidateQueries({ queryKey: ['fighters'] });
        await client.invalidateQueries({ queryKey: ['today'] });
        if (another) return void toast(`${name} is entered.`);
        draft.clear();
        if (onSaved) onSaved();
        // Its own page stands before anybody sees the emptied form.
        else await navigate(`/fighters/${id}`, { flushSync: true });
      },
      onError: (error, { id: refused, entry, another }) => {
        // The next one is being typed: that stays.
        if (another && draft.value?.name) return void toast.error(`${entry.name}: ${error.message}`);
        if (another) {
          setId(refused);
          draft.change(entry);
        }
        const late = staleSave<FighterView, SaveFighterDto>(error, entry);
        if (late) setStale(late);
        else errors.showFailure(error);
      },
    },
  );
  const trySave = (another: boolean): void => {
    const wrong = checkFields(SaveFighterDto, entry);
    errors.show(wrong);
    if (wrong.length > 0) return;
    save.mutate({ id, entry, basedOn: draft.basedOn, another });
    if (!another) return;
    // The next one may be typed at once, and is often of the same grade.
    setId(newId());
    draft.change({ ...saved, gradeId: entry.gradeId });
    form.current?.querySelector('input')?.focus();
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    trySave(false);
  };
  const putBack = (): void => {
    errors.show([]);
    draft.clear();
  };
  return (
    <form ref={form} onSubmit={submit} className="grid grid-cols-2 gap-4" noValidate>
      {stale && (
        <div className="col-span-2">
          <StaleNotice
            stale={stale}
            fields={ENTRY_FIELDS}
            onMine={() => save.mutate({ id, entry: stale.mine, basedOn: stale.now.version })}
            onTheirs={() => {
              setStale(null);
              putBack();
              void client.invalidateQueries({ queryKey: ['fighters'] });
            }}
          />
        </div>
      )}
      <EntryFields
        entry={entry}
        errors={errors}
        gym={gym}
        others={others.filter((other) => other.id !== fighter?.id)}
        onChange={(changes) => draft.change({ ...entry, ...changes })}
      />
      <div className="col-span-2 flex gap-3">
        <Button type="submit" weight="main">
          Save
        </Button>
        {!fighter && <Button onClick={() => trySave(true)}>Save and add another</Button>}
        {draft.isChanged && <Button onClick={putBack}>Put back</Button>}
      </div>
    </form>
  );
}

interface EntryFieldsProps extends Pick<EntryFormProps, 'gym' | 'others'> {
  readonly entry: SaveFighterDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SaveFighterDto>): void;
}

function EntryFields({ entry, errors, gym, others, onChange }: EntryFieldsProps) {
  return (
    <>
      <TextField
        label="Name"
        className="col-span-2"
        value={entry.name}
        error={errors.of('name')}
        onChange={(event) => onChange({ name: event.target.value })}
      />
      <ChoiceField
        label="Grade"
        value={entry.gradeId}
        hint={
          gym.grades.find(({ id }) => id === entry.gradeId)?.band === 'children'
            ? 'a child: shorter rounds, and the limits of its band'
            : undefined
        }
        error={errors.of('gradeId')}
        choices={gym.grades.map((grade) => ({ value: grade.id, label: grade.name }))}
        onChange={(gradeId) => onChange({ gradeId })}
      />
      <ChoiceField
        label="Own lead"
        value={entry.lead}
        choices={LEAD_CHOICES}
        onChange={(lead) => onChange({ lead })}
      />
      <LongTextField
        label="Note for the coach"
        className="col-span-2"
        value={entry.note}
        error={errors.of('note')}
        onChange={(event) => onChange({ note: event.target.value })}
      />
      <MaybeNumberField
        label="Height, cm"
        hint="for partners of a size; empty: not measured"
        value={entry.height ?? null}
        error={errors.of('height')}
        onChange={(height) => onChange({ height })}
      />
      <ApartField apart={entry.apart ?? []} others={others} onChange={(apart) => onChange({ apart })} />
      <CareFields care={entry.care ?? null} onChange={(care) => onChange({ care })} />
    </>
  );
}

function entryOf({ name, gradeId, lead, note, height, apart, care }: FighterView): SaveFighterDto {
  return { name, gradeId, lead, note, height: height ?? null, apart: [...(apart ?? [])], care: care ?? null };
}

/** Those who should not be partners of this fighter, one after the other. */
function ApartField({
  apart,
  others,
  onChange,
}: {
  apart: readonly string[];
  others: readonly FighterView[];
  onChange: (apart: string[]) => void;
}) {
  return (
    <div>
      <ChoiceField
        label="Not a partner of"
        value=""
        choices={[
          { value: '', label: 'choose somebody' },
          ...others
            .filter((other) => !apart.includes(other.id))
            .map((other) => ({ value: other.id, label: other.name })),
        ]}
        onChange={(value) => value !== '' && onChange([...apart, value])}
      />
      <ul>
        {apart.map((id) => {
          const name = others.find((other) => other.id === id)?.name ?? 'somebody who is gone';
          return (
            <li key={id} className="flex items-center justify-between">
              {name}
              <Button
                weight="bare"
                aria-label={`${name} may be a partner again`}
                onClick={() => onChange(apart.filter((each) => each !== id))}
              >
                Take out
              </Button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
