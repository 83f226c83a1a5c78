import type { Seconds } from '../units/index.ts';
import type { Onset } from './detect/StrikeDetector.ts';

/** A tick or a bell that begins is heard like a strike, from so long before its instant to so long behind it. */
const BEFORE: Seconds = 0.03;
const BEHIND: Seconds = 0.09;

/** What is so much weaker than the usual strike, in decibels, may be a neighbour's, or a step. */
const WEAK = 18;
/** From so many strikes on it is known what is usual. */
const KNOWN_FROM = 4;

export interface Heard<T> {
  /** What cannot have been the device itself. */
  readonly strikes: readonly T[];
  /** Stretches in which a strike could not be told from the device's own sound. */
  readonly unheard: readonly { readonly from: Seconds; readonly to: Seconds }[];
}

/**
 * Takes away what a device heard of itself: `own` are the instants at which its sounds begin where it hears them, in order, on the clock
 * of `onsets`.
 *
 * @example
 * withoutOwnSounds([{ at: 1.01 }, { at: 2 }], [1]).strikes // [{ at: 2 }]
 */
export function withoutOwnSounds<T extends { readonly at: Seconds }>(
  onsets: readonly T[],
  own: readonly Seconds[],
): Heard<T> {
  const unheard: { from: Seconds; to: Seconds }[] = [];
  for (const at of [...own].sort((a, b) => a - b)) {
    const last = unheard.at(-1);
    if (last && at - BEFORE <= last.to) last.to = at + BEHIND;
    else unheard.push({ from: at - BEFORE, to: at + BEHIND });
  }
  return {
    strikes: onsets.filter(({ at }) => !unheard.some(({ from, to }) => at >= from && at <= to)),
    unheard,
  };
}

/**
 * Doubts what is much weaker than the usual strike among these: it is marked, not left out.
 *
 * @example
 * doubtWeak([]).length // 0
 */
export function doubtWeak(onsets: readonly Onset[]): Onset[] {
  const strengths = onsets.map(({ strength }) => strength).sort((a, b) => a - b);
  const least = strengths.length < KNOWN_FROM ? -Infinity : strengths[strengths.length >> 1]! - WEAK;
  return onsets.map((onset) => (onset.strength < least ? { ...onset, doubtful: true } : onset));
}
