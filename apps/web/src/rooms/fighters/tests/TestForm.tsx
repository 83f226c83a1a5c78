import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { SaveTestDto, checkFields, type TestView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useFieldErrors, type FieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../../sync/useVersionedWrite.tsx';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { MaybeNumberField, NumberField } from '../../../ui/fields/TypedField.tsx';
import { KIND_CHOICES, newTest, ofKind, unitOf } from './testKinds.ts';

const SIDE_CHOICES = [
  { value: 'side', label: 'each side of the body' },
  { value: 'lead', label: 'from each lead' },
  { value: 'none', label: 'once' },
] as const;

/** What is measured: its name, in what, which end is better, and whether it has sides. */
export function TestForm({ kept }: { kept: TestView | undefined }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const errors = useFieldErrors();
  const [id] = useState(() => kept?.id ?? newId());
  const [test, setTest] = useState<SaveTestDto>(() => kept ?? newTest());
  const [basedOn, setBasedOn] = useState(kept?.version);
  const set = (changes: Partial<SaveTestDto>): void => setTest({ ...test, ...changes });
  const { save, notice } = useVersionedWrite<TestView, SaveTestDto, TestView>({
    writing: (mine, version) =>
      putRequest(SUBJECTS.test, `tests/${id}`, mine, {
        ...(version === undefined ? {} : { basedOn: version }),
        page: `/fighters/tests/${kept ? id : 'new'}`,
      }),
    fields: {
      title: 'Name',
      unit: 'Unit',
      direction: 'Better',
      sides: 'Sides',
      seconds: 'Seconds',
      line: 'Line',
      worthwhile: 'Smallest change that matters',
    },
    onSaved: async (saved) => {
      setBasedOn(saved.version);
      errors.show([]);
      await client.invalidateQueries({ queryKey: ['tests'] });
      toast(`“${saved.title}” is saved.`);
      if (!kept) await navigate(`/fighters/tests/${saved.id}`);
    },
    onTheirs: (theirs) => {
      setTest(theirs);
      setBasedOn(theirs.version);
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const { title, kind, line, seconds, direction, unit = null, sides = null, worthwhile = null } = test;
    const asked = { kind, line, seconds, direction, sides, worthwhile };
    const mine = { ...asked, title: title.trim(), unit: unit?.trim() ?? null };
    const wrong = checkFields(SaveTestDto, mine);
    errors.show(wrong);
    if (wrong.length === 0) save(mine, basedOn);
  };
  return (
    <Part title={kept ? 'What is measured' : 'A new test'}>
      {notice}
      <div className="grid grid-cols-6 gap-3 pt-3">
        <TextField
          label="Name"
          hint="such as: Height of the round kick"
          className="col-span-6"
          value={test.title}
          error={errors.of('title')}
          onChange={(e) => set({ title: e.target.value })}
        />
        {/* The trials of a test are of its kind. */}
        {!kept && (
          <ChoiceField
            label="What it is"
            className="col-span-6"
            value={test.kind}
            choices={KIND_CHOICES}
            onChange={(kind) => setTest(ofKind(test, kind))}
          />
        )}
        <OfItsKind test={test} errors={errors} onChange={set} />
        <ChoiceField
          label="Better is"
          className="col-span-2"
          value={test.direction}
          choices={[
            { value: 'higher', label: 'more' },
            { value: 'lower', label: 'less' },
          ]}
          onChange={(direction) => set({ direction })}
        />
        <MaybeNumberField
          label={`Smallest change that matters${unitOf(test) === '' ? '' : `, ${unitOf(test)}`}`}
          hint={test.kind === 'burst' ? 'empty: half a strike in 10 s' : 'empty: 2 %'}
          className="col-span-4"
          value={test.worthwhile ?? null}
          error={errors.of('worthwhile')}
          onChange={(worthwhile) => set({ worthwhile })}
        />
      </div>
      <Button weight="main" className="mt-4" onClick={trySave}>
        Save test
      </Button>
    </Part>
  );
}

interface OfItsKindProps {
  readonly test: SaveTestDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SaveTestDto>): void;
}

/** What only tests of this kind have. */
function OfItsKind({ test, errors, onChange }: OfItsKindProps) {
  return (
    <>
      {test.kind === 'measure' && (
        <>
          <TextField
            label="Unit"
            hint="cm, s, m, kg, times"
            className="col-span-2"
            value={test.unit ?? ''}
            error={errors.of('unit')}
            onChange={(e) => onChange({ unit: e.target.value })}
          />
          <ChoiceField
            label="Measured"
            className="col-span-2"
            value={test.sides ?? 'lead'}
            choices={SIDE_CHOICES}
            onChange={(sides) => onChange({ sides })}
          />
        </>
      )}
      {test.kind === 'burst' && (
        <NumberField
          label="Seconds"
          className="col-span-2"
          value={test.seconds}
          error={errors.of('seconds')}
          onChange={(seconds) => onChange({ seconds })}
        />
      )}
      {test.kind === 'combo-time' && (
        <TextField
          label="Line"
          className="col-span-2 [&_input]:font-line"
          value={test.line ?? ''}
          error={errors.of('line')}
          onChange={(e) => onChange({ line: e.target.value })}
        />
      )}
    </>
  );
}
