import type { FreeBlockDto } from '@eurhythm/contract';
import { LongTextField } from '../../../../ui/fields/Field.tsx';
import { NumberField } from '../../../../ui/fields/TypedField.tsx';
import { STEADY_PLAN_CHOICES } from '../../choices.ts';
import { LeadPlan } from './LeadPlan.tsx';
import type { SettingsProps } from './settings.ts';

/** Settings of shadowboxing. */
export function FreeSettings({ block, path, errors, onChange }: SettingsProps<FreeBlockDto>) {
  return (
    <>
      <LeadPlan
        value={block.leadPlan}
        choices={STEADY_PLAN_CHOICES}
        onChange={(leadPlan) => onChange({ ...block, leadPlan })}
      />
      <div className="grid grid-cols-6 gap-3 pt-3">
        <NumberField
          label="Shortest wait, seconds"
          className="col-span-3"
          value={block.every.min}
          error={errors.of(`${path}.every.min`)}
          onChange={(min) => onChange({ ...block, every: { ...block.every, min } })}
        />
        <NumberField
          label="Longest wait, seconds"
          className="col-span-3"
          value={block.every.max}
          error={errors.of(`${path}.every.max`)}
          onChange={(max) => onChange({ ...block, every: { ...block.every, max } })}
        />
        <LongTextField
          label="Prompts, one on a line"
          className="col-span-6"
          rows={6}
          value={block.prompts.join('\n')}
          error={errors.of(`${path}.prompts`)}
          hint="Called at random waits, never the same one twice in a row."
          onChange={(e) => onChange({ ...block, prompts: e.target.value.split('\n') })}
          onBlur={() =>
            onChange({
              ...block,
              prompts: block.prompts.map((prompt) => prompt.trim()).filter((prompt) => prompt !== ''),
            })
          }
        />
      </div>
    </>
  );
}
