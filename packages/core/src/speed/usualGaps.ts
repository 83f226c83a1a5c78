import { median } from 'simple-statistics';
import type { Seconds } from '../units/index.ts';
import { lostIn, type ComboTime } from './comboTime.ts';
import type { HeardTrial } from './heardTrial.ts';

/** A gap of a line as it usually was over several times through. */
export interface UsualGap {
  /** Places of its two impacts among those of the line. */
  readonly from: number;
  readonly to: number;
  readonly seconds: Seconds;
  readonly line: Seconds;
  /** The least that the limb clock allows; null where it is not asked. */
  readonly least: Seconds | null;
  readonly times: number;
}

export interface UsualGaps {
  readonly gaps: readonly UsualGap[];
  /** Place of the gap in which most time is lost, see `lostIn`; null where none loses any. */
  readonly costliest: number | null;
}

/**
 * The usual gaps between impacts that follow each other in a line, over whole and broken times through alike. `least` tells the limb
 * clock's least time between two impacts of the line.
 *
 * @example
 * usualGaps([0.5, 0.4, 0.6].map((seconds) => ({ gaps: [{ from: 0, to: 1, seconds, line: 0.3 }] }))).gaps[0].seconds // 0.5
 */
export function usualGaps(
  times: readonly Pick<ComboTime, 'gaps'>[],
  least: (from: number, to: number) => Seconds | null = () => null,
): UsualGaps {
  const found = new Map<number, { seconds: Seconds[]; line: Seconds }>();
  for (const { from, to, seconds, line } of times.flatMap(({ gaps }) => gaps)) {
    if (to !== from + 1) continue; // one between them was missed
    const known = found.get(from);
    if (known) known.seconds.push(seconds);
    else found.set(from, { seconds: [seconds], line });
  }
  const gaps = [...found]
    .sort(([a], [b]) => a - b)
    .map(([from, { seconds, line }]): UsualGap => ({
      from,
      to: from + 1,
      seconds: median(seconds),
      line,
      least: least(from, from + 1),
      times: seconds.length,
    }));
  const lost = gaps.map(lostIn);
  const most = Math.max(0, ...lost);
  return { gaps, costliest: most > 0 ? lost.indexOf(most) : null };
}

/** Two gaps of a line are of one tempo where they differ by no more than this share. */
const SAME = 0.02;

/**
 * Of heard trials, the newest first, those of the newest one's tempo.
 *
 * @example
 * ofNewestTempo([{ id: 2, heard: { due: [0, 0.5] } }, { id: 1, heard: { due: [0, 0.8] } }]).map(({ id }) => id) // [2]
 */
export function ofNewestTempo<T extends { readonly heard: HeardTrial | null }>(trials: readonly T[]): T[] {
  const firstGap = ({ heard }: T): number | null => {
    const [a, b] = heard?.due ?? [];
    return a === undefined || b === undefined ? null : b - a;
  };
  const newest = trials[0] ? firstGap(trials[0]) : null;
  if (newest === null) return [];
  return trials.filter((trial) => {
    const gap = firstGap(trial);
    return gap !== null && Math.abs(gap - newest) <= SAME * newest;
  });
}
