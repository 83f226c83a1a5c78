import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { NameGymDto, checkFields, type GymView } from '@eurhythm/contract';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useWrite } from '../../sync/useSync.ts';
import { TextField } from '../../ui/fields/Field.tsx';

/** What the gym is called; saved when the field is left. */
export function GymName({ gym }: { gym: GymView }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [name, setName] = useState(gym.name);
  const save = useWrite<GymView>(() => putRequest(SUBJECTS.gym, 'gym/name', { name }, { page: '/gym' }), {
    onSuccess: (after) => client.setQueryData(['gym'], after),
    onError: errors.showFailure,
  });
  const leave = (): void => {
    const wrong = checkFields(NameGymDto, { name });
    errors.show(wrong);
    if (wrong.length === 0 && name !== gym.name) save.mutate();
  };
  return (
    <TextField
      label="Name of the gym"
      className="pt-3"
      value={name}
      error={errors.of('name')}
      onChange={(event) => setName(event.target.value)}
      onBlur={leave}
    />
  );
}
