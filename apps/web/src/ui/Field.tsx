import {
  useId,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react';

const BOX =
  'min-h-11 w-full rounded-md border bg-paper px-3 py-1.5 text-ink aria-invalid:border-caution aria-invalid:border-2 border-quiet/60';

export interface Labelled {
  readonly label: string;
  /** What is wrong, told at the field. */
  readonly error?: string | undefined;
  readonly hint?: string | undefined;
  readonly className?: string;
}

function Frame({
  label,
  error,
  hint,
  className = '',
  id,
  children,
}: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold text-quiet">
        {label}
      </label>
      {children}
      {error !== undefined ? (
        <p id={`${id}-told`} role="alert" className="mt-1 text-sm font-semibold text-caution">
          {error}
        </p>
      ) : (
        hint !== undefined && (
          <p id={`${id}-told`} className="mt-1 text-sm text-quiet">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

function described(id: string, { error, hint }: Labelled) {
  return {
    id,
    'aria-invalid': error !== undefined,
    'aria-describedby': (error ?? hint) ? `${id}-told` : undefined,
  };
}

export function TextField({
  label,
  error,
  hint,
  className,
  ...rest
}: Labelled & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame {...{ label, error, hint, className, id }}>
      <input className={BOX} {...described(id, { label, error, hint })} {...rest} />
    </Frame>
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
    <Frame {...{ label, error, hint, className, id }}>
      <textarea className={`${BOX} min-h-24`} {...described(id, { label, error, hint })} {...rest} />
    </Frame>
  );
}

export function ChoiceField<T extends string>({
  label,
  error,
  hint,
  className,
  choices,
  ...rest
}: Labelled & SelectHTMLAttributes<HTMLSelectElement> & { choices: readonly { value: T; label: string }[] }) {
  const id = useId();
  return (
    <Frame {...{ label, error, hint, className, id }}>
      <select className={BOX} {...described(id, { label, error, hint })} {...rest}>
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </select>
    </Frame>
  );
}

export function TickField({
  label,
  className = '',
  ...rest
}: { label: string } & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className={`inline-flex min-h-11 items-center gap-2 ${className}`}>
      <input type="checkbox" className="size-5 accent-rear" {...rest} />
      {label}
    </label>
  );
}
