import { useMemo } from 'react';
import type { Walk } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { momentOfRound, type BlockCombo, type Cycle, type RoundMoment } from '@eurhythm/core/rounds';
import type { FollowingController } from '../../hall/FollowingController.ts';
import type { ControllerState } from '../../floor/run/RunController.ts';
import { useFrame } from '../../floor/useFrame.ts';
import { useWalk } from '../floor/board/StripArea.tsx';
import { nextCycle } from '../floor/board/whatComes.ts';

/** The groups that have lines of their own in a round. */
export function groupsOf(controller: FollowingController, round: number): readonly string[] {
  const lanes = controller.rounds[round]!.cycles.flatMap((cycle) => cycle.lanes ?? []);
  return [...new Set(lanes.map(({ group }) => group))];
}

export interface ShownNow {
  readonly at: number;
  readonly moment: RoundMoment;
  /** The time through that runs, or the one that comes. */
  readonly cycle: Cycle | undefined;
  readonly combo: BlockCombo | undefined;
  readonly walk: Walk | null;
}

/**
 * The line that a group does now or next, as a joined device follows it; of everybody else where it has none of its own. Looked for at
 * every frame, or at one in so many milliseconds.
 */
export function useShownLine(
  controller: FollowingController,
  state: ControllerState,
  book: MoveBook,
  group: string,
  everyMs = 0,
): ShownNow {
  const position = useFrame(() => controller.position, state.phase === 'running', everyMs);
  const at = state.phase === 'running' ? position : controller.position;
  const round = controller.rounds[state.round]!;
  const moment = momentOfRound(round, at);
  const cycle = moment.cycle ?? nextCycle(round, at) ?? controller.rounds[state.round + 1]?.cycles[0];
  const combos = useMemo(
    () => new Map(controller.rounds.flatMap(({ combos }) => combos).map((combo) => [combo.id, combo])),
    [controller],
  );
  const lane = cycle?.lanes?.find((each) => each.group === group);
  const combo = cycle && combos.get(lane?.combo ?? cycle.combo);
  const line = lane ? combo?.line : (cycle?.line ?? combo?.line);
  const walk = useWalk(line, cycle?.lead ?? 'left', book);
  return { at, moment, cycle, combo, walk };
}
