import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { NameGymDto, checkFields, type GymView, type SchoolDto } from '@eurhythm/contract';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';

const WORDS = [
  { value: 'numbers', label: 'by number' },
  { value: 'names', label: 'by name' },
] as const;
const SIDES = [
  { value: 'lead-rear', label: 'lead and rear' },
  { value: 'front-back', label: 'front and back' },
  { value: 'left-right', label: 'left and right' },
] as const;

/** What the gym is called, and the two of its ways that every call depends on. */
export function NameTheGym({ gym, onDone }: { readonly gym: GymView; onDone(): void }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [name, setName] = useState('');
  const [school, setSchool] = useState(gym.school);
  const save = useWrite<GymView>(() => putRequest(SUBJECTS.gym, 'gym/name', { name }, { page: '/' }), {
    onSuccess: async () => {
      const ways = putRequest(SUBJECTS.gym, 'gym/school', school, { basedOn: gym.version, page: '/' });
      client.setQueryData(['gym'], await write<GymView>(ways));
      await client.invalidateQueries({ queryKey: ['moves'] });
      onDone();
    },
    onError: errors.showFailure,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const wrong = checkFields(NameGymDto, { name });
    errors.show(wrong);
    if (wrong.length === 0) save.mutate();
  };
  const change = (changes: Partial<SchoolDto>): void => setSchool({ ...school, ...changes });
  return (
    <form onSubmit={submit} noValidate className="grid gap-4 sm:grid-cols-3">
      <TextField
        label="Name of the gym"
        value={name}
        error={errors.of('name')}
        onChange={(event) => setName(event.target.value)}
      />
      <ChoiceField
        label="Strokes are called"
        value={school.words}
        choices={WORDS}
        onChange={(words) => change({ words })}
      />
      <ChoiceField
        label="Sides are called"
        value={school.sides}
        choices={SIDES}
        onChange={(sides) => change({ sides })}
      />
      <Button type="submit" weight="main" className="justify-self-start" disabled={save.isPending}>
        Save
      </Button>
    </form>
  );
}
