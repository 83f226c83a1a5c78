import { mostReps, type GroupReps } from '@eurhythm/core/rounds';
import { isRightBlock, type AnyBlockDto } from '@eurhythm/contract';
import type { LaneText } from './blockPage.ts';

/** What a group with a count of its own does: its count, and the bonus up to the largest. */
export function countLane(
  block: AnyBlockDto & { readonly reps: number | null; readonly groups: readonly GroupReps[] },
  group: string,
): LaneText | null {
  const own = block.groups.find((each) => each.group === group);
  if (!own || block.reps === null || !isRightBlock(block)) return null;
  const what = own.title ?? own.line;
  const most = mostReps(block.reps, block.groups);
  return {
    text: `${own.reps} of ${most}${what ? `, ${what}` : ''}`,
    short: what ? `${own.reps} ${what}` : String(own.reps),
    share: most > 0 ? Math.min(1, own.reps / most) : 1,
  };
}
