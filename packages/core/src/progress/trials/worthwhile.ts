import type { TrialKind } from '../../speed/index.ts';

/** A change below it is of no use: in the unit of the test, or a share of what was before. */
export type Worthwhile = number | { readonly share: number };

/** Half a strike in ten seconds, and two of a hundred of a time or of what is read off: a coach sees no difference below it. */
const OF_BURST = 0.05;
const SHARE = 0.02;

/**
 * The smallest change of a test that is worth anything: what the coach set, else the usual one of its kind.
 *
 * @param set by the coach, in the unit of the test; null where nothing is said
 *
 * @example
 * worthwhileOf({ kind: 'burst', seconds: 10 }, null) // 0.5
 * worthwhileOf({ kind: 'reaction', seconds: 10 }, 0.1) // 0.1
 */
export function worthwhileOf(
  { kind, seconds }: { readonly kind: TrialKind; readonly seconds: number },
  set: number | null,
): Worthwhile {
  return set ?? (kind === 'burst' ? OF_BURST * seconds : { share: SHARE });
}

/**
 * The same as a number, beside what was before.
 *
 * @param before in the unit of the test
 *
 * @example
 * worthwhileAt({ share: 0.02 }, 2) // 0.04
 */
export const worthwhileAt = (worthwhile: Worthwhile, before: number): number =>
  typeof worthwhile === 'number' ? worthwhile : worthwhile.share * Math.abs(before);
