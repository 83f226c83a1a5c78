import { Check, ChevronDown } from 'lucide-react';
import { drawnOnChange } from '../panels/drawnOnChange.tsx';
import { Checkbox, Select } from 'radix-ui';
import { useId, useState, type ComponentProps, type ReactNode, type TextareaHTMLAttributes } from 'react';

const BOX =
  'min-h-11 w-full rounded-md border bg-paper px-3 py-1.5 text-ink aria-invalid:border-caution aria-invalid:border-2 border-quiet/60';

export interface Labelled {
  readonly label: string;
  /** What is wrong, reported at the field. */
  readonly error?: string | undefined;
  readonly hint?: string | undefined;
  readonly className?: string;
  /** For fields of a table, whose heads say what they are. */
  readonly isLabelHidden?: boolean | undefined;
}

/** A label, a field and what is said about it. */
export function FieldFrame({
  label,
  error,
  hint,
  className = '',
  isLabelHidden = false,
  id,
  children,
}: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className={className}>
      <label
        htmlFor={id}
        className={isLabelHidden ? 'sr-only' : 'mb-1 block text-sm font-semibold text-quiet'}
      >
        {label}
      </label>
      {children}
      {error !== undefined ? (
        <p id={`${id}-note`} role="alert" className="mt-1 text-sm font-semibold text-caution">
          {error}
        </p>
      ) : (
        hint !== undefined && (
          <p id={`${id}-note`} className="mt-1 text-sm text-quiet">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

export function described(id: string, { error, hint }: Omit<Labelled, 'label'>) {
  return {
    id,
    'aria-invalid': error !== undefined,
    'aria-describedby': (error ?? hint) ? `${id}-note` : undefined,
  };
}

export function TextField({
  label,
  error,
  hint,
  className,
  isLabelHidden,
  ...rest
}: Labelled & ComponentProps<'input'>) {
  const id = useId();
  return (
    <FieldFrame {...{ label, error, hint, className, isLabelHidden, id }}>
      <input className={BOX} {...described(id, { error, hint })} {...rest} />
    </FieldFrame>
  );
}

export function LongTextField({
  label,
  error,
  hint,
  className,
  ...rest
}: Labelled & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId();
  return (
    <FieldFrame {...{ label, error, hint, className, id }}>
      <textarea className={`${BOX} min-h-24`} {...described(id, { error, hint })} {...rest} />
    </FieldFrame>
  );
}

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

interface ChoiceFieldProps<T extends string> extends Labelled {
  readonly value: T;
  readonly choices: readonly Choice<T>[];
  readonly disabled?: boolean;
  onChange(value: T): void;
}

/** The list keeps its values behind a sign, since nothing may stand for "none" in it. */
const SIGN = 'is ';

/** One of some choices. They are drawn while they may be asked for: a page has many of these fields, and lists are long. */
export function ChoiceField<T extends string>(props: ChoiceFieldProps<T>) {
  return <ChoiceBox {...(props as unknown as ChoiceFieldProps<string>)} />;
}

const ChoiceBox = drawnOnChange(function ChoiceBox({
  label,
  error,
  hint,
  className,
  isLabelHidden,
  value,
  choices,
  disabled = false,
  onChange,
}: ChoiceFieldProps<string>) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const [hasFocus, setFocus] = useState(false);
  const shown = choices.find((choice) => choice.value === value)?.label ?? '';
  return (
    <FieldFrame {...{ label, error, hint, className, isLabelHidden, id }}>
      <Select.Root
        value={`${SIGN}${value}`}
        disabled={disabled}
        open={isOpen}
        onOpenChange={setOpen}
        onValueChange={(text) => {
          const chosen = choices.find((choice) => `${SIGN}${choice.value}` === text);
          if (chosen) onChange(chosen.value);
        }}
      >
        <Select.Trigger
          className={`${BOX} flex items-center justify-between gap-2 text-left disabled:opacity-45`}
          {...described(id, { error, hint })}
          onFocus={() => setFocus(true)}
          onBlur={() => setFocus(false)}
        >
          <span className="min-w-0 truncate">
            <Select.Value>{shown}</Select.Value>
          </span>
          <Select.Icon>
            <ChevronDown size={16} aria-hidden />
          </Select.Icon>
        </Select.Trigger>
        {(isOpen || hasFocus) && (
          <Select.Portal>
            {/* While the choices are open, nothing else on the page can be reached: this tells so. */}
            <div role="dialog" aria-modal aria-label={label} hidden={!isOpen} className="fixed inset-0 z-60">
              <Select.Content
                position="popper"
                sideOffset={4}
                className="max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) overflow-hidden rounded-md border-2 border-ink bg-paper text-ink"
              >
                <Select.Viewport className="p-1">
                  {choices.map((choice) => (
                    <Select.Item
                      key={choice.value}
                      value={`${SIGN}${choice.value}`}
                      className="flex min-h-11 cursor-pointer items-center gap-2 rounded px-2 outline-none data-highlighted:bg-tape data-highlighted:text-on-tape data-[state=checked]:font-semibold"
                    >
                      <Select.ItemText>{choice.label}</Select.ItemText>
                    </Select.Item>
                  ))}
                </Select.Viewport>
              </Select.Content>
            </div>
          </Select.Portal>
        )}
      </Select.Root>
    </FieldFrame>
  );
});

interface TickFieldProps {
  readonly label: string;
  readonly className?: string;
  readonly checked: boolean;
  readonly disabled?: boolean;
  onChange(checked: boolean): void;
}

/** A box to tick. */
export const TickField = drawnOnChange(function TickField({
  label,
  className = '',
  ...rest
}: TickFieldProps) {
  const id = useId();
  return (
    <span className={`inline-flex min-h-11 items-center gap-2 ${className}`}>
      <TickBox id={id} {...rest} />
      <label htmlFor={id}>{label}</label>
    </span>
  );
});

/** The box alone, for a place that has a label of its own. */
export function TickBox({
  checked,
  onChange,
  ...rest
}: Omit<TickFieldProps, 'label' | 'className'> & { id?: string; 'aria-label'?: string }) {
  return (
    <Checkbox.Root
      checked={checked}
      onCheckedChange={(now) => onChange(now === true)}
      className="finger flex size-5 shrink-0 items-center justify-center rounded border-2 border-quiet bg-paper disabled:opacity-45 data-[state=checked]:border-rear data-[state=checked]:bg-rear"
      {...rest}
    >
      <Checkbox.Indicator>
        <Check size={16} strokeWidth={3} className="text-canvas" aria-hidden />
      </Checkbox.Indicator>
    </Checkbox.Root>
  );
}
