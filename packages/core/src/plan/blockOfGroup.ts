import type { WrittenBlock } from '../rounds/index.ts';

/**
 * A block as one group does it: its own combos or its own number, where it has any; for everybody else as it stands.
 *
 * @example
 * blockOfGroup({ ...usualBlock('count', 'c'), groups: [{ group: 'Reef', reps: 20 }] }, 'Reef').reps // 20
 */
export function blockOfGroup(block: WrittenBlock, group: string): WrittenBlock {
  if (block.kind === 'combo') {
    const lane = block.lanes?.find((each) => each.group === group && each.combos.length > 0);
    return { ...block, combos: lane?.combos ?? block.combos, lanes: [] };
  }
  if (block.kind === 'count') {
    const own = block.groups.find((each) => each.group === group);
    return { ...block, reps: own?.reps ?? block.reps, line: own?.line ?? block.line, groups: [] };
  }
  return block;
}
