import type { CompiledRound } from '../rounds/index.ts';
import { dueStrikes } from '../strikes/index.ts';
import type { RandomSource, Seconds } from '../units/index.ts';
import { hallSound, type Hall, type Placed } from './hallSound.ts';
import { impactSound, type Struck } from './impactSound.ts';
import { simulateRound, type RoundProfile } from './virtualFighter.ts';

/**
 * When a virtual fighter lands in a compiled round, in order.
 *
 * @example
 * fightRound(round, { bias: 0, spread: 0, fading: 0, misses: 0, extras: 0 }, seededRandom(1)).length === dueStrikes(round).length // true
 */
export function fightRound(
  round: Pick<CompiledRound, 'cues' | 'cycles'>,
  profile: RoundProfile,
  random: RandomSource,
): Seconds[] {
  return simulateRound(
    dueStrikes(round).map(({ at }) => at),
    profile,
    random,
  );
}

/** Where the strikes are heard, on what they land, and what else sounds. */
export interface RoundHall
  extends Pick<Hall, 'sampleRate' | 'seconds'>, Partial<Pick<Hall, 'signalToNoise' | 'echo' | 'peak'>> {
  readonly struck: Struck;
  /** Decibels between the strongest and the weakest strike. */
  readonly forces?: number;
  /** Calls and ticks that bleed in; see `Hall.voices`. */
  readonly voices?: readonly Placed[];
}

/** A quiet hall: decibels over the noise, seconds of echo, the loudest sample, decibels between strikes. */
const USUAL = { signalToNoise: 20, echo: 0.6, peak: 0.6, forces: 2 } as const;

/**
 * What a microphone in a hall hears of strikes at these instants, as samples of −1 to 1.
 *
 * @example
 * roundSound([0.5], { sampleRate: 8000, seconds: 1, struck: 'pad' }, seededRandom(1)).length // 8000
 */
export function roundSound(
  impacts: readonly Seconds[],
  { struck, forces = USUAL.forces, ...hall }: RoundHall,
  random: RandomSource,
): Float32Array<ArrayBuffer> {
  const strikes = impacts.map((at): Placed => ({
    at,
    gain: 10 ** ((-forces * random()) / 20),
    samples: impactSound(struck, hall.sampleRate, random),
  }));
  return hallSound({ ...USUAL, ...hall, strikes }, random);
}
