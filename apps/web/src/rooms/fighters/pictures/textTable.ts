/** A picture as a table; the first of each row tells it from the others. */
export interface TextTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

const NEEDS_QUOTES = /[",\r\n]/;
/** What a spreadsheet would take for a formula is a text. */
const FORMULA = /^[=+@\t]/;

function cellOf(value: string | number): string {
  const text = typeof value === 'string' && FORMULA.test(value) ? `'${value}` : String(value);
  return NEEDS_QUOTES.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}

/** As a file that any program reads. */
export function csvOf({ columns, rows }: TextTable): string {
  return [columns, ...rows].map((row) => row.map(cellOf).join(',')).join('\r\n');
}
