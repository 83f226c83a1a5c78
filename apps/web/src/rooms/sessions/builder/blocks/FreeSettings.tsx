import type { FreeBlockDto } from '@eurhythm/contract';
import { LongTextField, TextField } from '../../../../ui/Field.tsx';
import { shownNumber, typedNumber, type SettingsProps } from './settings.ts';

/** Settings of shadowboxing. */
export function FreeSettings({ block, path, errors, onChange }: SettingsProps<FreeBlockDto>) {
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      <TextField
        label="Shortest wait, seconds"
        className="col-span-3"
        inputMode="numeric"
        value={shownNumber(block.every.min)}
        error={errors.of(`${path}.every.min`)}
        onChange={(e) => onChange({ ...block, every: { ...block.every, min: typedNumber(e.target.value) } })}
      />
      <TextField
        label="Longest wait, seconds"
        className="col-span-3"
        inputMode="numeric"
        value={shownNumber(block.every.max)}
        error={errors.of(`${path}.every.max`)}
        onChange={(e) => onChange({ ...block, every: { ...block.every, max: typedNumber(e.target.value) } })}
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
  );
}
