import type { AnyBlockDto } from '@eurhythm/contract';
import { ChoiceField, LongTextField, TextField, TickField } from '../../../../ui/fields/Field.tsx';
import {
  MaybeNumberField,
  NumberField,
  NumbersField,
  WordsField,
} from '../../../../ui/fields/TypedField.tsx';
import type { BlockField } from '../blockPage.ts';
import type { SettingsProps } from './settings.ts';
import { GroupTable, type GroupRow } from './GroupTable.tsx';

type FieldsFormProps = Omit<SettingsProps<AnyBlockDto>, 'groups'> & {
  readonly fields: readonly BlockField[];
};

type Values = Readonly<Record<string, unknown>>;

/** The settings of a block that is a plain list of fields. */
export function FieldsForm({ block, fields, path, errors, onChange }: FieldsFormProps) {
  const values = block as unknown as Values;
  const read = (name: string): unknown =>
    name.split('.').reduce<unknown>((at, key) => (at as Values | undefined)?.[key], values);
  const write = (name: string, value: unknown): void => {
    const [key = '', inner] = name.split('.');
    const next = inner === undefined ? value : { ...(values[key] as Values), [inner]: value };
    onChange({ ...block, [key]: next } as AnyBlockDto);
  };
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      {fields.map((field) => {
        const error = errors.of(`${path}.${field.name}`) ?? errors.under(`${path}.${field.name}`)[0]?.message;
        return (
          <FieldInput
            key={field.name}
            field={field}
            value={read(field.name)}
            error={error}
            usualReps={usualReps(values['reps'])}
            path={`${path}.${field.name}`}
            errors={errors}
            onChange={(value) => write(field.name, value)}
          />
        );
      })}
    </div>
  );
}

interface FieldInputProps extends Pick<FieldsFormProps, 'path' | 'errors'> {
  readonly field: BlockField;
  readonly value: unknown;
  readonly error: string | undefined;
  /** What a new group begins with, where repetitions are counted. */
  readonly usualReps: number;
  onChange(value: unknown): void;
}

function FieldInput({ field, value, error, usualReps, path, errors, onChange }: FieldInputProps) {
  switch (field.kind) {
    case 'text':
    case 'line':
      return (
        <TextField
          label={field.label}
          hint={field.hint}
          className={`col-span-3 ${field.kind === 'line' ? '[&_input]:font-line' : ''}`}
          value={String(value ?? '')}
          error={error}
          onChange={(e) => onChange(e.target.value)}
        />
      );
    case 'long':
      return (
        <LongTextField
          label={field.label}
          className="col-span-6"
          value={String(value ?? '')}
          error={error}
          onChange={(e) => onChange(e.target.value)}
        />
      );
    case 'number': {
      const Field = field.orNull ? MaybeNumberField : NumberField;
      return (
        <Field
          label={field.label}
          hint={field.hint}
          className="col-span-2"
          value={value as number}
          error={error}
          onChange={(next: number | null) => onChange(next)}
        />
      );
    }
    case 'choice':
      return (
        <ChoiceField
          label={field.label}
          className="col-span-2"
          value={String(value ?? field.choices[0]!.value)}
          choices={field.choices}
          onChange={(value) => onChange(value)}
        />
      );
    case 'tick':
      return (
        <TickField
          label={field.label}
          className="col-span-3 self-end"
          checked={value === true}
          onChange={(checked) => onChange(checked)}
        />
      );
    case 'words':
      return (
        <WordsField
          label={field.label}
          hint={field.hint}
          className="col-span-3"
          words={(value ?? []) as string[]}
          error={error}
          onChange={(words) => onChange(words)}
        />
      );
    case 'numbers':
      return (
        <NumbersField
          label={field.label}
          hint={field.hint}
          className="col-span-3"
          value={(value ?? []) as number[]}
          error={error}
          onChange={(numbers) => onChange([...numbers])}
        />
      );
    case 'groups':
      return (
        <GroupTable
          rows={(value ?? []) as GroupRow[]}
          what={field.what}
          reps={field.counted === true ? usualReps : null}
          path={path}
          errors={errors}
          onChange={(rows) => onChange(rows)}
        />
      );
    default:
      return field satisfies never;
  }
}

/** What a new group begins with: as many as everybody does. */
const usualReps = (reps: unknown): number => (typeof reps === 'number' ? reps : 10);
