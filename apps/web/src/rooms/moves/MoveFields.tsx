import { RiskFields } from './RiskFields.tsx';
import { Plus, X } from 'lucide-react';
import { MOVE_ROLES } from '@eurhythm/core/moves';
import {
  CAUTION_TAGS,
  FAMILIES,
  LEVELS,
  LIMB_KINDS,
  STANCES,
  SUPPORTS,
  type SaveMoveDto,
} from '@eurhythm/contract';
import type { FieldErrors } from '../../server/useFieldErrors.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { IconButton } from '../../ui/buttons/IconButton.tsx';
import { ChoiceField, LongTextField, TextField, TickField } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/TypedField.tsx';
import { FAMILY_NAMES } from '../../server/familyNames.ts';
import { useBookView, useGym } from '../../server/gymData.ts';

const plain = <T extends string>(values: readonly T[]) =>
  values.map((value) => ({ value, label: value.replaceAll('-', ' ') }));
const SIDES = [
  { value: 'front', label: 'always the front' },
  { value: 'rear', label: 'always the rear' },
  { value: 'free-front', label: 'either, usually front' },
  { value: 'free-rear', label: 'either, usually rear' },
  { value: 'over-front', label: 'a direction, usually over the front shoulder' },
  { value: 'over-rear', label: 'a direction, usually over the rear shoulder' },
  { value: 'both', label: 'both at once' },
  { value: 'none', label: 'no side' },
] as const;
const TURNS = [
  { value: '1', label: 'its side comes forward' },
  { value: '-1', label: 'its side goes back' },
  { value: '0', label: 'no turn' },
] as const;

const TURN_VALUES = { '1': 1, '-1': -1, '0': 0 } as const;

interface FieldsProps {
  readonly form: SaveMoveDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SaveMoveDto>): void;
}

const lines = (text: string): string[] => text.split('\n').filter((line) => line.trim() !== '');

/** Names, spoken forms, counted parts, faults, the easier move. */
export function MoveWordFields({ form, errors, onChange }: FieldsProps) {
  const book = useBookView();
  const changePart = (place: number, changes: Partial<SaveMoveDto['parts'][number]>): void =>
    onChange({ parts: form.parts.map((part, i) => (i === place ? { ...part, ...changes } : part)) });
  return (
    <div className="grid grid-cols-2 gap-3 pt-3">
      <TextField
        label="Name"
        value={form.name}
        error={errors.of('name')}
        onChange={(e) => onChange({ name: e.target.value })}
      />
      <ChoiceField
        label="Family"
        value={form.family}
        choices={FAMILIES.map((value) => ({ value, label: FAMILY_NAMES[value] }))}
        onChange={(value) => onChange({ family: value })}
      />
      <TextField
        label="Spoken, long"
        value={form.sayLong}
        error={errors.of('sayLong')}
        onChange={(e) => onChange({ sayLong: e.target.value })}
      />
      <TextField
        label="Spoken, short"
        value={form.sayShort}
        error={errors.of('sayShort')}
        onChange={(e) => onChange({ sayShort: e.target.value })}
      />
      <fieldset className="col-span-2">
        <legend className="mb-1 text-sm font-semibold text-quiet">Counted parts, a cue for each</legend>
        {form.parts.map((part, i) => (
          <div key={i} className="mb-2 grid grid-cols-[1.25rem_5.5rem_1fr_auto] items-start gap-2">
            <span className="pt-2 text-right font-heading text-lg font-bold">{i + 1}</span>
            <TextField
              label={`Part ${i + 1}`}
              className="[&>label]:sr-only"
              value={part.name}
              error={errors.of(`parts.${i}.name`)}
              onChange={(e) => changePart(i, { name: e.target.value })}
            />
            <TextField
              label={`Cue of part ${i + 1}`}
              className="[&>label]:sr-only"
              value={part.cue}
              error={errors.of(`parts.${i}.cue`)}
              onChange={(e) => changePart(i, { cue: e.target.value })}
            />
            <IconButton
              label={`Take part ${i + 1} out`}
              onClick={() => onChange({ parts: form.parts.toSpliced(i, 1) })}
            >
              <X size={18} />
            </IconButton>
          </div>
        ))}
        {errors.of('parts') !== undefined && (
          <p role="alert" className="text-sm font-semibold text-caution">
            {errors.of('parts')}
          </p>
        )}
        <Button onClick={() => onChange({ parts: [...form.parts, { name: '', cue: '' }] })}>
          <Plus size={16} aria-hidden /> Add a part
        </Button>
      </fieldset>
      <LongTextField
        label="Usual faults, one on a line"
        value={form.faults.join('\n')}
        error={errors.of('faults')}
        onChange={(e) =>
          onChange({ faults: lines(e.target.value + ' ').map((line) => line.replace(/ $/, '')) })
        }
      />
      <LongTextField
        label="Other words, one on a line"
        hint="any language; found when searching"
        value={form.aliases.join('\n')}
        error={errors.of('aliases')}
        onChange={(e) =>
          onChange({ aliases: lines(e.target.value + ' ').map((line) => line.replace(/ $/, '')) })
        }
      />
      <RiskFields risks={form.risks ?? []} errors={errors} onChange={(risks) => onChange({ risks })} />
      <ChoiceField
        label="Easier move"
        value={form.easier ?? ''}
        error={errors.of('easier')}
        choices={[
          { value: '', label: 'none' },
          ...book.items.map((move) => ({ value: move.code, label: move.name })),
        ]}
        onChange={(value) => onChange({ easier: value === '' ? null : value })}
      />
      <TextField
        label="The partner holds"
        value={form.target}
        error={errors.of('target')}
        onChange={(e) => onChange({ target: e.target.value })}
      />
    </div>
  );
}

/** Limb, side, times, turn, support, steps: what the walk and the clock reckon with. */
export function MoveBodyFields({ form, errors, onChange }: FieldsProps) {
  const { grades } = useGym();
  const numberField = (label: string, field: 'out' | 'back' | 'spin' | 'facing' | 'forward' | 'right') => (
    <NumberField
      label={label}
      value={form[field]}
      error={errors.of(field)}
      onChange={(value) => onChange({ [field]: value })}
    />
  );
  const adults = grades.filter((grade) => grade.band === 'adults');
  return (
    <div className="grid grid-cols-3 gap-3 pt-3">
      <ChoiceField
        label="Limb"
        value={form.limb}
        choices={plain(LIMB_KINDS)}
        onChange={(value) => onChange({ limb: value })}
      />
      <ChoiceField
        label="Side"
        className="col-span-2"
        value={form.side}
        choices={SIDES}
        onChange={(value) => onChange({ side: value })}
      />
      <ChoiceField
        label="Usual level"
        value={form.level ?? ''}
        choices={[{ value: '', label: 'none' }, ...plain(LEVELS)]}
        onChange={(value) => onChange({ level: value === '' ? null : value })}
      />
      <TextField
        label="What lands"
        className="col-span-2"
        value={form.surface}
        error={errors.of('surface')}
        onChange={(e) => onChange({ surface: e.target.value })}
      />
      <ChoiceField
        label="Lowest grade"
        value={form.minGrade ?? ''}
        error={errors.of('minGrade')}
        choices={[
          { value: '', label: 'any grade' },
          ...adults.map((grade) => ({ value: grade.id, label: grade.name })),
        ]}
        onChange={(gradeId) => onChange({ minGrade: gradeId === '' ? null : gradeId })}
      />
      <ChoiceField
        label="Part in the rules"
        hint="what the workbench looks for"
        value={form.role ?? ''}
        choices={[{ value: '', label: 'none' }, ...plain(MOVE_ROLES)]}
        onChange={(role) => onChange({ role: role === '' ? null : role })}
      />
      {numberField('Out, seconds', 'out')}
      {numberField('Back, seconds', 'back')}
      <ChoiceField
        label="Turn of the hips"
        className="col-span-2"
        value={`${form.turn}`}
        choices={TURNS}
        onChange={(value) => onChange({ turn: TURN_VALUES[value] })}
      />
      {numberField('Spin, degrees', 'spin')}
      <ChoiceField
        label="Stands on"
        value={form.support}
        choices={plain(SUPPORTS)}
        onChange={(value) => onChange({ support: value })}
      />
      <ChoiceField
        label="Lead afterwards"
        value={form.lead}
        choices={[
          { value: 'keeps', label: 'the same' },
          { value: 'flips', label: 'the other one' },
        ]}
        onChange={(value) => onChange({ lead: value })}
      />
      {numberField('Steps forward', 'forward')}
      {numberField('Steps right', 'right')}
      {numberField('Faces round, degrees', 'facing')}
      <ChoiceField
        label="Stance afterwards"
        value={form.stance ?? ''}
        choices={[{ value: '', label: 'as before' }, ...plain(STANCES)]}
        onChange={(value) => onChange({ stance: value === '' ? null : value })}
      />
      <fieldset className="col-span-3">
        <legend className="text-sm font-semibold text-quiet">Cautions</legend>
        <div className="grid grid-cols-3">
          {CAUTION_TAGS.map((tag) => (
            <TickField
              key={tag}
              label={tag.replaceAll('-', ' ')}
              checked={form.cautions.includes(tag)}
              onChange={(checked) =>
                onChange({
                  cautions: checked
                    ? [...form.cautions, tag]
                    : form.cautions.filter((other) => other !== tag),
                })
              }
            />
          ))}
        </div>
      </fieldset>
    </div>
  );
}
