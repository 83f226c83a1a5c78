import type { CallWords } from '../../../calls/index.ts';
import type { Bpm, Seconds } from '../../../units/index.ts';
import { STEADY_LEAD_PLANS } from '../../leadStretches.ts';
import type { BlockBase } from '../blockBase.ts';

/**
 * What the voice calls of a combo: each stroke on its beat, or one slot ahead; only the combo before its count-in; one
 * count for each time through; for the holder, what to offer, one slot ahead; or nothing (the holder shows).
 */
export const CALL_STYLES = ['on-beat', 'ahead', 'lead-in', 'one-count', 'holder', 'silent'] as const;
export type CallStyle = (typeof CALL_STYLES)[number];

/** Combos can also change the lead each few times through, or be drawn from either lead. */
export const LEAD_PLANS = [...STEADY_LEAD_PLANS, 'each', 'random'] as const;
export type LeadPlan = (typeof LEAD_PLANS)[number];

/** What becomes of the tempo in the course of a block. */
export type TempoShape =
  | { readonly kind: 'constant' }
  /** Rises or falls evenly from the block's tempo to this one. */
  | { readonly kind: 'ramp'; readonly to: Bpm }
  /** So many beats a minute more (or fewer) after each so many times through. */
  | { readonly kind: 'steps'; readonly by: Bpm; readonly every: number }
  /** A third of the time by slow even strokes, a third joined on one count, a third fast, at this tempo. */
  | { readonly kind: 'build-up'; readonly fast: Bpm }
  /** Broken rhythm: two times through close together, then a pause of so many beats. */
  | { readonly kind: 'broken'; readonly pause: number };
export const TEMPO_SHAPES = ['constant', 'ramp', 'steps', 'build-up', 'broken'] as const;

/** What lies between two times through: nothing more than their own length, or a wait drawn at random. */
export type GapPlan =
  { readonly kind: 'steady' } | { readonly kind: 'random'; readonly min: Seconds; readonly max: Seconds };

/** Which combo comes next: as listed, shuffled, the last of the list twice as often, or the needed ones more often. */
export const COMBO_ORDERS = ['in-order', 'shuffled', 'newest-twice', 'by-need'] as const;
export type ComboOrder = (typeof COMBO_ORDERS)[number];

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
  /** How much it needs to be trained, 1 being usual; for the order by need. */
  readonly need?: number;
}

/** How a block that is kept names a combo: one of the book by its id, or a line of its own. */
export interface ComboRef {
  readonly comboId?: string;
  readonly line?: string;
  readonly title?: string;
}

/** A group that does combos of its own to the same clock. */
export interface ComboLane<C = BlockCombo> {
  readonly group: string;
  readonly combos: readonly C[];
}

/** Combos on a beat, each repeated before the next is called. What is left out takes its first kind, or nothing. */
export interface ComboBlock<C = BlockCombo> extends BlockBase {
  readonly kind: 'combo';
  readonly combos: readonly C[];
  readonly bpm: Bpm;
  readonly calls: CallStyle;
  readonly words: CallWords;
  readonly leadPlan: LeadPlan;
  /** Cycles of a combo before the next one is called, and before the lead changes where the plan says so. */
  readonly cyclesEach: number;
  /** Each combo so many times through from each lead of the plan, instead of by the clock. */
  readonly times?: number | null;
  /** After so many times through, as many that step back, so that a line that travels keeps its place. */
  readonly wayBack?: number | null;
  readonly tempo?: TempoShape;
  readonly gaps?: GapPlan;
  readonly order?: ComboOrder;
  /** Contact in percent of full power, in equal parts of the time; called where it changes. */
  readonly intensity?: readonly number[];
  /** Groups with combos of their own; a time through lasts as long as the slowest of them needs. */
  readonly lanes?: readonly ComboLane<C>[];
}

/** Combos in a block as a coach would begin it. */
export const USUAL_COMBO_BLOCK = {
  kind: 'combo',
  seconds: 120,
  bpm: 80,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
} as const satisfies Omit<ComboBlock, 'id' | 'combos'>;
