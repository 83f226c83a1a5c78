import type { AnyShapeDto, ComboBlockDto } from '@eurhythm/contract';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';
import { NumberField, NumbersField } from '../../../../ui/fields/TypedField.tsx';
import { GAP_CHOICES, ORDER_CHOICES, SHAPE_CHOICES } from '../../choices.ts';
import type { SettingsProps } from './settings.ts';

/** The field of a shape: its name in the block, its label, and the value it begins with at a tempo. */
const SHAPE_FIELDS = {
  constant: [],
  ramp: [['to', 'Up or down to', (bpm: number) => bpm + 20]],
  steps: [
    ['by', 'Step', () => 4],
    ['every', 'After times through', () => 4],
  ],
  'build-up': [['fast', 'Fast at', (bpm: number) => bpm + 16]],
  broken: [['pause', 'Pause, beats', () => 4]],
} as const satisfies Readonly<
  Record<AnyShapeDto['kind'], readonly (readonly [string, string, (bpm: number) => number])[]>
>;

function newShape(kind: AnyShapeDto['kind'], bpm: number): AnyShapeDto {
  const fields = SHAPE_FIELDS[kind].map(([name, , start]) => [name, start(bpm || 80)]);
  return { kind, ...Object.fromEntries(fields) } as AnyShapeDto;
}

/** What becomes of the tempo, what lies between two times through, the order of the combos, and the contact. */
export function TempoFields({ block, path, errors, onChange }: Omit<SettingsProps<ComboBlockDto>, 'groups'>) {
  const tempo: AnyShapeDto = block.tempo ?? { kind: 'constant' };
  const gaps = block.gaps ?? { kind: 'steady' as const };
  const values = tempo as unknown as Readonly<Record<string, number>>;
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      <ChoiceField
        label="Tempo"
        className="col-span-2"
        value={tempo.kind}
        choices={SHAPE_CHOICES}
        onChange={(value) => onChange({ ...block, tempo: newShape(value, block.bpm) })}
      />
      {SHAPE_FIELDS[tempo.kind].map(([name, label]) => (
        <NumberField
          key={name}
          label={label}
          className="col-span-2"
          value={values[name] ?? NaN}
          error={errors.of(`${path}.tempo.${name}`)}
          onChange={(value) => onChange({ ...block, tempo: { ...tempo, [name]: value } as AnyShapeDto })}
        />
      ))}
      <ChoiceField
        label="Between"
        className="col-span-2"
        value={gaps.kind}
        choices={GAP_CHOICES}
        onChange={(value) =>
          onChange({
            ...block,
            gaps: value === 'random' ? { kind: 'random', min: 1, max: 4 } : { kind: 'steady' },
          })
        }
      />
      {gaps.kind === 'random' &&
        (['min', 'max'] as const).map((name) => (
          <NumberField
            key={name}
            label={name === 'min' ? 'At least, seconds' : 'At most, seconds'}
            className="col-span-2"
            value={gaps[name]}
            error={errors.of(`${path}.gaps.${name}`)}
            onChange={(value) => onChange({ ...block, gaps: { ...gaps, [name]: value } })}
          />
        ))}
      <ChoiceField
        label="Order"
        className="col-span-2"
        value={block.order ?? 'in-order'}
        choices={ORDER_CHOICES}
        onChange={(value) => onChange({ ...block, order: value })}
      />
      <NumbersField
        label="Contact, percent"
        className="col-span-2"
        value={block.intensity ?? []}
        error={errors.of(`${path}.intensity`)}
        onChange={(steps) => onChange({ ...block, intensity: [...steps] })}
      />
    </div>
  );
}
