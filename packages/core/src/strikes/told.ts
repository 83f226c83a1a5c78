import type { Seconds } from '../units/index.ts';
import type { Onset } from './detect/StrikeDetector.ts';
import type { HeardAgain } from './own/SecondHearing.ts';

/** Two instants so near each other tell of the same strike: two strikes are no nearer than twice that. */
const SAME: Seconds = 0.035;
/** Where it was heard again this much off, it was told at the wrong instant. */
const OFF: Seconds = 0.01;

/** Something that was told of a strike. */
export interface Told {
  readonly at: Seconds;
  /** What was told of this instant before is no strike. */
  readonly withdrawn?: boolean;
}

/**
 * What stands of all that was told: what was withdrawn is left out, and what was told later takes its place in time.
 *
 * @example
 * standing([{ at: 1 }, { at: 3 }, { at: 1, withdrawn: true }, { at: 2 }]) // [{ at: 2 }, { at: 3 }]
 */
export function standing<T extends Told>(told: readonly T[]): T[] {
  const stand: T[] = [];
  for (const one of told) {
    if (one.withdrawn !== true) {
      stand.push(one);
      continue;
    }
    const nearest = nearestOf(stand, one.at, SAME);
    if (nearest) stand.splice(stand.indexOf(nearest), 1);
  }
  return stand.sort((a, b) => a.at - b.at);
}

/**
 * What is to be told where strikes were heard again: those that were told and are none, and those that are new. One whose instant or
 * whose doubt changed is both.
 *
 * @example
 * changesBy([{ at: 1, strength: -20 }], { from: 0, until: 9, onsets: [] }).withdrawn.length // 1
 */
export function changesBy(
  told: readonly Onset[],
  { from, until, onsets }: HeardAgain,
): { readonly withdrawn: Onset[]; readonly added: Onset[] } {
  const withdrawn = told.filter(({ at }) => at >= from && at < until);
  const added = onsets.filter((onset) => {
    const same = nearestOf(withdrawn, onset.at, OFF);
    if (!same || same.doubtful !== onset.doubtful) return true;
    withdrawn.splice(withdrawn.indexOf(same), 1);
    return false;
  });
  return { withdrawn, added };
}

/**
 * What stands of some strikes where these seconds were heard again.
 *
 * @example
 * putRight([{ at: 1, strength: -20 }], { from: 0, until: 9, onsets: [] }) // []
 */
export const putRight = (onsets: readonly Onset[], again: HeardAgain): Onset[] =>
  [...onsets.filter(({ at }) => at < again.from || at >= again.until), ...again.onsets].sort(
    (a, b) => a.at - b.at,
  );

function nearestOf<T extends Told>(some: readonly T[], at: Seconds, within: Seconds): T | undefined {
  const off = (one: T): number => Math.abs(one.at - at);
  return some.filter((one) => off(one) < within).sort((a, b) => off(a) - off(b))[0];
}
