import type { Seconds } from '../units/index.ts';
import { isRest } from './kinds/registry.ts';
import type { WrittenBlock } from './kinds/registry.ts';

/**
 * How long a round was worked until an instant of it, in seconds; rests are no work. Null before its first bell, when nobody has begun.
 *
 * @param at seconds from the start of the round
 *
 * @example
 * workUntil([{ ...usualBlock('rest', 'r'), seconds: 10 }, { ...usualBlock('free', 'f'), seconds: 60 }], 25) // 15
 */
export function workUntil(
  blocks: readonly Pick<WrittenBlock, 'kind' | 'seconds'>[],
  at: Seconds,
): Seconds | null {
  let [from, work, hasBegun] = [0, 0, false];
  for (const block of blocks) {
    if (at < from) break;
    if (!isRest(block)) {
      hasBegun = true;
      work += Math.min(block.seconds, at - from);
    }
    from += block.seconds;
  }
  return hasBegun ? work : null;
}
