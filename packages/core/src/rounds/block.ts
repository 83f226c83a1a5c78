import type { CallWords, CountLanguage } from '../calls/index.ts';
import type { Lead } from '../moves/index.ts';
import type { Bpm, Seconds } from '../units/index.ts';

/**
 * What the voice calls of a combo: each stroke on its beat, or one slot ahead; only the combo before its count-in; one
 * count for each time through; for the holder, what to offer, one slot ahead; or nothing (the holder shows).
 */
export const CALL_STYLES = ['on-beat', 'ahead', 'lead-in', 'one-count', 'holder', 'silent'] as const;
export type CallStyle = (typeof CALL_STYLES)[number];

/** From which lead: the round's own, the other one, or half the time each. */
export const STEADY_LEAD_PLANS = ['as-set', 'other', 'halves'] as const;
export type SteadyLeadPlan = (typeof STEADY_LEAD_PLANS)[number];
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

/** What a round is for, in the order of a class. */
export const PHASES = [
  'warm-up',
  'technique',
  'combos',
  'pads',
  'shadow',
  'conditioning',
  'stretch',
] as const;
export type Phase = (typeof PHASES)[number];

interface BlockBase {
  readonly id: string;
  readonly seconds: Seconds;
  /** Names of the groups it is for; empty for everybody. */
  readonly who?: readonly string[];
  /** What has to be at hand, such as pads. */
  readonly kit?: readonly string[];
  /** Steps of floor needed one way, beyond what its lines need. */
  readonly space?: number | null;
  /** What the coach says before it begins. */
  readonly tell?: string;
}

/** A group that does combos of its own to the same clock. */
export interface ComboLane {
  readonly group: string;
  readonly combos: readonly BlockCombo[];
}

/** Combos on a beat, each repeated before the next is called. What is left out takes its first kind, or nothing. */
export interface ComboBlock extends BlockBase {
  readonly kind: 'combo';
  readonly combos: readonly BlockCombo[];
  readonly bpm: Bpm;
  readonly calls: CallStyle;
  readonly words: CallWords;
  readonly leadPlan: LeadPlan;
  /** Cycles of a combo before the next one is called, and before the lead changes where the plan says so. */
  readonly cyclesEach: number;
  readonly tempo?: TempoShape;
  readonly gaps?: GapPlan;
  readonly order?: ComboOrder;
  /** Contact in percent of full power, in equal parts of the time; called where it changes. */
  readonly intensity?: readonly number[];
  /** Groups with combos of their own; a time through lasts as long as the slowest of them needs. */
  readonly lanes?: readonly ComboLane[];
}

/** Shadowboxing: move freely, with a spoken prompt at random instants. */
export interface FreeBlock extends BlockBase {
  readonly kind: 'free';
  readonly prompts: readonly string[];
  /** Shortest and longest wait between two prompts. */
  readonly every: { readonly min: Seconds; readonly max: Seconds };
  readonly leadPlan: SteadyLeadPlan;
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

/** Repetitions that the groups of a class do at once; the clock is that of the group with the most. */
export interface GroupReps {
  readonly group: string;
  readonly reps: number;
}

/** A move or a short line on the count: so many on each side, in sets with a rest between. */
export interface CountBlock extends BlockBase {
  readonly kind: 'count';
  readonly title: string;
  /** A beat line; a single stroke such as `r:round` for a move. */
  readonly line: string;
  readonly reps: number;
  readonly groups: readonly GroupReps[];
  readonly sides: 'both' | 'one';
  readonly sets: number;
  readonly rest: Seconds;
  /** Seconds for one repetition; null for what the book's times make of it. */
  readonly repSeconds: Seconds | null;
  /** One count for the whole, a count for each part, or parts, then whole, then fast. */
  readonly method: 'whole' | 'parts' | 'build-up';
  readonly direction: 'up' | 'down';
  /** The target: as the move has it, head and body and low in turn, or from set to set rising. */
  readonly levels: 'fixed' | 'in-turn' | 'rising';
  readonly from: 'standing' | 'kneeling' | 'seated';
  readonly shoutLast: boolean;
}

/** Stretches and stances that are held, with the end counted down. */
export interface HoldBlock extends BlockBase {
  readonly kind: 'hold';
  readonly title: string;
  readonly holdSeconds: Seconds;
  readonly sides: 'both' | 'one';
  readonly times: number;
}

/** A call at random waits, to be answered with a line. */
export interface ReactBlock extends BlockBase {
  readonly kind: 'react';
  /** What is called; empty when the holder acts and nothing is said. */
  readonly call: string;
  readonly line: string;
  readonly every: { readonly min: Seconds; readonly max: Seconds };
  /** So long the calls come regularly at first. */
  readonly regular: Seconds;
}

/** Steps there and back on a beat, with a strike on the last step; as many as the room allows. */
export interface FootworkBlock extends BlockBase {
  readonly kind: 'footwork';
  readonly there: string;
  readonly back: string;
  readonly steps: number;
  /** A stroke on the last step there; empty for none. */
  readonly strike: string;
  /** Steps of room one way; null for plenty. */
  readonly room: number | null;
  readonly bpm: Bpm;
}

/** An exercise by repetitions, counted, or by the clock when there are none. */
export interface ConditionBlock extends BlockBase {
  readonly kind: 'condition';
  readonly title: string;
  readonly reps: number | null;
  readonly groups: readonly GroupReps[];
  readonly repSeconds: Seconds;
}

/** Somebody explains; the text is for the one who does. */
export interface TalkBlock extends BlockBase {
  readonly kind: 'talk';
  readonly title: string;
  readonly notes: string;
}

export type Block =
  | ComboBlock
  | CountBlock
  | BurstBlock
  | HoldBlock
  | FreeBlock
  | ReactBlock
  | FootworkBlock
  | ConditionBlock
  | RestBlock
  | TalkBlock;
export const BLOCK_KINDS = [
  'combo',
  'count',
  'burst',
  'hold',
  'free',
  'react',
  'footwork',
  'condition',
  'rest',
  'talk',
] as const satisfies readonly Block['kind'][];

/** Whether everybody stands: no bell rings for it, and no work goes on. */
export function isPause(block: { readonly kind: string }): boolean {
  return block.kind === 'rest' || block.kind === 'talk';
}

/** What is told of the time in a round. */
export const TIME_CALLS = [
  'start-bell',
  'halfway',
  'thirty',
  'ten',
  'last-five',
  'end-bell',
  'ready',
] as const;
export type TimeCall = (typeof TIME_CALLS)[number];
/** All but the thirty seconds, which are much talk in a short round. */
export const USUAL_TIME_CALLS: readonly TimeCall[] = TIME_CALLS.filter((call) => call !== 'thirty');

/** A round ready to be compiled. `seed` settles everything that is left to chance. */
export interface RoundPlan {
  readonly blocks: readonly Block[];
  readonly lead: Lead;
  readonly seed: number;
  /** Changes of tempo made while the round runs: what begins at `from` or later goes so much faster. */
  readonly shifts?: readonly TempoShift[];
  /** What is told of the time; the usual calls without it. */
  readonly timeCalls?: readonly TimeCall[];
  /** The word of the day: said at random instants of the work, to be answered by everybody. */
  readonly word?: string;
  /** What is counted in; English without it. */
  readonly count?: CountWords;
}

export interface TempoShift {
  readonly from: Seconds;
  readonly by: Bpm;
}

/** The language of the count, with the gym's own words where it has any. */
export interface CountWords {
  readonly language: CountLanguage;
  readonly own: readonly string[];
}

export const ROUND_LIMITS = {
  blockSeconds: { min: 5, max: 3600 },
  cyclesEach: { min: 1, max: 50 },
  blocks: 60,
  combosPerBlock: 20,
} as const;
