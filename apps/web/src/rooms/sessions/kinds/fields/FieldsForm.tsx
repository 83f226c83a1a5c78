import type { AnyBlockDto } from '@eurhythm/contract';
import { ChoiceField, LongTextField, TextField, TickField } from '../../../../ui/Field.tsx';
import { MaybeNumberField, NumberField, WordsField } from '../../../../ui/TypedField.tsx';
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
        const value = read(field.name);
        switch (field.kind) {
          case 'text':
          case 'line':
            return (
              <TextField
                key={field.name}
                label={field.label}
                hint={field.hint}
                className={`col-span-3 ${field.kind === 'line' ? '[&_input]:font-line' : ''}`}
                value={String(value ?? '')}
                error={error}
                onChange={(e) => write(field.name, e.target.value)}
              />
            );
          case 'long':
            return (
              <LongTextField
                key={field.name}
                label={field.label}
                className="col-span-6"
                value={String(value ?? '')}
                error={error}
                onChange={(e) => write(field.name, e.target.value)}
              />
            );
          case 'number': {
            const Field = field.orNull ? MaybeNumberField : NumberField;
            return (
              <Field
                key={field.name}
                label={field.label}
                hint={field.hint}
                className="col-span-2"
                value={value as number}
                error={error}
                onChange={(next: number | null) => write(field.name, next)}
              />
            );
          }
          case 'choice':
            return (
              <ChoiceField
                key={field.name}
                label={field.label}
                className="col-span-2"
                value={String(value)}
                choices={field.choices}
                onChange={(value) => write(field.name, value)}
              />
            );
          case 'tick':
            return (
              <TickField
                key={field.name}
                label={field.label}
                className="col-span-3 self-end"
                checked={value === true}
                onChange={(checked) => write(field.name, checked)}
              />
            );
          case 'words':
            return (
              <WordsField
                key={field.name}
                label={field.label}
                hint={field.hint}
                className="col-span-3"
                words={(value ?? []) as string[]}
                error={error}
                onChange={(words) => write(field.name, words)}
              />
            );
          case 'groups':
            return (
              <GroupTable
                key={field.name}
                rows={(value ?? []) as GroupRow[]}
                what={field.what}
                reps={field.counted === true ? usualReps(values.reps) : null}
                path={`${path}.${field.name}`}
                errors={errors}
                onChange={(rows) => write(field.name, rows)}
              />
            );
          default:
            return field satisfies never;
        }
      })}
    </div>
  );
}

/** What a new group begins with: as many as everybody does. */
const usualReps = (reps: unknown): number => (typeof reps === 'number' ? reps : 10);
