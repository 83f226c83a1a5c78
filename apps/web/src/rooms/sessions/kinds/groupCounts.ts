import { mostReps } from '@eurhythm/core/rounds';
import { isRightBlock, type AnyBlockDto, type OwnGroupRepsDto } from '@eurhythm/contract';
import { toldNumber } from '../../../ui/numbers.ts';
import type { LaneText } from './blockPage.ts';

/** Who does how many instead, in brackets. */
export function tellGroups(groups: readonly OwnGroupRepsDto[]): string {
  return groups.length === 0
    ? ''
    : ` (${groups.map(({ group, reps, line }) => `${group} ${toldNumber(reps)}${line ? ` ${line}` : ''}`).join(', ')})`;
}

/** What a group with a count of its own does: its count, and the bonus up to the largest. */
export function countLane(
  block: AnyBlockDto & { readonly reps: number | null; readonly groups: readonly OwnGroupRepsDto[] },
  group: string,
): LaneText | null {
  const own = block.groups.find((each) => each.group === group);
  if (!own || block.reps === null || !isRightBlock(block)) return null;
  const most = mostReps(block.reps, block.groups);
  return {
    text: `${own.reps} of ${most}${own.line ? `, ${own.line}` : ''}`,
    short: own.line ? `${own.reps} ${own.line}` : String(own.reps),
    share: most > 0 ? Math.min(1, own.reps / most) : 1,
  };
}
