import type { StrikeSource } from '@eurhythm/core/speed';
import type { Onset, Told } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';

/** What may hear strikes on a device. `pretend` hears a virtual fighter, and nothing of it is kept. */
export const EAR_KINDS = ['microphone', 'motion', 'sensor', 'pretend'] as const;
export type EarKind = (typeof EAR_KINDS)[number];

export const EAR_NAMES: Readonly<Record<EarKind, string>> = {
  microphone: 'Microphone',
  motion: 'Motion of this phone',
  sensor: 'Strike sensor',
  pretend: 'Try it: nobody strikes',
};

/** A strike, at an instant of the page's clock in seconds, as `performance.now()` counts. */
export interface EarStrike extends Omit<Onset, 'strength' | 'at'>, Told {
  readonly at: Seconds;
  /** In decibels, in m/s³, or as the sensor tells it. */
  readonly strength?: number;
}

export interface EarWatch {
  /** One that is withdrawn was told before; one may also be told late, once it is known that it was one. */
  onStrike(strike: EarStrike): void;
  /** It hears nothing any more; a sentence says why. */
  onEnd(why: string): void;
  /** What is to be known while it goes on hearing: what was lost, what was too much. */
  onTold?(what: string): void;
  /** How loud it is, in decibels of full scale, some hundred times a second. */
  onLevel?(decibels: number): void;
}

/** Sound that was kept. */
export interface KeptSound {
  readonly wav: Blob;
  /** When its first sample was heard, by the page's clock. */
  readonly from: Seconds;
}

/** What hears strikes, and is open. */
export interface Ear {
  /** Null for one of which nothing is kept. */
  readonly source: StrikeSource | null;
  /** What it is called on this device. */
  readonly device: string;
  /** From the strike to its being told, as far as that is known. */
  readonly latency: Seconds;
  /** Which making of the detector hears; null where the device itself detects. */
  readonly detector: string | null;
  /** What is weaker is doubtful; null where this place was not learnt. */
  readonly leastStrength: number | null;
  /** Settled once everything that sounded until now was told; after a few seconds also where some of it got lost. */
  settled(): Promise<void>;
  /** The sound so far, where it was to be kept. */
  sound(): Promise<KeptSound | null>;
  close(): void;
}

/** Strikes that nobody makes: when they land in what is played, and where that stands; null while it stands still. */
export interface PretendWork {
  readonly impacts: readonly Seconds[];
  position(): Seconds | null;
}
