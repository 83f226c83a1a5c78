import type { FieldErrors } from '../../../../app/useFieldErrors.ts';

/** What the settings of a block are given. */
export interface SettingsProps<B> {
  readonly block: B;
  readonly path: string;
  readonly errors: FieldErrors;
  onChange(block: B): void;
}
