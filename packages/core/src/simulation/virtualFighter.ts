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
 * simulateBurst({ rate: 4, spread: 0, fading: 0 }, 10, seededRandom(1)).length // 40
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

/** How a made-up fighter keeps to a line. */
export interface RoundProfile {
  /** How late the usual strike is; early is below 0. */
  readonly bias: Seconds;
  /** Standard deviation of the single strike. */
  readonly spread: Seconds;
  /** By how much later the last strikes come than the first ones. */
  readonly fading: Seconds;
  /** Shares of what was due that is missed, and that is struck beside it. */
  readonly misses: number;
  readonly extras: number;
}

/**
 * The instants at which a virtual fighter lands in a round, in order, where strikes are due at these.
 *
 * @example
 * simulateRound([1, 2], { bias: 0, spread: 0, fading: 0, misses: 0, extras: 0 }, seededRandom(1)) // [1, 2]
 */
export function simulateRound(
  due: readonly Seconds[],
  { bias, spread, fading, misses, extras }: RoundProfile,
  random: RandomSource,
): Seconds[] {
  const [first = 0, last = 0] = [due[0], due.at(-1)];
  const span = Math.max(last - first, LEAST_GAP);
  const landed = due.flatMap((at) => {
    const off = bias + (fading * (at - first)) / span + spread * normalDraw(random);
    return random() < misses ? [] : [at + off];
  });
  const beside = Array.from({ length: Math.round(extras * due.length) }, () => first + span * random());
  return [...landed, ...beside].sort((a, b) => a - b);
}
