import { ROUND_LIMITS } from '@eurhythm/core/rounds';
import { ValidateNested } from 'class-validator';
import { TypedBlocks, type AnyBlockDto } from './blocks.ts';
import { checkFields } from './checkFields.ts';

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

/**
 * A block that can be reckoned with and drawn: itself where it is right, and until then an empty one of the same length (of
 * none where the length itself is wrong).
 */
export function rightBlock(block: AnyBlockDto): AnyBlockDto {
  if (isRightBlock(block)) return block;
  const isLength = Number.isFinite(block.seconds) && block.seconds >= 0;
  const seconds = isLength && block.seconds <= ROUND_LIMITS.blockSeconds.max ? block.seconds : 0;
  return { kind: 'talk', id: block.id, seconds, title: 'not right yet', notes: '' };
}
