import { mostReps } from '@eurhythm/core/rounds';
import { isRightBlock, type AnyBlockDto, type OwnGroupRepsDto } from '@eurhythm/contract';
import type { LaneText } from './blockPage.ts';

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
