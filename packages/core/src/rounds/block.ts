import type { CallWords } from '../calls/index.ts';
import type { Lead } from '../moves/index.ts';
import type { Bpm, Seconds } from '../units/index.ts';

/**
 * What the voice calls of a combo: each stroke on its beat, or one slot ahead; only the combo before its count-in; one
 * count for each time through; for the holder, what to offer, one slot ahead; or nothing (the holder shows).
 */
export const CALL_STYLES = ['on-beat', 'ahead', 'lead-in', 'one-count', 'holder', 'silent'] as const;
export type CallStyle = (typeof CALL_STYLES)[number];

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
  /** Length of one time through as the coach set it, in beats; without it, it follows from the line. */
  readonly cycleBeats?: number | null;
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
