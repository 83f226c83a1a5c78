import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { isKeepableText } from '../../http/keepable.ts';
import type { CsvLine } from './csvTable.ts';

/** What a table program would take for a formula. */
const FORMULA = /^[=+\-@\t\r]/;
/** Written before it, so that it is text there; taken off again when it is read. */
const TEXT_SIGN = "'";
/** Numbers are no formulas, with a sign before them either. */
const NUMBER = /^[+-]?\d+(\.\d+)?$/;

/** Lines as CSV by RFC 4180, with a head; a cell that begins like a formula is marked as text. */
export function csvText(columns: readonly string[], lines: readonly CsvLine[]): string {
  const rows = lines.map((line) => columns.map((column) => safe(line[column] ?? '')));
  return stringify([columns, ...rows], { record_delimiter: 'windows', quoted_match: /[\r\n]/ });
}

function safe(cell: string): string {
  return FORMULA.test(cell) && !NUMBER.test(cell) ? `${TEXT_SIGN}${cell}` : cell;
}

export type ReadCsv =
  | { readonly ok: true; readonly lines: readonly CsvLine[]; readonly delimiter: string }
  | { readonly ok: false; readonly message: string };

/** Largest table that is read, and its most lines: it is read where others wait. */
export const CSV_BYTES = 4_000_000;
export const CSV_LINES = 50_000;

/**
 * Reads CSV with a head: commas, semicolons or tabs between the cells, any line ends, with a byte order mark or without. Columns may
 * stand in any order and be missing; one that is not known is reported.
 */
export function readCsv(bytes: Uint8Array, columns: readonly string[]): ReadCsv {
  if (bytes.length > CSV_BYTES)
    return { ok: false, message: `A table has at most ${CSV_BYTES / 1e6} MB. Bring it in in parts.` };
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, message: 'This table is not written in UTF-8. Save it so, and bring it in again.' };
  }
  if (!isKeepableText(text)) return { ok: false, message: 'This table holds signs that no text has.' };
  const delimiter = delimiterOf(text);
  let rows: string[][];
  try {
    rows = parse(text, {
      bom: true,
      delimiter,
      skip_empty_lines: true,
      relax_column_count: true,
      max_record_size: 100_000,
      to: CSV_LINES + 2,
    });
  } catch {
    return {
      ok: false,
      message: 'This table cannot be read: a quotation mark is not closed, or a line is broken off.',
    };
  }
  const [head = [], ...body] = rows;
  const names = head.map((name) => name.trim().toLowerCase());
  const unknown = names.find((name) => name !== '' && !columns.includes(name));
  if (unknown !== undefined)
    return { ok: false, message: `There is no column “${unknown}”. The columns are: ${columns.join(', ')}.` };
  if (!names.some((name) => columns.includes(name)))
    return { ok: false, message: `The first line names the columns: ${columns.join(', ')}.` };
  if (body.length > CSV_LINES) return { ok: false, message: `A table has at most ${CSV_LINES} lines.` };
  return {
    ok: true,
    delimiter,
    lines: body.map((row) =>
      Object.fromEntries(names.map((name, i) => [name, unmarked((row[i] ?? '').trim())])),
    ),
  };
}

/** The sign between the cells of the head. */
function delimiterOf(text: string): string {
  const head = text.split(/[\r\n]/, 1)[0] ?? '';
  return [',', ';', '\t'].toSorted((a, b) => head.split(b).length - head.split(a).length)[0]!;
}

function unmarked(cell: string): string {
  return cell.startsWith(TEXT_SIGN) && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
