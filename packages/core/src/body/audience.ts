import { isSpin, isStrike, type Move } from '../moves/index.ts';
import { isFlown } from './strokeFacts.ts';
import type { WalkedStroke } from './walkStance.ts';

/** What children of a band may do to a partner; what is false is reported as a caution. */
export interface YouthLimits {
  readonly band: string;
  readonly headContact: boolean;
  readonly knees: boolean;
  readonly elbows: boolean;
  readonly spins: boolean;
  readonly jumps: boolean;
  /** Hardest contact with a partner, in percent of full power; none without it, as with everything that is not allowed. */
  readonly contact?: number | undefined;
}

/** A grade among the adult ones. Children stand with the lowest. */
export interface GradePlace {
  readonly name: string;
  /** Ids of the adult grades, lowest first, and the place of this one among them. */
  readonly order: readonly string[];
  readonly rank: number;
}

/** Whom the line is for. */
export interface Audience {
  /** Null when the line is for nobody in particular. */
  readonly grade: GradePlace | null;
  readonly youth: YouthLimits | null;
}

export const ANYBODY: Audience = { grade: null, youth: null };

/**
 * Whether a move belongs to a higher grade than this one. A grade that the gym no longer has holds nothing back.
 *
 * @example
 * isAboveGrade({ minGrade: 'flood' }, { name: 'Ebb', order: ['ebb', 'flood'], rank: 0 }) // true
 */
export function isAboveGrade(move: Pick<Move, 'minGrade'>, { order, rank }: GradePlace): boolean {
  return move.minGrade !== null && order.indexOf(move.minGrade) > rank;
}

/** A grade of the gym, as far as it says who is meant. */
export interface GymGrade {
  readonly id: string;
  readonly name: string;
  readonly band: 'children' | 'adults';
}

/** The limits that a gym set for its bands of children, by the id of the grade. */
export type BandLimits = Omit<YouthLimits, 'band'> & { readonly gradeId: string };

/** A band of children of which the gym said nothing is kept to the strictest limits. */
const STRICT = { headContact: false, knees: false, elbows: false, spins: false, jumps: false };

/**
 * For whom a combo of this grade is: its place among the adult grades, or the limits of its band of children.
 *
 * @example
 * audienceOf('ebb', [{ id: 'ebb', name: 'Ebb', band: 'adults' }], []).grade.rank // 0
 */
export function audienceOf(
  gradeId: string | undefined,
  grades: readonly GymGrade[],
  limits: readonly BandLimits[],
): Audience {
  const grade = grades.find((each) => each.id === gradeId);
  if (!grade) return ANYBODY;
  const order = grades.filter((each) => each.band === 'adults').map((each) => each.id);
  if (grade.band === 'adults')
    return { grade: { name: grade.name, order, rank: order.indexOf(grade.id) }, youth: null };
  const own = limits.find((each) => each.gradeId === grade.id) ?? STRICT;
  return { grade: { name: grade.name, order, rank: 0 }, youth: { ...own, band: grade.name } };
}

/**
 * What all of some bands may do together: the strictest of their limits; null when none of them is a band of children.
 *
 * @example
 * strictestOf(['m'], [{ id: 'm', name: 'Minnows', band: 'children' }], [{ gradeId: 'm', headContact: false, knees: false, elbows: false, spins: true, jumps: true }]).headContact // false
 */
export function strictestOf(
  gradeIds: readonly string[],
  grades: readonly GymGrade[],
  limits: readonly BandLimits[],
): YouthLimits | null {
  const bands = gradeIds.flatMap((id) => audienceOf(id, grades, limits).youth ?? []);
  if (bands.length === 0) return null;
  const all = (may: (band: YouthLimits) => boolean): boolean => bands.every(may);
  return {
    band: bands.map(({ band }) => band).join(', '),
    headContact: all((band) => band.headContact),
    knees: all((band) => band.knees),
    elbows: all((band) => band.elbows),
    spins: all((band) => band.spins),
    jumps: all((band) => band.jumps),
    contact: Math.min(...bands.map(({ contact = 0 }) => contact)),
  };
}

/**
 * What a band of children should not do to a partner, in the order of weight; null when it may.
 *
 * @example
 * youthFault(walk('r:knee').strokes[0].move, 'body', { band: 'Drop', headContact: false, knees: false, elbows: false, spins: false, jumps: false }) // 'no knees'
 */
export function youthFault(move: Move, level: string | null, limits: YouthLimits): string | null {
  if (!limits.knees && move.family === 'knee') return 'no knees';
  if (!limits.elbows && move.family === 'elbow') return 'no elbows';
  if (!limits.spins && isSpin(move)) return 'no spins';
  if (!limits.jumps && move.support === 'airborne' && isStrike(move)) return 'no jumps';
  if (!limits.headContact && isStrike(move) && level === 'head') return 'no contact to the head';
  return null;
}

/**
 * The same of a stroke of a line: a double of both legs is a jump, whatever its kicks are by themselves.
 *
 * @example
 * youthFaultOf(walk('r:round@b=^f:round@b').strokes[1], { band: 'Drop', headContact: false, knees: false, elbows: false, spins: false, jumps: false }) // 'no jumps'
 */
export function youthFaultOf(stroke: WalkedStroke, limits: YouthLimits): string | null {
  const move = isFlown(stroke) ? { ...stroke.move, support: 'airborne' as const } : stroke.move;
  return youthFault(move, stroke.level, limits);
}
