import { howMany } from '@eurhythm/core/units';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  SaveNumbersDto,
  checkFields,
  type NumberedMoveDto,
  type NumbersAnswer,
  type TouchedLine,
} from '@eurhythm/contract';
import { send } from '../../server/api.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { IconButton } from '../../ui/buttons/IconButton.tsx';
import { ChoiceField } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/TypedField.tsx';
import { Part } from '../../ui/panels/Panel.tsx';
import { useBookView } from '../../server/gymData.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

interface BookNumbers {
  readonly numbers: readonly NumberedMoveDto[];
  readonly version: number;
}

/** The gym's numbers. A change that would give lines another meaning shows them, and asks whether to write them anew. */
export function NumberMap() {
  const book = useBookView();
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [entries, setEntries] = useState<NumberedMoveDto[]>(() =>
    book.numbers.map((entry) => ({ ...entry })),
  );
  const [touched, setTouched] = useState<readonly TouchedLine[] | null>(null);
  const change = (place: number, changes: Partial<NumberedMoveDto>): void => {
    setEntries(entries.map((entry, i) => (i === place ? { ...entry, ...changes } : entry)));
    setTouched(null);
  };
  const [basedOn, setBasedOn] = useState(book.numbersVersion);
  const { save, notice } = useVersionedWrite<NumbersAnswer, SaveNumbersDto, BookNumbers>({
    writing: (mine, based) =>
      putRequest(SUBJECTS.numbers, 'numbers', mine, { basedOn: based, page: '/moves/numbers' }),
    fields: { numbers: 'Numbers' },
    tell: (entry) => {
      const { number, code, side } = entry as NumberedMoveDto;
      return [number, side, code].filter((part) => part !== null).join(' ');
    },
    onSaved: async (after) => {
      client.setQueryData(['moves'], after);
      setBasedOn(after.numbersVersion);
      setTouched(null);
      for (const queryKey of [['combos'], ['sessions'], ['library'], ['techniques'], ['tests']])
        await client.invalidateQueries({ queryKey });
      toast('The number map is saved.');
    },
    onTheirs: async (now) => {
      setEntries(now.numbers.map((entry) => ({ ...entry })));
      setBasedOn(now.version);
      setTouched(null);
      await client.invalidateQueries({ queryKey: ['moves'] });
    },
    onError: errors.showFailure,
  });
  const saveWith = (rewrite: boolean): void => save({ numbers: entries, rewrite }, basedOn);
  const preview = useMutation({
    mutationFn: () =>
      send<{ touched: TouchedLine[] }>('POST', 'numbers/preview', { numbers: entries, rewrite: false }),
    onSuccess: (answer) => {
      errors.show([]);
      if (answer.touched.length === 0) saveWith(false);
      else setTouched(answer.touched);
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SaveNumbersDto, { numbers: entries, rewrite: false });
    errors.show(wrong);
    if (wrong.length === 0) preview.mutate();
  };
  const fault = (i: number): string | undefined =>
    errors.of(`numbers.${i}.number`) ?? errors.of(`numbers.${i}.code`) ?? errors.of(`numbers.${i}.side`);
  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <Heading className="mb-4 text-3xl">Numbers</Heading>
      {notice}
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
        <Part title="What each number calls" aside="a gym may number as it likes, or not at all">
          <ol className="pt-3">
            {entries.map((entry, i) => (
              <NumberRow
                key={i}
                entry={entry}
                fault={fault(i)}
                onChange={(changes) => change(i, changes)}
                onOut={() => {
                  setEntries(entries.toSpliced(i, 1));
                  setTouched(null);
                }}
              />
            ))}
          </ol>
          <div className="flex gap-3">
            <Button
              onClick={() =>
                setEntries([
                  ...entries,
                  { number: freeNumber(entries), code: book.items[0]?.code ?? '', side: null },
                ])
              }
            >
              <Plus size={16} aria-hidden /> Add a number
            </Button>
            <Button weight="main" onClick={trySave} disabled={preview.isPending}>
              Save
            </Button>
          </div>
        </Part>
        {touched && <TouchedLines touched={touched} onSave={saveWith} />}
      </div>
    </div>
  );
}

interface NumberRowProps {
  readonly entry: NumberedMoveDto;
  readonly fault: string | undefined;
  onChange(changes: Partial<NumberedMoveDto>): void;
  onOut(): void;
}

function NumberRow({ entry, fault, onChange, onOut }: NumberRowProps) {
  const book = useBookView();
  const move = book.items.find(({ code }) => code === entry.code);
  return (
    <li className="mb-2 grid grid-cols-[minmax(0,5rem)_minmax(0,1fr)_minmax(0,8rem)_auto] items-start gap-2">
      <NumberField
        label="Number"
        className="[&>label]:sr-only"
        inputMode="numeric"
        value={entry.number}
        error={fault}
        onChange={(number) => onChange({ number })}
      />
      <ChoiceField
        label="Move"
        className="[&>label]:sr-only"
        value={entry.code}
        choices={book.items
          .filter((each) => !each.retired || each.code === entry.code)
          .map((each) => ({ value: each.code, label: each.name }))}
        onChange={(value) => onChange({ code: value, side: null })}
      />
      <ChoiceField
        label="Side"
        className="[&>label]:sr-only"
        value={entry.side ?? ''}
        disabled={move?.side.kind !== 'free'}
        choices={[
          { value: '', label: 'as the move' },
          { value: 'front', label: 'front' },
          { value: 'rear', label: 'rear' },
        ]}
        onChange={(value) => onChange({ side: value === '' ? null : value })}
      />
      <IconButton label={`Take number ${entry.number} out`} onClick={onOut}>
        <X size={18} />
      </IconButton>
    </li>
  );
}

function freeNumber(entries: readonly NumberedMoveDto[]): number {
  const taken = new Set(entries.map((entry) => entry.number));
  let number = 1;
  while (taken.has(number)) number += 1;
  return number;
}

/** The lines that a change of the numbers touches, before and after, and the question what becomes of them. */
function TouchedLines({
  touched,
  onSave,
}: {
  touched: readonly TouchedLine[];
  onSave: (rewrite: boolean) => void;
}) {
  return (
    <Part title={`${howMany(touched.length, 'line uses', 'lines use')} a changed number`}>
      <ul aria-label="Lines that change">
        {touched.map((each) => (
          <li key={`${each.name}${each.line}`} className="border-b border-rule py-2">
            <strong>{each.name}</strong>
            <code className="block font-line text-quiet">{each.line}</code>
            <code className="block font-line">{each.rewritten}</code>
          </li>
        ))}
      </ul>
      <p className="py-3">
        Write them anew, so that the body does the same as before? Or leave the text, so that the numbers mean
        the new moves?
      </p>
      <div className="flex gap-3">
        <Button weight="main" onClick={() => onSave(true)}>
          Write them anew
        </Button>
        <Button onClick={() => onSave(false)}>Leave the text</Button>
      </div>
    </Part>
  );
}
