import { mean } from 'simple-statistics';
import { Z_90 } from './compareTrials.ts';
import type { Course } from './course.ts';
import type { Better } from './dayTrials.ts';

export interface Evenness {
  /** 100 · (right − left) / mean, of how much is done or how long it takes. */
  readonly percent: number;
  /** Nine of ten such intervals hold the truth. */
  readonly from: number;
  readonly to: number;
  /** The lead that does less or takes longer, where the interval leaves no doubt. */
  readonly behind: 'left' | 'right' | null;
  readonly trials: { readonly left: number; readonly right: number };
}

/**
 * How even the two leads are in one test. Null where a lead was not tried, or the typical error is not known.
 *
 * @example
 * evenness({ left: [20, 20], right: [22, 22] }, 1, 'higher')?.behind // 'left'
 */
export function evenness(
  { left, right }: { readonly left: readonly number[]; readonly right: readonly number[] },
  typicalError: number | null,
  better: Better,
): Evenness | null {
  if (left.length === 0 || right.length === 0 || typicalError === null) return null;
  const [l, r] = [mean([...left]), mean([...right])];
  const middle = (l + r) / 2;
  if (middle <= 0) return null;
  const percent = (100 * (r - l)) / middle;
  const reach = (100 * Z_90 * typicalError * Math.sqrt(1 / left.length + 1 / right.length)) / middle;
  const [from, to] = [percent - reach, percent + reach];
  const more = from > 0 ? 'right' : to < 0 ? 'left' : null;
  const other = more === 'right' ? 'left' : 'right';
  const behind = more === null ? null : better === 'higher' ? other : more;
  return { percent, from, to, behind, trials: { left: left.length, right: right.length } };
}

/** Days of the leads are held against each other over so many of the last days of each. */
const LATEST = 6;

/**
 * How even the leads are in the courses of a test. Null where they were counted in different ways, or a lead was not tried.
 *
 * @example
 * evenCourses(null, null, 'higher') // null
 */
export function evenCourses(left: Course | null, right: Course | null, better: Better): Evenness | null {
  if (!left || !right || left.measured !== right.measured) return null;
  const valuesOf = ({ days }: Course): number[] => days.slice(-LATEST).flatMap(({ values }) => [...values]);
  const error = Math.max(left.typicalError ?? 0, right.typicalError ?? 0) || null;
  return evenness({ left: valuesOf(left), right: valuesOf(right) }, error, better);
}

/** Fewer rounds than this say nothing of a class. */
const LEAST_ROUNDS = 20;
/** Both leads alike would be half. */
const NEGLECTED = 0.3;

/**
 * The share of rounds that were done from the other lead than the fighters' own, where it is less than three of ten; null else, and where
 * there were too few rounds.
 *
 * @example
 * neglectedLead({ own: 30, other: 10 }) // 0.25
 */
export function neglectedLead({
  own,
  other,
}: {
  readonly own: number;
  readonly other: number;
}): number | null {
  const share = other / (own + other);
  return own + other >= LEAST_ROUNDS && share < NEGLECTED ? share : null;
}
