import { createHash } from 'node:crypto';
import type { FieldError, GymFile } from '@eurhythm/contract';
import type { GymErrors } from '../../progress/trials.service.ts';
import type { WholeGymFile } from '../gymFile/readGym.ts';
import type { TableWays } from './tableTimes.ts';

/** A line of a table, by the names of its columns. */
export type CsvLine = Readonly<Record<string, string>>;

/** A column, and what stands in it, as it is explained. */
export interface Column {
  readonly name: string;
  readonly about: string;
  /** Only reported: it is not read again. */
  readonly isForReading?: true;
}

/** A table that is taken away and brought in as CSV. */
export interface CsvTable {
  readonly columns: readonly Column[];
  /** @param errors how much trials and days differ over the gym: what verdicts rest on beside the trials */
  lines(gym: WholeGymFile, errors: GymErrors): readonly CsvLine[];
  /** The lines as a part of a gym; `errors` name the line (the first one below the head is line 2) and the column. */
  file(
    lines: readonly CsvLine[],
    gym: WholeGymFile,
    ways: TableWays,
  ): { readonly part: Partial<GymFile>; readonly errors: FieldError[] };
}

/** Signs between several values of one cell. */
export const BETWEEN = ';';

export const yes = (value: boolean): string => (value ? 'yes' : 'no');
export const split = (cell: string): string[] =>
  cell
    .split(BETWEEN)
    .map((each) => each.trim())
    .filter((each) => each !== '');

/** Reads every line; `read` gives null where a sentence was reported. */
export function readLines<T>(
  lines: readonly CsvLine[],
  read: (line: CsvLine, tell: (column: string, message: string) => null) => T | null,
): { items: T[]; errors: FieldError[] } {
  const items: T[] = [];
  const errors: FieldError[] = [];
  for (const [i, line] of lines.entries()) {
    const item = read(line, (column, message) => {
      errors.push({ field: `line ${i + 2}, ${column}`, message });
      return null;
    });
    if (item !== null) items.push(item);
  }
  return { items, errors };
}

/** An id for a line that has none: the same line again is the same thing. */
export function idOf(...parts: readonly string[]): string {
  return createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 24);
}

export const WRITTEN = 'like 2026-03-05T18:30:00Z, or in the order of the gym: 05.03.2026 18:30';
