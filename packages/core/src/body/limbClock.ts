import { isLegStrike, isStrike, type Move } from '../moves/index.ts';
import { subtract, toNumber, type Bpm, type Seconds } from '../units/index.ts';
import type { Walk, WalkedStroke } from './walkStance.ts';

/** How quick a body is assumed to be; `factor` multiplies all times of the book, which are those at sharp pace. */
export const PACE_FACTORS = { sharp: 1, club: 1.25, novice: 1.6 } as const;
export type Pace = keyof typeof PACE_FACTORS;

/** Rows of the table (engine §2): what kind of stroke follows what kind. */
export const PAIR_CLASSES = [
  'same-hand',
  'same-leg',
  'kept-up',
  'hand-hand',
  'hand-leg',
  'leg-hand',
  'leg-leg',
  'from-other',
  'to-other',
] as const;
export type PairClass = (typeof PAIR_CLASSES)[number];

/** A fighter's own pace: a factor for everything, and others for the kinds of pairs that were measured. */
export interface OwnPace {
  readonly base: number;
  readonly pairs: Readonly<Partial<Record<PairClass, number>>>;
}

export interface ClockSettings {
  /** Pace factor: one of `PACE_FACTORS`, or a fighter's own. */
  readonly factor: number | OwnPace;
  /** Drive through the target instead of snapping back. */
  readonly drivesThrough?: boolean;
  /** Keep the hips square on a kick when a punch follows it, as with a touch. */
  readonly squareHips?: boolean;
}

/**
 * The factor for a pair of this class, or for a stroke by itself.
 *
 * @example
 * factorOf({ factor: 1.25 }) // 1.25
 */
export function factorOf({ factor }: ClockSettings, pair?: PairClass): number {
  if (typeof factor === 'number') return factor;
  return (pair === undefined ? undefined : factor.pairs[pair]) ?? factor.base;
}

/** The two strokes that need the most time between them, with the least gap and the reason. */
export interface ClockLimit {
  readonly fromStroke: number;
  readonly toStroke: number;
  /** Least time from the one impact to the other. */
  readonly seconds: Seconds;
  readonly reason: string;
}

export interface ClockResult {
  /** Fastest tempo at which every gap is long enough, rounded down; null when no tempo can save the line. */
  readonly fastestBpm: Bpm | null;
  readonly limit: ClockLimit | null;
}

/** Added to `out` by a step through or back (engine §2). */
const STEP_TIME: Seconds = 0.08;
/** Shares of a move's times for a feint, a touch, and for driving through the target (engine §2). */
const FEINT = 0.6;
const TOUCH = 0.8;
const THROUGH = 1.25;
/** A line without any limit is still not danced faster than this. */
const MOST_BPM: Bpm = 999;

interface Times {
  readonly out: Seconds;
  readonly back: Seconds;
}

interface Gap {
  readonly pair: PairClass;
  readonly seconds: Seconds;
  readonly reason: string;
}

/**
 * Times of one stroke at sharp pace.
 *
 * @example
 * strokeTimes(walk('jab').strokes[0], { factor: 1 }).out // 0.16
 */
export function strokeTimes({ move, stroke }: WalkedStroke, settings: ClockSettings): Times {
  const share = (stroke.feint ? FEINT : 1) * (stroke.power === 'touch' ? TOUCH : 1);
  const through = settings.drivesThrough === true && isStrike(move) ? THROUGH : 1;
  return {
    out: move.out * share + (stroke.step === null ? 0 : STEP_TIME),
    back: move.back * share * through,
  };
}

/**
 * Largest tempo at which the fighter's body can do every stroke in time, and the pair that holds it back.
 * The table holds for every pair and not only for neighbours: what lies between two strokes never makes them quicker,
 * and a limb or a standing leg may still be busy from further back.
 *
 * @example
 * limbClock(walk('1 2'), { factor: 1 }).fastestBpm > 60 // true
 */
export function limbClock(walk: Walk, settings: ClockSettings): ClockResult {
  const own = walk.strokes.filter((stroke) => stroke.stroke.by === 'fighter');
  const slowest = Math.max(...PAIR_CLASSES.map((pair) => factorOf(settings, pair)));
  const longest =
    slowest *
    own.reduce((most, stroke) => {
      const { out, back } = strokeTimes(stroke, settings);
      return Math.max(most, out, back);
    }, 0) *
    2;
  let fastest = MOST_BPM;
  let limit: ClockLimit | null = null;
  for (const [j, later] of own.entries()) {
    for (let i = j - 1; i >= 0; i--) {
      const earlier = own[i]!;
      const beats = toNumber(subtract(later.beat, earlier.beat));
      if ((60 * beats) / longest >= fastest) break; // further back there is only more time
      if (beats === 0) {
        const clash = togetherGap(earlier, later);
        if (!clash) continue;
        return { fastestBpm: null, limit: limitOf(earlier, later, clash.seconds, clash.reason) };
      }
      const gap = leastGap(earlier, later, settings);
      const seconds = gap.seconds * factorOf(settings, gap.pair);
      const bpm = (60 * beats) / seconds;
      if (bpm < fastest) {
        fastest = bpm;
        limit = limitOf(earlier, later, seconds, gap.reason);
      }
    }
  }
  return { fastestBpm: Math.floor(fastest + 1e-9), limit };
}

function limitOf(from: WalkedStroke, to: WalkedStroke, seconds: Seconds, reason: string): ClockLimit {
  return { fromStroke: from.index, toStroke: to.index, seconds: Math.round(seconds * 1000) / 1000, reason };
}

/**
 * @example
 * sharesLimb(...walk('jab jab').strokes) // true
 */
export function sharesLimb(a: WalkedStroke, b: WalkedStroke): boolean {
  if (a.limb === 'both-hands') return b.limb.endsWith('-hand') || b.limb === 'both-hands';
  if (b.limb === 'both-hands') return a.limb.endsWith('-hand');
  return a.limb === b.limb && a.limb !== 'holder';
}

function sameLimbGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
  if (later.stroke.keptUp && isLegStrike(earlier.move)) {
    return {
      pair: 'kept-up',
      seconds: 0.5 * a.back + 0.5 * b.out,
      reason: 'the leg stays up: half the way back, half the way out',
    };
  }
  const isHand = earlier.limb.endsWith('hand') || earlier.limb === 'both-hands';
  const share = isHand ? 0.7 : 1;
  return {
    pair: isHand ? 'same-hand' : 'same-leg',
    seconds: share * a.back + b.out,
    reason: `the same ${isHand ? 'hand' : 'leg'} has to come back before it goes again`,
  };
}

type Kind = 'hand' | 'leg' | 'other';

function kindOf({ move }: WalkedStroke): Kind {
  if (isLegStrike(move)) return 'leg';
  return isStrike(move) ? 'hand' : 'other';
}

/** Least gap at sharp pace from one impact of the fighter to a later one (engine §2, the table, from its top). */
function leastGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  if (sharesLimb(earlier, later)) return sameLimbGap(earlier, later, settings);
  const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
  const [from, to] = [kindOf(earlier), kindOf(later)];
  if (to === 'other') {
    return {
      pair: 'to-other',
      seconds: 0.4 * a.back + b.out,
      reason: `the ${nameOf(later)} needs its time after the ${nameOf(earlier)}`,
    };
  }
  if (from === 'other') {
    return {
      pair: 'from-other',
      seconds: 0.6 * a.back + 0.7 * b.out,
      reason: `the ${nameOf(earlier)} has to settle before the ${nameOf(later)}`,
    };
  }
  if (from === 'hand') return to === 'hand' ? handToHand(earlier, later, b) : handToLeg(earlier, later, b);
  if (to === 'leg')
    return {
      pair: 'leg-leg',
      seconds: a.back + 0.9 * b.out,
      reason: 'one leg has to stand before the other one goes',
    };
  return earlier.stroke.power === 'touch' || settings.squareHips === true
    ? {
        pair: 'leg-hand',
        seconds: 0.5 * a.back + 0.5 * b.out,
        reason: `with the hips kept square the ${nameOf(later)} goes while the foot comes down`,
      }
    : {
        pair: 'leg-hand',
        seconds: 0.8 * a.back + 0.55 * b.out,
        reason: `the kicking foot has to come down before the ${nameOf(later)} can go`,
      };
}

function handToHand(earlier: WalkedStroke, later: WalkedStroke, { out }: Times): Gap {
  return alternates(earlier, later)
    ? {
        pair: 'hand-hand',
        seconds: Math.max(0.55 * out, 0.16),
        reason: 'the hips turn from one hand to the other',
      }
    : {
        pair: 'hand-hand',
        seconds: Math.max(0.55 * out, 0.26),
        reason: 'the hips do not turn from one hand to the other, so the arm goes alone',
      };
}

function handToLeg(earlier: WalkedStroke, later: WalkedStroke, { out }: Times): Gap {
  const sameSide = earlier.limb.split('-')[0] === later.limb.split('-')[0];
  return sameSide
    ? {
        pair: 'hand-leg',
        seconds: 0.6 * out,
        reason: `one turn of the hips carries the hand and the ${nameOf(later)} of the same side`,
      }
    : {
        pair: 'hand-leg',
        seconds: 0.85 * out,
        reason: `the ${nameOf(later)} of the other side needs a turn of its own`,
      };
}

/** Two strokes at one instant: different limbs, and a foot on the floor. */
function togetherGap(earlier: WalkedStroke, later: WalkedStroke): Omit<Gap, 'pair'> | null {
  if (sharesLimb(earlier, later) && kindOf(earlier) !== 'other') {
    return { seconds: 0, reason: `the same ${earlier.limb.replace('-', ' ')} cannot land twice at once` };
  }
  const lifts = (stroke: WalkedStroke): boolean => isLegStrike(stroke.move);
  if (
    (lifts(earlier) || earlier.move.support === 'airborne') &&
    (lifts(later) || later.move.support === 'airborne')
  ) {
    return { seconds: 0, reason: 'no foot would be left on the floor' };
  }
  return null;
}

/** Whether the hips turn one way and then the other: seen from above, by the side that works and whether it comes forward. */
function alternates(earlier: WalkedStroke, later: WalkedStroke): boolean {
  const [a, b] = [turnOf(earlier), turnOf(later)];
  return a !== 0 && b !== 0 && a !== b;
}

/**
 * +1 when the hips turn to the left seen from above, −1 to the right, 0 when they stay. Full or kept square by a touch.
 *
 * @example
 * turnOf(walk('cross').strokes[0]) // 1
 */
export function turnOf({ move, limb, stroke }: WalkedStroke): number {
  if (stroke.power === 'touch' && isLegStrike(move)) return 0;
  const side = limb.startsWith('right') ? 1 : limb.startsWith('left') ? -1 : 0;
  return move.turn * side || 0;
}

function nameOf({ move }: { readonly move: Move }): string {
  return move.name.toLowerCase();
}
