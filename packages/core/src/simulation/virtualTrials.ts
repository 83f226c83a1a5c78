import { normalDraw, type RandomSource } from '../units/index.ts';

/** A fighter whose true level in a test is known. */
export interface TrueForm {
  /** What the first day would give without chance, and what four weeks of training add to it. */
  readonly level: number;
  readonly perFourWeeks: number;
  /** Standard deviations between trials of one day, and between days. */
  readonly error: number;
  readonly dayError?: number;
  /** Whether only whole numbers come out, as of a count. */
  readonly isCount?: boolean;
}

const DAY = 86_400_000;

/**
 * Trials as such a fighter would do them: so many on each of the days, which are written like 2026-03-05 and stand in order.
 *
 * @param perDay trials of each day
 *
 * @example
 * virtualTrials({ level: 23, perFourWeeks: 0, error: 0 }, ['2026-03-05'], 2, () => 0.5) // [{ day: '2026-03-05', values: [23, 23] }]
 */
export function virtualTrials(
  { level, perFourWeeks, error, dayError = 0, isCount = false }: TrueForm,
  days: readonly string[],
  perDay: number,
  random: RandomSource,
): { readonly day: string; readonly values: readonly number[] }[] {
  const first = Date.parse(days[0] ?? '');
  return days.map((day) => {
    const weeks = (Date.parse(day) - first) / (28 * DAY);
    const form = level + perFourWeeks * weeks + dayError * normalDraw(random);
    const values = Array.from({ length: perDay }, () => form + error * normalDraw(random));
    return { day, values: isCount ? values.map(Math.round) : values };
  });
}

/**
 * Days of classes: so many, the first one given, a fixed number of days apart.
 *
 * @param count days
 * @param apart days from one class to the next
 *
 * @example
 * classDays('2026-03-05', 2, 7) // ['2026-03-05', '2026-03-12']
 */
export function classDays(first: string, count: number, apart: number): string[] {
  return Array.from({ length: count }, (_, i) =>
    new Date(Date.parse(first) + i * apart * DAY).toISOString().slice(0, 10),
  );
}
