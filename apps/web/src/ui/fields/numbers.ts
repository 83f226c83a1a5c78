const NUMBER = /^[-+]?(?:\d+[.,]?\d*|[.,]\d+)$/;

/** A number as people type it, with a point or a comma; NaN while it is none. */
export function typedNumber(text: string): number {
  const trimmed = text.trim();
  return NUMBER.test(trimmed) ? Number(trimmed.replace(',', '.')) : NaN;
}

/** A number as it stands in its field: nothing for NaN, or for what a kept draft made of it. */
export function shownNumber(value: number | null): string {
  return value === null || Number.isNaN(value) ? '' : String(value);
}
