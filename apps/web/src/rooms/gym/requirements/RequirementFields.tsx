import { X } from 'lucide-react';
import { comboName } from '@eurhythm/core/plan';
import type { ComboView, RequirementDto, TestView } from '@eurhythm/contract';
import { ChoiceField, TextField, TickField } from '../../../ui/fields/Field.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { MaybeNumberField, NumberField } from '../../../ui/fields/TypedField.tsx';
import { KIND_WORDS } from './newRequirement.ts';

interface RequirementFieldsProps {
  readonly value: RequirementDto;
  readonly combos: readonly ComboView[];
  readonly tests: readonly TestView[];
  errorOf(field: keyof RequirementDto): string | undefined;
  onChange(value: RequirementDto): void;
  onTakeOut(): void;
}

/** One thing that a grade asks for, to be filled in. */
export function RequirementFields({
  value,
  combos,
  tests,
  errorOf,
  onChange,
  onTakeOut,
}: RequirementFieldsProps) {
  const set = (changes: Partial<RequirementDto>): void => onChange({ ...value, ...changes });
  const number = (field: 'times' | 'count' | 'weeks' | 'value', label: string) => (
    <NumberField
      label={label}
      className="w-36"
      value={value[field] ?? NaN}
      error={errorOf(field)}
      onChange={(typed) => set({ [field]: typed })}
    />
  );
  const bothLeads = (
    <TickField
      label="From each lead"
      checked={value.bothLeads ?? false}
      onChange={(isBoth) => set({ bothLeads: isBoth })}
    />
  );
  return (
    <div className="flex flex-wrap items-end gap-3">
      <span className="w-full font-semibold first-letter:uppercase">{KIND_WORDS[value.kind]}</span>
      {value.kind === 'combo' && (
        <>
          <ChoiceField
            label="Combo"
            className="w-60"
            value={value.comboId ?? ''}
            error={errorOf('comboId')}
            choices={combos.map((combo) => ({
              value: combo.id,
              label: `${comboName(combo)} · ${combo.title}`,
            }))}
            onChange={(comboId) => set({ comboId })}
          />
          {number('times', 'How often')}
          <MaybeNumberField
            label="At least, a minute"
            className="w-36"
            hint="empty: any tempo"
            value={value.bpm ?? null}
            error={errorOf('bpm')}
            onChange={(bpm) => set({ bpm })}
          />
          {bothLeads}
        </>
      )}
      {value.kind === 'test' && (
        <>
          <ChoiceField
            label="Test"
            className="w-60"
            value={value.testId ?? ''}
            error={errorOf('testId')}
            choices={tests.map(({ id, title }) => ({ value: id, label: title }))}
            onChange={(testId) => set({ testId })}
          />
          {number('value', 'Value or better')}
          {number('times', 'How often')}
          {bothLeads}
        </>
      )}
      {(value.kind === 'rounds' || value.kind === 'sessions') && (
        <>
          {number('count', 'How many')}
          {number('weeks', 'In the last weeks')}
        </>
      )}
      {value.kind === 'shown' && (
        <TextField
          label="In the gym’s own words"
          className="min-w-72 flex-1"
          value={value.text ?? ''}
          error={errorOf('text')}
          onChange={(e) => set({ text: e.target.value })}
        />
      )}
      {value.kind === 'time' && number('weeks', 'Weeks')}
      <IconButton label={`Take out: ${KIND_WORDS[value.kind]}`} onClick={onTakeOut}>
        <X size={18} />
      </IconButton>
    </div>
  );
}
