import { ToggleGroup } from 'radix-ui';
import { drawnOnChange } from '../panels/drawnOnChange.tsx';
import type { Choice } from '../fields/Field.tsx';

interface TogglesProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly Choice<T>[];
  readonly className?: string;
  onChange(value: T): void;
}

/** A few choices side by side, one of which is on. */
export function Toggles<T extends string>(props: TogglesProps<T>) {
  return <ToggleRow {...(props as unknown as TogglesProps<string>)} />;
}

const ToggleRow = drawnOnChange(function ToggleRow({
  label,
  value,
  choices,
  className = '',
  onChange,
}: TogglesProps<string>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      className={`flex flex-wrap gap-1 ${className}`}
      onValueChange={(text) => {
        const chosen = choices.find((choice) => choice.value === text);
        if (chosen) onChange(chosen.value);
      }}
    >
      {choices.map((choice) => (
        <ToggleGroup.Item
          key={choice.value}
          value={choice.value}
          className="min-h-11 rounded-md px-3 font-semibold hover:bg-hint data-[state=on]:bg-tape data-[state=on]:text-on-tape"
        >
          {choice.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
});
