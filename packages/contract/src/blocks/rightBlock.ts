import type { MoveBook } from '@eurhythm/core/moves';
import {
  ROUND_LIMITS,
  isCounted,
  placeholderBlock,
  withExactLength,
  type BlockCombo,
} from '@eurhythm/core/rounds';
import { ValidateNested } from 'class-validator';
import { checkFields } from '../rules/index.ts';
import { TypedBlocks, type AnyBlockDto } from './anyBlock.ts';

class OneBlock {
  @ValidateNested()
  @TypedBlocks()
  block!: AnyBlockDto;
}

const known = new WeakMap<AnyBlockDto, boolean>();

/** Whether every field of a block is right; one that is still being typed may hold no number, or far too large a one. */
export function isRightBlock(block: AnyBlockDto): boolean {
  let isRight = known.get(block);
  if (isRight === undefined) known.set(block, (isRight = checkFields(OneBlock, { block }).length === 0));
  return isRight;
}

/** A block that can be reckoned with and drawn: itself where it is right, and until then one that asks nothing. */
export function rightBlock(block: AnyBlockDto): AnyBlockDto {
  return isRightBlock(block) ? block : (placeholderBlock(block) as AnyBlockDto);
}

/** The block with the length that its counts need at this pace, where it is counted; a half-typed one stays as it is. */
export function withRightLength(
  block: AnyBlockDto,
  book: MoveBook,
  factor: number,
  combos?: ReadonlyMap<string, BlockCombo>,
): AnyBlockDto {
  if (!isCounted(block)) return block;
  // Its own length may be what is wrong: it is worked out here.
  const isRight = isRightBlock({ ...block, seconds: ROUND_LIMITS.blockSeconds.min });
  return isRight ? withExactLength(block, book, factor, combos) : block;
}
