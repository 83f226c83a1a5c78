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
