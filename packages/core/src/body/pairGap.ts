import { isLegStrike, isStrike, type Move } from '../moves/index.ts';
import type { Seconds } from '../units/index.ts';
import {
  isArrival,
  isCatch,
  isFlown,
  isOneFoot,
  kindOf,
  movesFeet,
  sharesLimb,
  turnOf,
} from './strokeFacts.ts';
import type { WalkedStroke } from './walkStance.ts';

/** How quick a body is assumed to be; `factor` multiplies all times of the book, which are those at sharp pace. */
export const PACE_FACTORS = { sharp: 1, club: 1.25, novice: 1.6 } as const;
export type Pace = keyof typeof PACE_FACTORS;

/** Rows of the table: what kind of stroke follows what kind. */
export const PAIR_CLASSES = [
  'same-hand',
  'same-leg',
  'kept-up',
  'hand-hand',
  'hand-leg',
  'leg-hand',
  'leg-leg',
  'feet-feet',
  'from-other',
  'to-other',
] as const;
export type PairClass = (typeof PAIR_CLASSES)[number];

/** What the kinds of pairs are called. */
export const PAIR_WORDS: Readonly<Record<PairClass, string>> = {
  'same-hand': 'the same hand again',
  'same-leg': 'the same leg again',
  'kept-up': 'the leg kept up',
  'hand-hand': 'hand, then the other hand',
  'hand-leg': 'hand, then leg',
  'leg-hand': 'kick, then hand',
  'leg-leg': 'leg, then the other leg',
  'feet-feet': 'step after step',
  'from-other': 'out of an evasion or a block',
  'to-other': 'into an evasion or a block',
};

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

export interface Times {
  readonly out: Seconds;
  readonly back: Seconds;
}

/** Added to `out` by a step through or back. */
const STEP_TIME: Seconds = 0.08;
/** Shares of a move's times for a feint, a touch, and for driving through the target. */
const FEINT = 0.6;
const TOUCH = 0.8;
const THROUGH = 1.25;
/** A whole step takes this long, whatever the hands do; and two kicks of one flight. */
const WHOLE_STEP: Seconds = 0.42;
const FLIGHT: Seconds = 0.22;
/** From hand to hand: with the hips turning back, and when they have turned that way already. */
const TURNING: Seconds = 0.16;
const TURNED: Seconds = 0.26;

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
 * Least time from one impact to a later one at this pace: the table, and the feet whatever the hands do.
 *
 * @example
 * neededGap(...walk('jab jab').strokes, { factor: 1 }).seconds > 0 // true
 */
export function neededGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  if (isOneFoot(earlier) && isOneFoot(later)) return timed(feetGap(earlier, later, settings), settings);
  const gap = timed(leastGap(earlier, later, settings), settings);
  if (!movesFeet(earlier) || !movesFeet(later)) return gap;
  const step = timed(feetGap(earlier, later, settings), settings);
  return step.seconds > gap.seconds ? step : gap;
}

/** No pair of these strokes needs more time than this. */
export function longestGap(own: readonly WalkedStroke[], settings: ClockSettings): Seconds {
  const slowest = Math.max(...PAIR_CLASSES.map((pair) => factorOf(settings, pair)));
  const times = own.map((stroke) => strokeTimes(stroke, settings)).flatMap(({ out, back }) => [out, back]);
  return slowest * Math.max(WHOLE_STEP, 2 * Math.max(0, ...times));
}

function timed({ pair, seconds, reason }: Gap, settings: ClockSettings): Gap {
  return { pair, seconds: seconds * factorOf(settings, pair), reason };
}

/** One foot of a grid takes half of a whole step, in which both go one after the other. */
const ONE_FOOT: Seconds = WHOLE_STEP / 2;

/** The feet are a limb of their own: a whole step has to be done before the next begins. */
function feetGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
  if (isOneFoot(earlier) && isOneFoot(later))
    return {
      pair: 'feet-feet',
      seconds: Math.max(ONE_FOOT, earlier.side === later.side ? a.back + b.out : ONE_FOOT),
      reason:
        earlier.side === later.side
          ? 'the foot has to stand before it goes again'
          : 'one foot has to stand before the other goes',
    };
  return {
    pair: 'feet-feet',
    seconds: Math.max(WHOLE_STEP, a.back + b.out),
    reason: 'one step has to be done before the feet can move again',
  };
}

function sameLimbGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
  if (isCatch(earlier, later))
    return {
      pair: 'same-hand',
      seconds: 0.5 * b.out,
      reason: 'the hand is there from the block and has to close',
    };
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

/** From the landing to the first of what follows: the knees give, and the weight settles; where a careful coach would begin. */
const LANDING: Seconds = 0.15;
/** Least gap at sharp pace from one impact of the fighter to a later one. */
function leastGap(earlier: WalkedStroke, later: WalkedStroke, settings: ClockSettings): Gap {
  if (sharesLimb(earlier, later)) return sameLimbGap(earlier, later, settings);
  const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
  const [from, to] = [kindOf(earlier), kindOf(later)];
  // Whoever is in the air has to land before anything else of his can be done.
  if (isFlown(earlier) && !isFlown(later) && later.move.support !== 'airborne')
    return {
      pair: to === 'other' ? 'to-other' : to === 'hand' ? 'leg-hand' : 'leg-leg',
      seconds: a.back + LANDING + 0.9 * b.out,
      reason: `both feet have to land from the ${nameOf(earlier)} before the ${nameOf(later)}`,
    };
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
  if (to === 'leg' && isFlown(later))
    return { pair: 'leg-leg', seconds: FLIGHT, reason: 'both kicks land in one flight' };
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
  // Only a hand that wants a turn of the hips which they have just made is held up by them.
  const waits = turnOf(earlier) !== 0 && turnOf(earlier) === turnOf(later);
  return {
    pair: 'hand-hand',
    seconds: Math.max(0.55 * out, waits ? TURNED : TURNING),
    reason: waits
      ? 'both turn the hips the same way, so the second arm goes alone'
      : 'the hips turn from one hand to the other',
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
export function togetherGap(earlier: WalkedStroke, later: WalkedStroke): Omit<Gap, 'pair'> | null {
  if (sharesLimb(earlier, later) && (kindOf(earlier) !== 'other' || earlier.limb.endsWith('-hand'))) {
    return { seconds: 0, reason: `the same ${earlier.limb.replace('-', ' ')} cannot land twice at once` };
  }
  if (movesFeet(earlier) && movesFeet(later) && !isArrival(earlier, later))
    return { seconds: 0, reason: 'the feet cannot do two things at once' };
  const lifts = (stroke: WalkedStroke): boolean => isLegStrike(stroke.move);
  if (
    (lifts(earlier) || earlier.move.support === 'airborne') &&
    (lifts(later) || later.move.support === 'airborne')
  ) {
    return { seconds: 0, reason: 'no foot would be left on the floor' };
  }
  return null;
}

function nameOf({ move }: { readonly move: Move }): string {
  return move.name.toLowerCase();
}
