import type { FieldErrors } from '../../../../server/useFieldErrors.ts';

/** What the settings of a block are given. */
export interface SettingsProps<B> {
  readonly block: B;
  readonly path: string;
  readonly errors: FieldErrors;
  /** Names of the groups of the class. */
  readonly groups: readonly string[];
  onChange(block: B): void;
}
