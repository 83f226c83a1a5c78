import type { Seconds } from '../units/index.ts';

/** A spoken clip as the fitter sees it. */
export interface VoiceClip {
  readonly id: string;
  readonly text: string;
  readonly rate: number;
  readonly seconds: Seconds;
  /** From the start of the clip to the instant that belongs on the beat. */
  readonly centre: Seconds;
}

/** The clips at hand. `find` gives null when the voice has no such clip. */
export interface ClipLibrary {
  find(text: string, rate: number): VoiceClip | null;
}

/** Speeds at which the voice may speak, slowest first. Beyond the last a listener loses words, and a call that is lost is better left out and reported. */
export const VOICE_RATES: readonly number[] = [1, 1.15, 1.25, 1.3, 1.35];

/**
 * The nearest speed that is no faster; the fastest for one of a release that spoke faster.
 *
 * @param rate times as fast as the voice speaks by itself
 *
 * @example
 * knownRate(1.75) // 1.35
 */
export function knownRate(rate: number): number {
  return VOICE_RATES.findLast((known) => known <= rate) ?? VOICE_RATES[0]!;
}

/**
 * The clip of a text at the slowest rate that the library has; null when it has none.
 *
 * @example
 * slowestClip(clipLibrary([{ id: 'c', text: 'one', rate: 1, seconds: 0.3, centre: 0.1 }]), 'one').rate // 1
 */
export function slowestClip(library: ClipLibrary, text: string): VoiceClip | null {
  for (const rate of VOICE_RATES) {
    const clip = library.find(text, rate);
    if (clip) return clip;
  }
  return null;
}

/**
 * A library over a list of clips.
 *
 * @example
 * clipLibrary([{ id: 'c', text: 'one', rate: 1, seconds: 0.3, centre: 0.1 }]).find('one', 1).id // 'c'
 */
export function clipLibrary(clips: Iterable<VoiceClip>): ClipLibrary {
  const byKey = new Map([...clips].map((clip) => [`${clip.rate} ${clip.text}`, clip]));
  return { find: (text, rate) => byKey.get(`${rate} ${text}`) ?? null };
}
