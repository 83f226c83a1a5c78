import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Controller } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { SaveFighterDto, type FighterView, type GymView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { queries } from '../../server/queries.ts';
import { useContractForm, type ContractForm } from '../../server/useContractForm.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { StaleNotice, staleSave, type StaleSave } from '../../sync/StaleNotice.tsx';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { useWrite } from '../../sync/useSync.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, LongTextField, TextField } from '../../ui/Field.tsx';
import { MaybeNumberField } from '../../ui/TypedField.tsx';
import { LEAD_CHOICES } from '../sessions/choices.ts';

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
} as const;

interface EntryFormProps extends FighterFormProps {
  readonly gym: GymView;
  readonly others: readonly FighterView[];
}

function EntryForm({ fighter, onSaved, gym, others }: EntryFormProps) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [id] = useState(() => fighter?.id ?? newId());
  const saved: SaveFighterDto = fighter
    ? entryOf(fighter)
    : {
        name: '',
        gradeId: gym.grades[0]?.id ?? '',
        lead: 'left',
        note: '',
        height: null,
        apart: [],
      };
  const draft = useDraft(`fighter.${fighter?.id ?? 'new'}`, saved, fighter?.version);
  const form = useContractForm(SaveFighterDto, { ...saved, ...draft.value });
  const { subscribe } = form;
  const [stale, setStale] = useState<StaleSave<FighterView, SaveFighterDto> | null>(null);
  const { change } = draft;
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => change(values) }),
    [subscribe, change],
  );
  const page = fighter ? `/fighters/${fighter.id}` : '/fighters';
  const save = useWrite<FighterView, { entry: SaveFighterDto; basedOn: number | undefined }>(
    ({ entry, basedOn }) => putRequest(SUBJECTS.fighter, `fighters/${id}`, entry, { basedOn, page }),
    {
      onSuccess: async () => {
        draft.clear();
        await client.invalidateQueries({ queryKey: ['fighters'] });
        await client.invalidateQueries({ queryKey: ['today'] });
        if (onSaved) onSaved();
        else void navigate(`/fighters/${id}`);
      },
      onError: (error, { entry }) => {
        const late = staleSave<FighterView, SaveFighterDto>(error, entry);
        if (late) setStale(late);
        else form.showFailure(error);
      },
    },
  );
  const submit = form.handleSubmit((entry) => save.mutate({ entry, basedOn: draft.basedOn }));
  const putBack = (to: SaveFighterDto): void => {
    form.reset(to);
    draft.clear();
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="grid grid-cols-2 gap-4" noValidate>
      {stale && (
        <div className="col-span-2">
          <StaleNotice
            stale={stale}
            fields={ENTRY_FIELDS}
            onMine={() => save.mutate({ entry: stale.mine, basedOn: stale.now.version })}
            onTheirs={() => {
              setStale(null);
              putBack(entryOf(stale.now));
              void client.invalidateQueries({ queryKey: ['fighters'] });
            }}
          />
        </div>
      )}
      <EntryFields form={form} gym={gym} others={others.filter((other) => other.id !== fighter?.id)} />
      <div className="col-span-2 flex gap-3">
        <Button type="submit" weight="main">
          Save
        </Button>
        {draft.isChanged && <Button onClick={() => putBack(saved)}>Put back</Button>}
      </div>
    </form>
  );
}

function EntryFields({
  form: { control, errorOf },
  gym,
  others,
}: Pick<EntryFormProps, 'gym' | 'others'> & { form: ContractForm<SaveFighterDto> }) {
  return (
    <>
      <Controller
        control={control}
        name="name"
        render={({ field }) => (
          <TextField label="Name" className="col-span-2" error={errorOf('name')} {...field} />
        )}
      />
      <Controller
        control={control}
        name="gradeId"
        render={({ field: { value, onChange } }) => (
          <ChoiceField
            label="Grade"
            value={value}
            error={errorOf('gradeId')}
            choices={gym.grades.map((grade) => ({ value: grade.id, label: grade.name }))}
            onChange={onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="lead"
        render={({ field: { value, onChange } }) => (
          <ChoiceField label="Own lead" value={value} choices={LEAD_CHOICES} onChange={onChange} />
        )}
      />
      <Controller
        control={control}
        name="note"
        render={({ field }) => (
          <LongTextField
            label="Note for the coach"
            className="col-span-2"
            error={errorOf('note')}
            {...field}
          />
        )}
      />
      <Controller
        control={control}
        name="height"
        render={({ field: { value, onChange } }) => (
          <MaybeNumberField
            label="Height, cm"
            hint="for partners of a size; empty: not measured"
            value={value ?? null}
            error={errorOf('height')}
            onChange={onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="apart"
        render={({ field: { value, onChange } }) => (
          <ApartField apart={value ?? []} others={others} onChange={onChange} />
        )}
      />
    </>
  );
}

function entryOf({ name, gradeId, lead, note, height, apart }: FighterView): SaveFighterDto {
  return { name, gradeId, lead, note, height: height ?? null, apart: [...(apart ?? [])] };
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
