import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FieldError } from '@eurhythm/contract';
import { Refused } from './api.ts';

/** Sentences about fields, from our own check or from the server. */
export interface FieldErrors {
  /** The sentence for a field, if there is one. */
  of(field: string): string | undefined;
  /** Sentences under a path, as "rounds.2", except those of `but`. */
  under(path: string, but?: readonly string[]): readonly FieldError[];
  show(errors: readonly FieldError[]): void;
  /** Shows a failed save at its fields, or as a message when it is about none. */
  showFailure(error: Error): void;
  readonly all: readonly FieldError[];
}

/** Errors of the fields of one form. When some are shown, the cursor goes to the first field that has one. */
export function useFieldErrors(): FieldErrors {
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  useEffect(() => {
    if (errors.length > 0) firstWrongField()?.focus();
  }, [errors]);
  return useMemo(
    () => ({
      all: errors,
      of: (field) => errors.find((error) => error.field === field)?.message,
      under: (path, but = []) =>
        errors.filter(({ field }) => field.startsWith(`${path}.`) && !but.includes(field)),
      show: setErrors,
      showFailure: (error) => {
        const byField =
          error instanceof Refused ? error.errors.filter((each) => typeof each.field === 'string') : [];
        setErrors(byField);
        if (byField.length === 0) toast.error(error.message);
      },
    }),
    [errors],
  );
}

/** On the sheet that lies over the page, where there is one. */
function firstWrongField(): HTMLElement | null {
  const wrong = '[aria-invalid="true"]';
  return (
    document.querySelector<HTMLElement>(`[role="dialog"] ${wrong}`) ??
    document.querySelector<HTMLElement>(wrong)
  );
}
