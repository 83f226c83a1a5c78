import { median } from 'simple-statistics';
import type { Seconds } from '../../units/index.ts';

/** A tick or a bell that begins is heard like a strike, from so long before its instant to so long behind it. */
const BEFORE: Seconds = 0.03;
const BEHIND: Seconds = 0.09;

/** What is so much weaker than the usual strike, in decibels, may be a neighbour's, or a step. */
const WEAK = 18;
/** From so many strikes on it is known what is usual. */
const KNOWN_FROM = 4;

/** Something heard, as strong in decibels as it was where that is known. */
interface Weighed {
  readonly strength?: number;
  readonly doubtful?: boolean;
}

export interface Heard<T> {
  /** What cannot have been the device itself. */
  readonly strikes: readonly T[];
  /** Stretches in which a strike could not be distinguished from the device's own sound. */
  readonly unheard: readonly { readonly from: Seconds; readonly to: Seconds }[];
}

/**
 * Takes away what a device heard of itself: `own` are the instants at which its sounds begin where it hears them, in order, on the clock
 * of `onsets`.
 *
 * @example
 * withoutReference([{ at: 1.01 }, { at: 2 }], [1]).strikes // [{ at: 2 }]
 */
export function withoutReference<T extends { readonly at: Seconds }>(
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

/** A sound of the device's own, as it begins where it is heard. */
export interface OwnSound {
  readonly at: Seconds;
  readonly kind: string;
}

/** So far from every due strike an own sound stands alone. */
const ALONE: Seconds = 0.25;
/** A strike on top of an own sound is stronger than that sound alone by at least this, in decibels. */
const ON_TOP = 3;
/** An own sound of which less than this share is heard where it stands alone was taken out before: what comes there is something else. */
const SELDOM = 0.25;

/**
 * Tells strikes from the device's own ticks and bells where these fall on the very beats on which strikes are due: how loud each
 * kind of own sound is here is learnt where it stands alone; what comes with one must be stronger than that to be a strike. A kind
 * that is not heard, or seldom, where it stands alone is not heard at all. Of a kind that never stands alone the loudest of the others is taken;
 * where none stands alone, what comes with one is doubtful.
 *
 * @example
 * apartFromReference([{ at: 1, strength: -30 }, { at: 5, strength: -10 }], [{ at: 1, kind: 'tick' }, { at: 5, kind: 'tick' }], [5]).strikes.length // 1
 */
export function apartFromReference<T extends Weighed & { readonly at: Seconds }>(
  onsets: readonly T[],
  own: readonly OwnSound[],
  due: readonly Seconds[],
): Heard<T> {
  const isAlone = ({ at }: OwnSound): boolean => due.every((each) => Math.abs(each - at) > ALONE);
  const comesWith = (at: Seconds, sound: OwnSound): boolean =>
    at >= sound.at - BEFORE && at <= sound.at + BEHIND;
  const alone = new Map<string, { count: number; loud: number[] }>();
  for (const sound of own.filter(isAlone)) {
    const heard = alone.get(sound.kind) ?? { count: 0, loud: [] };
    alone.set(sound.kind, heard);
    heard.count += 1;
    for (const { at, strength } of onsets)
      if (strength !== undefined && comesWith(at, sound)) heard.loud.push(strength);
  }
  // Once in a while somebody strikes into the silence, too: the middle one is the device's, and what is seldom heard is not.
  const usual = new Map(
    [...alone].map(([kind, { count, loud }]) => [
      kind,
      loud.length < SELDOM * count ? -Infinity : median(loud),
    ]),
  );
  const loudest = Math.max(-Infinity, ...usual.values());
  const usualOf = (kind: string): number => usual.get(kind) ?? loudest;
  const unheard: { from: Seconds; to: Seconds }[] = [];
  const strikes = onsets.flatMap((onset): T[] => {
    const sound = own.find((each) => comesWith(onset.at, each));
    if (!sound) return [onset];
    if (alone.size === 0) return [{ ...onset, doubtful: true }];
    if (!isAlone(sound) && (onset.strength ?? Infinity) > usualOf(sound.kind) + ON_TOP) return [onset];
    if (!isAlone(sound)) unheard.push({ from: sound.at - BEFORE, to: sound.at + BEHIND });
    return [];
  });
  return { strikes, unheard };
}

/**
 * Doubts what a microphone heard much weaker than the usual strike among these: it is marked, not left out. What a pad or a phone felt
 * has a strength in another unit, and no neighbour to come from: it stays as it is.
 *
 * @example
 * doubtWeak([], 'microphone').length // 0
 */
export function doubtWeak<T extends Weighed>(
  onsets: readonly T[],
  source: string,
): readonly (T & Pick<Weighed, 'doubtful'>)[] {
  if (source !== 'microphone') return onsets;
  const strengths = onsets.flatMap(({ strength }) => strength ?? []).sort((a, b) => a - b);
  const least = strengths.length < KNOWN_FROM ? -Infinity : strengths[strengths.length >> 1]! - WEAK;
  return onsets.map((onset) => ((onset.strength ?? least) < least ? { ...onset, doubtful: true } : onset));
}
