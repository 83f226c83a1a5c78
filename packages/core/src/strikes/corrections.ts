import type { Seconds } from '../units/index.ts';
import type { LoudOnset } from './detect/StrikeDetector.ts';
import type { Onset, OnsetReport } from './onset.ts';
import type { Reprocessed } from './own/SecondPass.ts';

/** Two instants so near each other tell of the same strike: two strikes are no nearer than twice that. */
const SAME: Seconds = 0.035;
/** Where it was heard again this much off, it was reported at the wrong instant. */
const OFF: Seconds = 0.01;

/**
 * What stands of all that was reported: what was withdrawn is left out, and what was reported later takes its place in time.
 *
 * @example
 * validOnsets([{ at: 1 }, { at: 3 }, { at: 1, withdrawn: true }, { at: 2 }]) // [{ at: 2 }, { at: 3 }]
 */
export function validOnsets<T extends OnsetReport>(reports: readonly T[]): T[] {
  const valid: T[] = [];
  for (const one of reports) {
    if (one.withdrawn !== true) {
      valid.push(one);
      continue;
    }
    const nearest = nearestOf(valid, one.at, SAME);
    if (nearest) valid.splice(valid.indexOf(nearest), 1);
  }
  return valid.sort((a, b) => a.at - b.at);
}

/**
 * What is to be reported where strikes were heard again: those that were reported and are none, and those that are new. One whose instant or
 * whose doubt changed is both.
 *
 * @example
 * correctionsBy([{ at: 1, strength: -20 }], { from: 0, until: 9, onsets: [] }).withdrawn.length // 1
 */
export function correctionsBy(
  reported: readonly LoudOnset[],
  { from, until, onsets }: Reprocessed,
): { readonly withdrawn: LoudOnset[]; readonly added: LoudOnset[] } {
  const withdrawn = reported.filter(({ at }) => at >= from && at < until);
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
 * applyCorrections([{ at: 1, strength: -20 }, { at: 12, strength: -18 }], { from: 0, until: 9, onsets: [{ at: 2, strength: -19 }] }).map(({ at }) => at) // [2, 12]
 */
export const applyCorrections = (onsets: readonly LoudOnset[], again: Reprocessed): LoudOnset[] =>
  [...onsets.filter(({ at }) => at < again.from || at >= again.until), ...again.onsets].sort(
    (a, b) => a.at - b.at,
  );

function nearestOf<T extends Onset>(some: readonly T[], at: Seconds, within: Seconds): T | undefined {
  const off = (one: T): number => Math.abs(one.at - at);
  return some.filter((one) => off(one) < within).sort((a, b) => off(a) - off(b))[0];
}
