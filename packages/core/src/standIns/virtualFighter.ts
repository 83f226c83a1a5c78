import { normalDraw, type RandomSource, type Seconds } from '../units/index.ts';

/** How a made-up fighter moves. */
export interface FighterProfile {
  /** Repetitions a second when fresh. */
  readonly rate: number;
  /** Unevenness: standard deviation of a gap as a share of its length. */
  readonly spread: number;
  /** How much slower the last gap of ten seconds is than the first, as a share. */
  readonly fading: number;
}

/** No body strikes again sooner than this; also the shortest gap that a sensor tells apart. */
const LEAST_GAP: Seconds = 0.07;

/**
 * The instants at which a virtual fighter lands in a burst of `seconds`, in order, counted from its start.
 *
 * @example
 * simulateBurst({ rate: 4, spread: 0, fading: 0 }, 0, seededRandom(1)) // []
 */
export function simulateBurst(profile: FighterProfile, seconds: Seconds, random: RandomSource): Seconds[] {
  const instants: Seconds[] = [];
  let at = 0.12 + Math.abs(normalDraw(random)) * 0.05;
  while (at <= seconds) {
    instants.push(at);
    const tired = 1 + (profile.fading * at) / 10;
    at += Math.max(LEAST_GAP, (tired / profile.rate) * (1 + profile.spread * normalDraw(random)));
  }
  return instants;
}
