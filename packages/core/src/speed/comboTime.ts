import type { Hit } from '../strikes/index.ts';
import type { Seconds } from '../units/index.ts';

/** From one impact of a combo to the next. */
export interface ComboGap {
  /** Places in the line. */
  readonly from: number;
  readonly to: number;
  readonly seconds: Seconds;
  /** As the line has it at its tempo. */
  readonly line: Seconds;
  /** The least that the limb clock allows; null where it is not asked. */
  readonly least: Seconds | null;
}

export interface ComboTime {
  /** From the first impact to the last. */
  readonly seconds: Seconds;
  readonly gaps: readonly ComboGap[];
  /** The gap in which most time is lost, see `lostIn`; null where none loses any. */
  readonly costliest: number | null;
  /** Whether every strike of the line landed. */
  readonly isWhole: boolean;
}

/**
 * The time that a gap takes beyond what it has to: against the line, or against the limb clock where the line asks for more than a
 * body can.
 *
 * @example
 * lostIn({ seconds: 0.5, line: 0.25, least: 0.375 }) // 0.125
 */
export function lostIn({ seconds, line, least }: Pick<ComboGap, 'seconds' | 'line' | 'least'>): Seconds {
  return seconds - Math.max(line, least ?? 0);
}

/**
 * How long one time through a combo took, from what was due and the hits of a match; null where fewer than two landed. `least` gives
 * the least time from one strike of the line to another by the limb clock.
 *
 * @example
 * comboTime([{ at: 0 }, { at: 1 }], [{ at: 5 }, { at: 5.8 }], [{ due: 0, onset: 0, error: 0 }, { due: 1, onset: 1, error: 0 }])?.gaps.length // 1
 */
export function comboTime(
  due: readonly { readonly at: Seconds }[],
  onsets: readonly { readonly at: Seconds }[],
  hits: readonly Pick<Hit, 'due' | 'onset'>[],
  least: (from: number, to: number) => Seconds | null = () => null,
): ComboTime | null {
  const landed = [...hits].sort((a, b) => a.due - b.due);
  if (landed.length < 2) return null;
  const gaps = landed.slice(1).map((hit, i): ComboGap => {
    const before = landed[i]!;
    return {
      from: before.due,
      to: hit.due,
      seconds: onsets[hit.onset]!.at - onsets[before.onset]!.at,
      line: due[hit.due]!.at - due[before.due]!.at,
      least: least(before.due, hit.due),
    };
  });
  const lost = gaps.map(lostIn);
  const most = Math.max(...lost);
  return {
    seconds: gaps.reduce((sum, { seconds }) => sum + seconds, 0),
    gaps,
    costliest: most > 0 ? lost.indexOf(most) : null,
    isWhole: landed.length === due.length,
  };
}
