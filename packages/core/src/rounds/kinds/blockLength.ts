import type { MoveBook } from '../../moves/index.ts';
import type { BlockCombo } from './combo/comboBlock.ts';
import { ROUND_LIMITS } from '../roundSettings.ts';
import { countedLength, type WrittenBlock } from './registry.ts';

/**
 * Stands for a block that is not right yet: it asks nothing, and is as long as that one where its length is right.
 *
 * @example
 * placeholderBlock({ id: 'b', seconds: NaN }).seconds // 0
 */
export function placeholderBlock({ id, seconds }: Pick<WrittenBlock, 'id' | 'seconds'>): WrittenBlock {
  const isLength = Number.isFinite(seconds) && seconds >= 0 && seconds <= ROUND_LIMITS.blockSeconds.max;
  return { kind: 'talk', id, seconds: isLength ? seconds : 0, title: 'not right yet', notes: '' };
}

/**
 * The block with the length that its counts need at a pace; one that goes by the clock stays as it is.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * withExactLength({ ...usualBlock('hold', 'h'), times: 2 }, book, 1).seconds // 132
 */
export function withExactLength<B extends WrittenBlock>(
  block: B,
  book: MoveBook,
  factor: number,
  combos?: ReadonlyMap<string, BlockCombo>,
): B {
  const seconds = countedLength(block, book, factor, combos);
  return seconds === null ? block : { ...block, seconds: Math.max(ROUND_LIMITS.blockSeconds.min, seconds) };
}
