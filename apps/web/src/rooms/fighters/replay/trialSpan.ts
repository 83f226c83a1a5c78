import type { AttemptView } from '@eurhythm/contract';

/** What is left before the first strike and behind the last one. */
const AROUND = 0.5;

/** From where to where a trial is shown and played, in seconds of its clock; a burst from its bell on, all else from its first strike. */
export function trialSpan(
  { kind, seconds }: Pick<AttemptView, 'kind' | 'seconds'>,
  onsets: readonly number[],
  due: readonly number[],
): { readonly from: number; readonly to: number } {
  const all = [...onsets, ...due];
  const isBurst = kind === 'burst';
  const last = Math.max(isBurst || all.length === 0 ? seconds : -Infinity, ...all);
  return { from: isBurst || all.length === 0 ? 0 : Math.min(...all) - AROUND, to: last + AROUND };
}
