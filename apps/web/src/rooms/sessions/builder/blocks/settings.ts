import type { FieldErrors } from '../../../../app/useFieldErrors.ts';

/** What the settings of a block are given. */
export interface SettingsProps<B> {
  readonly block: B;
  readonly path: string;
  readonly errors: FieldErrors;
  onChange(block: B): void;
}

/** A number as it is typed: NaN while nothing is. */
export function typedNumber(text: string): number {
  return text.trim() === '' ? NaN : Number(text);
}

/** A number as it stands in its field: nothing for NaN, or for what a kept draft made of it. */
export function shownNumber(value: number | null): string {
  return value === null || Number.isNaN(value) ? '' : String(value);
}
