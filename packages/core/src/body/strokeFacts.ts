import { isLegStrike, isStrike } from '../moves/index.ts';
import type { WalkedStroke } from './walkStance.ts';

/* What strokes are to each other, whatever the time that they need. */

/**
 * @example
 * sharesLimb(...walk('jab jab').strokes) // true
 */
export function sharesLimb(a: WalkedStroke, b: WalkedStroke): boolean {
  if (a.limb === 'both-hands') return b.limb.endsWith('-hand') || b.limb === 'both-hands';
  if (b.limb === 'both-hands') return a.limb.endsWith('-hand');
  return a.limb === b.limb && a.limb !== 'holder';
}

/**
 * Whether a stroke moves the stance: a step, a switch, a turn, a step through or back, a kick that lands elsewhere.
 *
 * @example
 * movesFeet(walk('1>').strokes[0]) // true
 */
export function movesFeet({ move, stroke }: WalkedStroke): boolean {
  const travels = move.step.forward !== 0 || move.step.right !== 0;
  return (
    stroke.step !== null ||
    move.limb === 'feet' ||
    move.lead === 'flips' ||
    move.facing !== 0 ||
    (travels && !stroke.feint)
  );
}

/** A step of one foot alone: the other one stays, and so does the stance. */
export const isOneFoot = ({ move }: WalkedStroke): boolean =>
  move.limb === 'feet' && move.side.kind === 'free';

/** A step, or a rise from the knee, and the stance that it ends in. */
export function isArrival(earlier: WalkedStroke, later: WalkedStroke): boolean {
  const pair = [earlier.move, later.move];
  const stance = pair.find(({ family, support }) => family === 'stance' && support !== 'ground');
  const way = pair.find((move) => move !== stance);
  return stance !== undefined && way !== undefined && (way.family === 'step' || way.support === 'ground');
}

export type Kind = 'hand' | 'leg' | 'other';

export function kindOf({ move }: WalkedStroke): Kind {
  if (isLegStrike(move)) return 'leg';
  return isStrike(move) ? 'hand' : 'other';
}

/** Whether a kick leaves the ground while the other leg of a kick before it is still up: each leg once in one flight. */
export const isSecondOfFlight = ({ move, stroke, before, limb }: WalkedStroke): boolean =>
  isLegStrike(move) && stroke.keptUp && before.raised !== null && !limb.startsWith(before.raised);

/**
 * Whether a kick or knee is done off the floor: a jump of the book, or the second of a flying double.
 *
 * @example
 * isFlown(walk('r:round=^f:round').strokes[1]) // true
 */
export function isFlown(walked: WalkedStroke): boolean {
  return isSecondOfFlight(walked) || (isLegStrike(walked.move) && walked.move.support === 'airborne');
}

/** A turn or less than a whole step of the standing foot, which a kick that turns takes with it: so far, in degrees and steps. */
const STANDING_FOOT = { degrees: 90, steps: 1 };

/**
 * Whether the feet only do what the standing foot of a kick does at its impact: a pivot, or a small step, under a kick that
 * turns the hips.
 *
 * @example
 * isStandingFoot(...walk('r:round+pivot').strokes) // true
 */
export function isStandingFoot(kick: WalkedStroke, { move, stroke }: WalkedStroke): boolean {
  const { forward, right } = move.step;
  return (
    isLegStrike(kick.move) &&
    kick.move.turn !== 0 &&
    move.limb === 'feet' &&
    move.support !== 'airborne' &&
    move.lead === 'keeps' &&
    stroke.step === null &&
    Math.abs(move.facing) <= STANDING_FOOT.degrees &&
    Math.hypot(forward, right) < STANDING_FOOT.steps
  );
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

/** A hand that blocks and closes: it is on the partner's arm already. */
export const isCatch = (earlier: WalkedStroke, later: WalkedStroke): boolean =>
  earlier.move.family === 'block' &&
  later.move.family === 'clinch' &&
  sharesLimb(earlier, later) &&
  later.limb !== 'both-hands';
