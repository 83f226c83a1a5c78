import type { Seconds } from '../../units/index.ts';

/** A phone as the synthesiser prints it, with the instant at which it ends. */
export interface TimedPhone {
  readonly phone: string;
  readonly end: Seconds;
}

/** Vowels of the ARPAbet. The reduced ones carry no stress, so a full vowel that follows comes first. */
const FULL_VOWELS = new Set('aa ae ah ao aw ay eh er ey ih iy ow oy uh uw'.split(' '));
const REDUCED_VOWELS = new Set(['ax', 'ix', 'axr']);

/**
 * Reads "pau:0.232 l:0.343 eh:0.407".
 *
 * @example
 * parsePhones('').length // 0
 */
export function parsePhones(text: string): TimedPhone[] {
  return [...text.matchAll(/([a-z]+):(\d+(?:\.\d+)?)/g)].map((match) => ({
    phone: match[1]!,
    end: Number(match[2]),
  }));
}

/**
 * The instant that is put on the beat: where the vowel of the first stressed syllable begins, which is where
 * speakers and singers place a beat (the "perceptual centre", Morton, Marcus and Frankish 1976).
 * Null when there is no vowel.
 *
 * @example
 * vowelOnset([{ phone: 't', start: 0, end: 0.06 }, { phone: 'uw', start: 0.06, end: 0.3 }]) // 0.06
 */
export function vowelOnset(phones: readonly TimedPhone[]): Seconds | null {
  return firstVowel(phones)?.start ?? null;
}

/**
 * Where that vowel ends. Null when there is none.
 *
 * @example
 * vowelEnd([{ phone: 't', start: 0, end: 0.06 }, { phone: 'uw', start: 0.06, end: 0.3 }]) // 0.3
 */
export function vowelEnd(phones: readonly TimedPhone[]): Seconds | null {
  return firstVowel(phones)?.end ?? null;
}

function firstVowel(phones: readonly TimedPhone[]): { start: Seconds; end: Seconds } | null {
  let firstReduced: { start: Seconds; end: Seconds } | null = null;
  let start = 0;
  for (const { phone, end } of phones) {
    if (FULL_VOWELS.has(phone)) return { start, end };
    if (REDUCED_VOWELS.has(phone)) firstReduced ??= { start, end };
    start = end;
  }
  return firstReduced;
}
