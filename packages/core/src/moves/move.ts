import type { Seconds } from '../units/index.ts';

export type Lead = 'left' | 'right';
export type Side = 'front' | 'rear';
export type Level = 'head' | 'body' | 'low';

/** How a gym names the sides of a body; left and right follow the lead that stands. */
export const SIDE_NAMES = ['lead-rear', 'front-back', 'left-right'] as const;
export type SideNames = (typeof SIDE_NAMES)[number];

export type Family =
  'punch' | 'open-hand' | 'elbow' | 'kick' | 'knee' | 'block' | 'evasion' | 'clinch' | 'step' | 'stance';

/** What a move is done with. Knees count as leg, elbows as hand. */
export type LimbKind = 'hand' | 'both-hands' | 'leg' | 'feet' | 'body';

/**
 * Which side does the move: fixed by the move, free to choose, both at once, or no side at all. A directed move has no
 * limb of its own side: it goes over the front or the rear shoulder, usually over the one that is named.
 */
export type MoveSide =
  | { readonly kind: 'fixed'; readonly side: Side }
  | { readonly kind: 'free'; readonly usual: Side }
  | { readonly kind: 'directed'; readonly usual: Side }
  | { readonly kind: 'both' }
  | { readonly kind: 'none' };

export type Support = 'both-feet' | 'one-foot' | 'airborne' | 'ground';

/** The stance that a move leaves the fighter in. */
export type StanceKind = 'fighting' | 'square' | 'long' | 'back' | 'horse' | 'kneeling';

export type CautionTag =
  | 'head-contact'
  | 'knee-strike'
  | 'elbow-strike'
  | 'spin'
  | 'jump'
  | 'clinch'
  | 'toes-back'
  | 'toes-pointed'
  | 'pivot-first'
  | 'weight-on-wrist';

/** What a move is for, where a rule needs to know: rules ask for this and for properties, never for a code. */
export const MOVE_ROLES = [
  'step-in',
  'step-out',
  'clinch',
  'shove',
  'guard',
  'cover',
  'high-block',
  'evasion',
  'spin',
] as const;
export type MoveRole = (typeof MOVE_ROLES)[number];

/** One counted part of a move, with the cue a coach says on that count. */
export interface MovePart {
  readonly name: string;
  readonly cue: string;
}

/** What a move lays open, in a sentence that is reported wherever it is used; by default at every side and height. */
export interface MoveRisk {
  readonly text: string;
  readonly severity: 'note' | 'caution';
  /** Only from this side, or at this height; null for any. */
  readonly side: Side | null;
  readonly level: Level | null;
  /** The gym does not want to hear of it. */
  readonly muted: boolean;
}

/** One technique of the gym's book. */
export interface Move {
  /** Lower-case letters only; how a beat line writes it. */
  readonly code: string;
  readonly name: string;
  /** Spoken forms: `long` the name, `short` one or two syllables. */
  readonly say: { readonly long: string; readonly short: string };
  readonly family: Family;
  readonly limb: LimbKind;
  readonly side: MoveSide;
  /** Usual target height; null when nothing is aimed at. */
  readonly level: Level | null;
  /** The part of the body that lands. */
  readonly surface: string | null;
  /** What the partner holds, and how. */
  readonly target: string | null;
  /** Start to impact, at sharp pace. */
  readonly out: Seconds;
  /** Impact to ready again, at sharp pace. */
  readonly back: Seconds;
  /** Turn of the hips: +1 the working side comes forward, −1 it goes back, 0 none. */
  readonly turn: -1 | 0 | 1;
  /** Degrees the whole body spins on its way to the target. */
  readonly spin: number;
  readonly support: Support;
  /** Whether the lead is the other one afterwards. */
  readonly lead: 'keeps' | 'flips';
  /**
   * Degrees by which the fighter faces another way afterwards, clockwise from above. A directed move tells those of its
   * usual direction from a left lead; the other direction and the other lead turn them round.
   */
  readonly facing: number;
  /**
   * Steps that the stance travels: forward, and to the right, which a directed move turns round as it does `facing`. A step of one
   * foot, which is from a free side, tells those of the right foot.
   */
  readonly step: { readonly forward: number; readonly right: number };
  /** The stance it ends in; null when it leaves the stance as it was. */
  readonly stance: StanceKind | null;
  readonly parts: readonly MovePart[];
  readonly faults: readonly string[];
  /** Code of an easier move that stands in for it; null when there is none. */
  readonly easier: string | null;
  readonly cautions: readonly CautionTag[];
  /** Other words for it, in any language: found when typing or searching, never written into a line. */
  readonly aliases: readonly string[];
  /** Id of the lowest grade that trains it; null when everybody does. */
  readonly minGrade: string | null;
  /** What it is for; null for what its family and properties say (see `roleOf`). */
  readonly role: MoveRole | null;
  /** What it lays open; a book of an earlier release has none. */
  readonly risks?: readonly MoveRisk[] | undefined;
}

/** A number of the gym's number map: the move it calls and, for a free move, from which side. */
export interface NumberedMove {
  readonly number: number;
  readonly code: string;
  readonly side: Side | null;
}

export const STRIKING_FAMILIES: readonly Family[] = ['punch', 'open-hand', 'elbow', 'kick', 'knee'];

/**
 * Whether the move is meant to land on somebody or something.
 *
 * @example
 * isStrike(book.moves.get('jab')) // true
 */
export function isStrike(move: Move): boolean {
  return STRIKING_FAMILIES.includes(move.family);
}

/**
 * Whether the move takes a leg off the floor to strike.
 *
 * @example
 * isLegStrike(book.moves.get('round')) // true
 */
export function isLegStrike(move: Move): boolean {
  return move.family === 'kick' || move.family === 'knee';
}

/** One foot alone brings the body half a step nearer, which is no entry yet. */
const IN_OR_OUT = 0.6;

/**
 * What a move is for: its own role, or what its family and properties make it. Null when no rule asks.
 *
 * @example
 * roleOf({ ...book.moves.get('jab'), role: null, family: 'clinch' }) // 'clinch'
 */
export function roleOf(move: Pick<Move, 'role' | 'family' | 'spin' | 'step'>): MoveRole | null {
  if (move.role) return move.role;
  if (move.spin > 0) return 'spin';
  if (move.family === 'clinch' || move.family === 'evasion') return move.family;
  if (move.family !== 'step' || Math.abs(move.step.forward) < IN_OR_OUT) return null;
  return move.step.forward > 0 ? 'step-in' : 'step-out';
}

/**
 * Whether the body turns its back on the way.
 *
 * @example
 * isSpin({ role: null, spin: 180 }) // true
 */
export function isSpin(move: Pick<Move, 'role' | 'spin'>): boolean {
  return move.spin > 0 || move.role === 'spin';
}

/**
 * @example
 * otherLead('left') // 'right'
 */
export function otherLead(lead: Lead): Lead {
  return lead === 'left' ? 'right' : 'left';
}

/**
 * @example
 * otherSide('front') // 'rear'
 */
export function otherSide(side: Side): Side {
  return side === 'front' ? 'rear' : 'front';
}
