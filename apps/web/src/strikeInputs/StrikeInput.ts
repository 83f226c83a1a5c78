import type { StrikeSource } from '@eurhythm/core/speed';
import type { OnsetReport } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';

/** What may hear strikes on a device. `pretend` hears a virtual fighter, and nothing of it is kept. */
export const INPUT_KINDS = ['microphone', 'motion', 'sensor', 'pretend'] as const;
export type InputKind = (typeof INPUT_KINDS)[number];

/** In rounds somebody who watches may tap as well; a burst has taps of its own. */
export const ROUND_INPUT_KINDS = [...INPUT_KINDS, 'taps'] as const;
export type RoundInputKind = (typeof ROUND_INPUT_KINDS)[number];

export const INPUT_NAMES: Readonly<Record<RoundInputKind, string>> = {
  microphone: 'Microphone',
  motion: 'Motion of this phone',
  sensor: 'Strike sensor',
  pretend: 'Demo source (no one strikes)',
  taps: 'Taps, by you or the holder',
};

export interface InputEvents {
  /**
   * A strike, at an instant of the page's clock in seconds, as `performance.now()` counts, with the latency of the input taken off. One
   * that is withdrawn was reported before; one may also be reported late, once it is known that it was one.
   */
  onStrike(strike: OnsetReport): void;
  /** It hears nothing any more; a sentence says why. */
  onEnd(why: string): void;
  /** What is to be known while it goes on hearing: what was lost, what was too much. */
  onStatus?(what: string): void;
  /** How loud it is, in decibels of full scale, some hundred times a second. */
  onLevel?(decibels: number): void;
}

/** Sound that was kept. */
export interface KeptSound {
  readonly wav: Blob;
  /** When what its first sample is of happened, by the page's clock. */
  readonly from: Seconds;
}

/** Strike sensors and microphone, and is open. */
export interface StrikeInput {
  /** Null for one of which nothing is kept. */
  readonly source: StrikeSource | null;
  /** What it is called on this device. */
  readonly device: string;
  /** Version of the detector that hears; null where the device itself detects. */
  readonly detector: string | null;
  /** What is weaker is doubtful; null where this place was not learnt. */
  readonly leastStrength: number | null;
  /** Settled once everything that sounded until now was reported; after a few seconds also where some of it got lost. */
  settled(): Promise<void>;
  /** The sound so far, where it was to be kept. */
  sound(): Promise<KeptSound | null>;
  close(): void;
}

/** Strikes that nobody makes: when they land in what is played, and where that stands; null while it stands still. */
export interface SimulatedWork {
  readonly impacts: readonly Seconds[];
  position(): Seconds | null;
}

export interface InputWish {
  readonly kind: RoundInputKind;
  /** Keeps the sound too, where it is sound that is heard. */
  readonly keepsSound: boolean;
  /** What a virtual fighter does. */
  readonly pretends: SimulatedWork;
  /** The code of the class, on a device that is not the coach's. */
  readonly code: string | null;
}
