import { kindOf, type Cycle, type WrittenBlock } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';

/**
 * The ids of the combos of the book that a group does in a round, each once.
 *
 * @example
 * combosInRound([{ ...usualBlock('combo', 'c'), combos: [{ comboId: 'ebb-1' }] }], '') // ['ebb-1']
 */
export function combosInRound(blocks: readonly WrittenBlock[], group: string): string[] {
  const named = blocks.flatMap((block) => {
    const own = kindOf(block).ofGroup(block, group);
    return kindOf(own).named(own);
  });
  return [...new Set(named.flatMap(({ field, comboId }) => (field.startsWith('lanes.') ? [] : [comboId])))];
}

/**
 * The combo that a group was called to last at an instant of a round; null before the first.
 *
 * @param group name of the group; empty for none
 *
 * @example
 * calledCombo([{ at: 0, combo: 'a' }, { at: 20, combo: 'b' }], 25, '') // 'b'
 */
export function calledCombo(
  cycles: readonly Pick<Cycle, 'at' | 'combo' | 'lanes'>[],
  at: Seconds,
  group: string,
): string | null {
  const last = cycles.findLast((cycle) => cycle.at <= at);
  return last?.lanes?.find((lane) => lane.group === group)?.combo ?? last?.combo ?? null;
}
