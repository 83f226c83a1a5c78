import { fairTurns, type PartnerGroup, type RolesSoFar } from './fairTurns.ts';
import { groupUp, type Group, type Trainee } from './pairUp.ts';

/** Somebody in a class: from which rotation on, and up to (not including) which; null for the end. */
export interface Attendee extends Trainee {
  readonly from: number;
  readonly until: number | null;
}

export interface Rotation {
  readonly groups: readonly PartnerGroup[];
}

/** How many stand together. */
export type GroupSize = 1 | 2 | 3;

/** Turns of a round in which everybody of a group works once; alone, work and then rest. */
const TURNS_OF_SIZE: Readonly<Record<GroupSize, number>> = { 1: 2, 2: 2, 3: 3 };

/**
 * Who works with whom in each rotation of a class, and in which turns. A rotation is planned from those who are there and
 * from who has met and worked before, never from what comes later: somebody who arrives late, or leaves, changes the rest only.
 *
 * @param rotations 0 or more
 *
 * @example
 * partnerPlan([], 1, 2).length // 1
 */
export function partnerPlan(
  people: readonly Attendee[],
  rotations: number,
  size: GroupSize | ((rotation: number) => GroupSize),
): Rotation[] {
  const met: Group[] = [];
  const done: RolesSoFar = new Map();
  return Array.from({ length: rotations }, (_, at): Rotation => {
    const here = people.filter(({ from, until }) => from <= at && (until === null || at < until));
    const sizeHere = typeof size === 'number' ? size : size(at);
    const groups = groupUp(here, sizeHere, met, (id) => done.get(id)?.work ?? 0);
    met.push(...groups);
    return { groups: fairTurns(groups, TURNS_OF_SIZE[sizeHere], done) };
  });
}

/** Partners who differ by more than this, in centimetres, are reported: pads and air only, or somebody else. */
const LARGE_GAP = 30;

/**
 * The heights of the smallest and the tallest of a group where they differ too much for partner work; null where they do
 * not, or where nobody measured.
 *
 * @example
 * unequalHeights(['a', 'b'], new Map([['a', 183], ['b', 121]])) // [121, 183]
 */
export function unequalHeights(
  members: readonly string[],
  heights: ReadonlyMap<string, number | null>,
): readonly [number, number] | null {
  const known = members.flatMap((id) => heights.get(id) ?? []);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  return known.length > 1 && most - least > LARGE_GAP ? [least, most] : null;
}
