import type { OwnPace } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { timesThrough, usualGaps, type HeardTrial } from '@eurhythm/core/speed';
import { impactBeats, leastGaps } from '@eurhythm/core/strikes';
import type { NamedGap } from './gapsOption.ts';

interface AskedLine {
  readonly line: string | null | undefined;
  readonly lead: 'left' | 'right';
  /** Not there yet where it is still fetched: the gaps have no limbs then. */
  readonly book: MoveBook | undefined;
  /** Pace for the least that a body needs. */
  readonly factor: number | OwnPace;
}

/** The usual gaps of a combo over some trials of one tempo, by the limbs that they lie between, and where most time is lost. */
export function comboGaps(
  trials: readonly HeardTrial[],
  { line, lead, book, factor }: AskedLine,
): { readonly gaps: readonly NamedGap[]; readonly costliest: number | null } {
  const isKnown = book !== undefined && line !== null && line !== undefined;
  const words = isKnown ? impactBeats(line, lead, book) : [];
  const least = isKnown ? leastGaps(line, lead, book, { factor }) : undefined;
  const { gaps, costliest } = usualGaps(trials.flatMap(timesThrough), least);
  const nameOf = (at: number): string => words[at]?.limb.replace('-', ' ') ?? '?';
  return {
    gaps: gaps.map((gap) => ({ ...gap, name: `${nameOf(gap.from)} → ${nameOf(gap.to)}` })),
    costliest,
  };
}

/** Two gaps of a line are of one tempo where they differ by no more than this share. */
const SAME = 0.02;

/** Of heard trials, the newest first, those of the newest one's tempo. */
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
