import { Plus, X } from 'lucide-react';
import type { ReactBlockDto } from '@eurhythm/contract';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { TextField } from '../../../../ui/fields/Field.tsx';
import { NumberField } from '../../../../ui/fields/TypedField.tsx';
import type { SettingsProps } from './settings.ts';

type Reaction = NonNullable<ReactBlockDto['more']>[number];

/** Settings of reactions: calls with their answers, and the waits between them. */
export function ReactSettings({ block, path, errors, onChange }: SettingsProps<ReactBlockDto>) {
  const more = block.more ?? [];
  const all = [{ call: block.call, line: block.line }, ...more];
  const pathOf = (i: number): string => (i === 0 ? path : `${path}.more.${i - 1}`);
  const change = (i: number, to: Reaction): void =>
    onChange(i === 0 ? { ...block, ...to } : { ...block, more: more.with(i - 1, to) });
  const numbers = [
    ['Shortest wait, s', 'every.min', block.every.min, (min: number) => ({ every: { ...block.every, min } })],
    ['Longest wait, s', 'every.max', block.every.max, (max: number) => ({ every: { ...block.every, max } })],
    ['Regular at first, s', 'regular', block.regular, (regular: number) => ({ regular })],
  ] as const;
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      {all.map((each, i) => (
        <div key={i} className="col-span-6 flex items-start gap-3">
          <TextField
            label={i === 0 ? 'Call' : `Call ${i + 1}`}
            hint={i === 0 ? 'empty: the holder’s own sign' : undefined}
            className="flex-1"
            value={each.call}
            error={errors.of(`${pathOf(i)}.call`)}
            onChange={(e) => change(i, { ...each, call: e.target.value })}
          />
          <TextField
            label={i === 0 ? 'Answer' : `Answer ${i + 1}`}
            className="flex-1 [&_input]:font-line"
            value={each.line}
            error={errors.of(`${pathOf(i)}.line`)}
            onChange={(e) => change(i, { ...each, line: e.target.value })}
          />
          {i > 0 && (
            <IconButton
              label={`Take call ${i + 1} out`}
              className="mt-6"
              onClick={() => onChange({ ...block, more: more.toSpliced(i - 1, 1) })}
            >
              <X size={18} aria-hidden />
            </IconButton>
          )}
        </div>
      ))}
      <Button
        weight="bare"
        className="col-span-6 justify-self-start px-0!"
        onClick={() => onChange({ ...block, more: [...more, { call: '', line: block.line }] })}
      >
        <Plus size={16} aria-hidden /> Another call
      </Button>
      {numbers.map(([label, name, value, to]) => (
        <NumberField
          key={name}
          label={label}
          className="col-span-2"
          value={value}
          error={errors.of(`${path}.${name}`)}
          onChange={(next) => onChange({ ...block, ...to(next) })}
        />
      ))}
      <p className="col-span-6 text-sm text-quiet">
        The wait counts from the end of the answer to the next call.
      </p>
    </div>
  );
}
