import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMemo } from 'react';
import { toast } from 'sonner';
import {
  useForm,
  type DefaultValues,
  type FieldError,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from 'react-hook-form';
import { Refused } from './api.ts';

export interface ContractForm<T extends FieldValues> extends UseFormReturn<T> {
  /** The sentence for a field, if there is one. */
  errorOf(field: Path<T>): string | undefined;
  /** Shows a failed save at its fields, or as a message when it is about none. */
  showFailure(error: Error): void;
}

/** A form over a class of the contract: its rules are checked before anything is sent, in the server's own sentences. */
export function useContractForm<T extends FieldValues>(
  shape: new () => T,
  defaultValues: DefaultValues<T>,
): ContractForm<T> {
  const resolver = useMemo(() => classValidatorResolver(shape), [shape]);
  const form = useForm<T>({ defaultValues, resolver, criteriaMode: 'all' });
  const { errors } = form.formState;
  return {
    ...form,
    errorOf: (field) => plainest(errors[field] as FieldError | undefined),
    showFailure: (error) => {
      const fieldErrors = error instanceof Refused ? error.errors : [];
      for (const { field, message } of fieldErrors) form.setError(field as Path<T>, { message });
      if (fieldErrors.length === 0) toast.error(error.message);
    },
  };
}

/** Rules are noted from the last to the first, so the last one is the plainest: what kind of thing is wanted at all. */
function plainest(error: FieldError | undefined): string | undefined {
  const all = Object.values(error?.types ?? {}).flat();
  const last = all.at(-1);
  return typeof last === 'string' ? last : error?.message;
}
