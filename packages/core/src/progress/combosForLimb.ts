import type { Limb } from '../body/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { impactBeats } from '../strikes/index.ts';

/**
 * The combos in which a limb strikes most, out of a left lead; those in which it does not strike are left out.
 *
 * @param most how many combos are named at most
 *
 * @example
 * combosForLimb('left-leg', ['1 2', '1 f:push'].map((line) => ({ line })), book, 1) // [{ line: '1 f:push' }]
 */
export function combosForLimb<C extends { readonly line: string }>(
  limb: Limb,
  combos: readonly C[],
  book: MoveBook,
  most: number,
): C[] {
  return combos
    .map((combo) => {
      const limbs = impactBeats(combo.line, 'left', book).map((impact) => impact.limb);
      return { combo, share: limbs.filter((each) => each === limb).length / Math.max(1, limbs.length) };
    })
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share)
    .slice(0, most)
    .map(({ combo }) => combo);
}
