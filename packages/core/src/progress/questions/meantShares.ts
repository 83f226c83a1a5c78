import type { MoveBook } from '../../moves/index.ts';
import { shapeOf } from '../../plan/index.ts';
import { WORK_LIMBS, type WorkLimb } from '../../rounds/index.ts';

/**
 * What share of the strikes each limb would have if every combo of the book were trained as often, from both leads: what is meant to be
 * trained. Null where no combo strikes.
 *
 * @example
 * meantShares([{ line: '1 2' }], book) // { 'left-hand': 0.5, 'right-hand': 0.5, 'left-leg': 0, 'right-leg': 0 }
 */
export function meantShares(
  combos: readonly { readonly line: string }[],
  book: MoveBook,
): Readonly<Record<WorkLimb, number>> | null {
  const shapes = combos.flatMap(({ line }) => shapeOf(line, book) ?? []);
  const of = (limb: WorkLimb): number => shapes.reduce((sum, { shares }) => sum + shares[limb], 0);
  const total = WORK_LIMBS.reduce((sum, limb) => sum + of(limb), 0);
  if (total === 0) return null;
  return Object.fromEntries(WORK_LIMBS.map((limb) => [limb, of(limb) / total])) as Record<WorkLimb, number>;
}
