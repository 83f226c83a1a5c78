import type { DateWays } from '@eurhythm/core/units';

/** How a table writes its days and numbers. */
export interface TableWays {
  readonly dayOrder: DateWays['dayOrder'];
  /** Semicolons between the cells leave the comma for the decimals. */
  readonly hasDecimalComma: boolean;
}

const ISO = /^\d{4}-\d{2}-\d{2}(?:[T ]\d{1,2}:\d{2}.*)?$/;
const OWN = /^(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})(?:,?\s+(\d{1,2}):(\d{2})(?::(\d{2}))?)?$/;
/** Where the year, the month and the day stand. */
const PLACES = {
  'day-first': [3, 2, 1],
  'month-first': [3, 1, 2],
  'year-first': [1, 2, 3],
} as const;

/** An instant as a table has it: as the computers write it, or in the order of the gym, at the server's own time; null where it is none. */
export function readTime(cell: string, { dayOrder }: TableWays): Date | null {
  const text = cell.trim();
  if (ISO.test(text)) {
    const at = new Date(text.length === 10 ? `${text}T12:00:00` : text.replace(' ', 'T'));
    return Number.isNaN(at.getTime()) ? null : at;
  }
  const own = OWN.exec(text);
  if (!own) return null;
  const [year, month, day] = PLACES[dayOrder].map((place) => Number(own[place])) as [number, number, number];
  const [hour, minute, second] = [own[4] ?? 12, own[5] ?? 0, own[6] ?? 0].map(Number) as [
    number,
    number,
    number,
  ];
  const at = new Date(year, month - 1, day, hour, minute, second);
  const isDay = at.getFullYear() === year && at.getMonth() === month - 1 && at.getDate() === day;
  return year >= 1000 && isDay && hour < 24 && minute < 60 ? at : null;
}

/** Whether a cell is written in the gym's own order, so that it could be read otherwise. */
export const isOwnOrder = (cell: string): boolean => OWN.test(cell.trim()) && !ISO.test(cell.trim());

/** A number of a table; NaN where it is none. */
export const readNumber = (cell: string, { hasDecimalComma }: TableWays): number =>
  Number(hasDecimalComma ? cell.replace(',', '.') : cell);

/** What has to be known of the times of a table before it is brought in, in sentences. */
export function timeNotes(cells: readonly string[], ways: TableWays, now: Date): string[] {
  const inWords = (at: Date): string =>
    at.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
  const read = cells.map((cell) => ({ cell, at: readTime(cell, ways) }));
  const own = read.find(({ cell, at }) => at !== null && isOwnOrder(cell));
  const future = read.flatMap(({ at }) => (at !== null && at > now ? [at] : []));
  const first = future.toSorted((a, b) => a.getTime() - b.getTime())[0];
  return [
    ...(own ? [`“${own.cell}” is read as ${inWords(own.at!)}, and all others like it.`] : []),
    ...(first
      ? [
          `${future.length} of the times ${future.length === 1 ? 'lies' : 'lie'} in the future, the first on ${inWords(first)}. Is that meant?`,
        ]
      : []),
  ];
}
