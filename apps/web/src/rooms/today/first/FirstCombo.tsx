import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { readWords } from '@eurhythm/core/calls';
import { parseLine } from '@eurhythm/core/line';
import { moveBook } from '@eurhythm/core/moves';
import { lineInWords } from '@eurhythm/core/rounds';
import type { ComboView, GymView, SaveComboDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { emptyCombo } from '../../combos/list/newCombo.ts';

const EXAMPLES = ['1 2', '1 1 2', '1 2 3'] as const;
const LONGEST_TITLE = 60;

interface FirstComboProps {
  readonly gym: GymView;
  readonly combos: readonly ComboView[];
  onDone(): void;
}

/** A line as a coach says it, or one of three that every gym has. */
export function FirstCombo({ gym, combos, onDone }: FirstComboProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const { data: view } = useQuery(queries.moves());
  const [typed, setTyped] = useState('');
  const save = useWrite<ComboView, SaveComboDto>(
    (combo) => putRequest(SUBJECTS.combo, `combos/${newId()}`, combo, { page: '/' }),
    {
      onSuccess: async () => {
        await client.invalidateQueries({ queryKey: ['combos'] });
        onDone();
      },
      onError: errors.showFailure,
    },
  );
  const book = useMemo(() => view && moveBook(view.items, view.numbers, view.sides), [view]);
  if (!book) return null;
  const read = readWords(typed, book, 'left');
  const line = parseLine(typed, book).ok ? typed : read.line;
  const words = line === null ? '' : lineInWords(line, book, 'left');
  const keep = (text: string): void => {
    const title = lineInWords(text, book, 'left').slice(0, LONGEST_TITLE);
    save.mutate({
      ...emptyCombo(combos, gym.grades),
      line: text,
      title: title.charAt(0).toUpperCase() + title.slice(1),
    });
  };
  return (
    <div className="grid gap-3">
      <TextField
        label="As you would say it"
        hint={line === null ? 'such as: jab, cross, lead hook to the body' : `read as ${line}: ${words}`}
        value={typed}
        error={errors.of('line') ?? (line === null && typed !== '' ? read.doubts[0]?.message : undefined)}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && line !== null && keep(line)}
      />
      <div className="flex flex-wrap gap-3">
        <Button
          weight="main"
          disabled={line === null || save.isPending}
          onClick={() => line !== null && keep(line)}
        >
          Keep it
        </Button>
        {EXAMPLES.map((example) => (
          <Button key={example} disabled={save.isPending} onClick={() => keep(example)}>
            {lineInWords(example, book, 'left')}
          </Button>
        ))}
      </div>
    </div>
  );
}
