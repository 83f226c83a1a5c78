import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { SaveFighterDto, checkFields, type FighterView, type GymView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { LEAD_CHOICES } from '../../sessions/choices.ts';

interface FirstPeopleProps {
  readonly gym: GymView;
  readonly fighters: readonly FighterView[];
  /** Somebody was entered, and more may come. */
  onAdd(): void;
  onDone(): void;
}

/** One after the other, by name, grade and lead; the rest of an entry can wait. */
export function FirstPeople({ gym, fighters, onAdd, onDone }: FirstPeopleProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const name = useRef<HTMLInputElement>(null);
  const adults = gym.grades.find(({ band }) => band === 'adults') ?? gym.grades[0];
  const empty: SaveFighterDto = { name: '', gradeId: adults?.id ?? '', lead: 'left', note: '' };
  const [entry, setEntry] = useState(empty);
  const save = useWrite<FighterView, SaveFighterDto>(
    (written) => putRequest(SUBJECTS.fighter, `fighters/${newId()}`, written, { page: '/' }),
    {
      onSuccess: async () => {
        onAdd();
        await client.invalidateQueries({ queryKey: ['fighters'] });
        await client.invalidateQueries({ queryKey: ['today'] });
      },
      onError: (error, { name: refused }) => {
        setEntry((now) => (now.name === '' ? { ...now, name: refused } : now));
        errors.showFailure(error);
      },
    },
  );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const wrong = checkFields(SaveFighterDto, entry);
    errors.show(wrong);
    if (wrong.length > 0) return;
    save.mutate(entry);
    // The next name may be typed at once.
    setEntry({ ...entry, name: '' });
    name.current?.focus();
  };
  const band = gym.grades.find(({ id }) => id === entry.gradeId)?.band;
  return (
    <form onSubmit={submit} noValidate className="grid gap-4 sm:grid-cols-3">
      <TextField
        ref={name}
        label="Name"
        value={entry.name}
        error={errors.of('name')}
        onChange={(event) => setEntry({ ...entry, name: event.target.value })}
      />
      <ChoiceField
        label="Grade"
        value={entry.gradeId}
        hint={band === 'children' ? 'a child: shorter rounds, and the limits of its band' : undefined}
        choices={gym.grades.map((grade) => ({ value: grade.id, label: grade.name }))}
        onChange={(gradeId) => setEntry({ ...entry, gradeId })}
      />
      <ChoiceField
        label="Own lead: the foot in front"
        value={entry.lead}
        choices={LEAD_CHOICES}
        onChange={(lead) => setEntry({ ...entry, lead })}
      />
      <div className="flex gap-3 sm:col-span-3">
        <Button type="submit" weight="main">
          {fighters.length === 0 ? 'Add' : 'Add another'}
        </Button>
        {fighters.length > 0 && <Button onClick={onDone}>That is all for now</Button>}
      </div>
      {fighters.length > 0 && (
        <p className="text-quiet sm:col-span-3">{fighters.map((fighter) => fighter.name).join(', ')}</p>
      )}
    </form>
  );
}
