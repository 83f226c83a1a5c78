import type { CallWords } from '../calls/index.ts';
import type { Lead } from '../moves/index.ts';
import type { Bpm, Seconds } from '../units/index.ts';

/**
 * When the voice calls the strokes of a combo: each on its beat, each one slot ahead, only the combo before its
 * count-in, or not at all (the holder shows).
 */
export type CallStyle = 'on-beat' | 'ahead' | 'lead-in' | 'silent';

/** From which lead: the round's own, the other one, or half the time each. */
export type LeadPlan = 'as-set' | 'other' | 'halves';

/** A combo as a block needs it. */
export interface BlockCombo {
  readonly id: string;
  readonly grade: string;
  readonly number: number;
  readonly title: string;
  readonly line: string;
  readonly beatsPerBar: number;
}

interface BlockBase {
  readonly id: string;
  readonly seconds: Seconds;
}

/** Combos in order on a steady beat, each repeated before the next is called. */
export interface ComboBlock extends BlockBase {
  readonly kind: 'combo';
  readonly combos: readonly BlockCombo[];
  readonly bpm: Bpm;
  readonly calls: CallStyle;
  readonly words: CallWords;
  readonly leadPlan: LeadPlan;
  /** Cycles of a combo before the next one is called. */
  readonly cyclesEach: number;
}

/** Shadowboxing: move freely, with a spoken prompt at random instants. */
export interface FreeBlock extends BlockBase {
  readonly kind: 'free';
  readonly prompts: readonly string[];
  /** Shortest and longest wait between two prompts. */
  readonly every: { readonly min: Seconds; readonly max: Seconds };
  readonly leadPlan: LeadPlan;
}

/** As many clean repetitions as fit. */
export interface BurstBlock extends BlockBase {
  readonly kind: 'burst';
  readonly title: string;
}

export interface RestBlock extends BlockBase {
  readonly kind: 'rest';
  /** What comes after it, as it is said; empty when nothing does. */
  readonly next: string;
}

export type Block = ComboBlock | FreeBlock | BurstBlock | RestBlock;

/** A round ready to be compiled. `seed` settles everything that is left to chance. */
export interface RoundPlan {
  readonly blocks: readonly Block[];
  readonly lead: Lead;
  readonly seed: number;
}

export const ROUND_LIMITS = {
  blockSeconds: { min: 5, max: 3600 },
  cyclesEach: { min: 1, max: 50 },
  blocks: 60,
  combosPerBlock: 20,
} as const;
