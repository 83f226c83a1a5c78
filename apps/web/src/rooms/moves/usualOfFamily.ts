import type { SaveMoveDto } from '@eurhythm/contract';

const SHARED = ['limb', 'side', 'level', 'support', 'turn', 'lead', 'stance'] as const;
const TIMES = ['out', 'back'] as const;
type Usual = Pick<SaveMoveDto, (typeof SHARED)[number] | (typeof TIMES)[number]>;

/**
 * What most moves of a family in the book have in common, and the times of the middle one: what a new move of it begins with. Those
 * that spin are left out where others are there; undefined for a family without moves.
 */
export function usualOfFamily(
  family: SaveMoveDto['family'],
  book: readonly SaveMoveDto[],
): Usual | undefined {
  const all = book.filter((move) => move.family === family);
  const plain = all.filter(({ spin }) => spin === 0);
  const own = plain.length > 0 ? plain : all;
  if (own.length === 0) return undefined;
  const shared = SHARED.map((field) => [field, mostCommon(own.map((move) => move[field]))] as const);
  const times = TIMES.map((field) => [field, middle(own.map((move) => move[field]))] as const);
  return Object.fromEntries([...shared, ...times]) as Usual;
}

function mostCommon<T>(values: readonly T[]): T {
  const count = (value: T): number => values.filter((each) => each === value).length;
  return values.reduce((best, value) => (count(value) > count(best) ? value : best));
}

const middle = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;
