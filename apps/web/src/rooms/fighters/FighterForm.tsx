import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { SaveFighterDto, checkFields, type FighterView } from '@eurhythm/contract';
import { newId, put } from '../../app/api.ts';
import { queries } from '../../app/queries.ts';
import { useDraft } from '../../app/useDraft.ts';
import { useFieldErrors } from '../../app/useFieldErrors.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, LongTextField, TextField, TickField } from '../../ui/Field.tsx';
import { MaybeNumberField } from '../../ui/TypedField.tsx';
import { LEAD_CHOICES } from '../sessions/builder/choices.ts';

/** The entry of a fighter; without one, a new entry. */
export function FighterForm({ fighter, onSaved }: { fighter: FighterView | null; onSaved?: () => void }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const errors = useFieldErrors();
  const { data: gym } = useQuery(queries.gym());
  const { data: others = [] } = useQuery(queries.fighters());
  const [id] = useState(() => fighter?.id ?? newId());
  const saved: SaveFighterDto = fighter
    ? {
        name: fighter.name,
        gradeId: fighter.gradeId,
        lead: fighter.lead,
        note: fighter.note,
        fit: fighter.fit,
        height: fighter.height ?? null,
        apart: fighter.apart ?? [],
      }
    : {
        name: '',
        gradeId: gym?.grades[0]?.id ?? '',
        lead: 'left',
        note: '',
        fit: true,
        height: null,
        apart: [],
      };
  const draft = useDraft(`fighter.${fighter?.id ?? 'new'}`, saved);
  const entry = draft.value ?? saved;
  const change = (changes: Partial<SaveFighterDto>): void => draft.change({ ...entry, ...changes });
  const save = useMutation({
    mutationFn: () => put<FighterView>(`fighters/${id}`, entry),
    onSuccess: async () => {
      draft.clear();
      await client.invalidateQueries({ queryKey: ['fighters'] });
      await client.invalidateQueries({ queryKey: ['today'] });
      if (onSaved) onSaved();
      else void navigate(`/fighters/${id}`);
    },
    onError: errors.showFailure,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const wrong = checkFields(SaveFighterDto, entry);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate();
  };
  if (!gym) return null;
  return (
    <form onSubmit={submit} className="grid grid-cols-2 gap-4" noValidate>
      <TextField
        label="Name"
        className="col-span-2"
        value={entry.name}
        error={errors.of('name')}
        onChange={(e) => change({ name: e.target.value })}
      />
      <ChoiceField
        label="Grade"
        value={entry.gradeId}
        error={errors.of('gradeId')}
        choices={gym.grades.map((grade) => ({ value: grade.id, label: grade.name }))}
        onChange={(e) => change({ gradeId: e.target.value })}
      />
      <ChoiceField
        label="Own lead"
        value={entry.lead}
        choices={LEAD_CHOICES}
        onChange={(e) => change({ lead: e.target.value as 'left' | 'right' })}
      />
      <LongTextField
        label="Note for the coach"
        className="col-span-2"
        value={entry.note}
        error={errors.of('note')}
        onChange={(e) => change({ note: e.target.value })}
      />
      <MaybeNumberField
        label="Height, cm"
        hint="for partners of a size; empty: not measured"
        value={entry.height ?? null}
        error={errors.of('height')}
        onChange={(height) => change({ height })}
      />
      <ApartField
        apart={entry.apart ?? []}
        others={others.filter((other) => other.id !== fighter?.id)}
        onChange={(apart) => change({ apart })}
      />
      <TickField
        label="Fit to train"
        className="col-span-2"
        checked={entry.fit}
        onChange={(e) => change({ fit: e.target.checked })}
      />
      <div className="col-span-2 flex gap-3">
        <Button type="submit" weight="main" disabled={save.isPending}>
          Save
        </Button>
        {draft.isChanged && <Button onClick={draft.clear}>Put back</Button>}
      </div>
    </form>
  );
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
        onChange={(e) => e.target.value !== '' && onChange([...apart, e.target.value])}
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
