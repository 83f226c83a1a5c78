import { useMemo } from 'react';
import type { Walk } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { momentOfRound, type BlockCombo, type Cycle, type RoundMoment } from '@eurhythm/core/rounds';
import type { FollowingDeck } from '../../hall/FollowingDeck.ts';
import type { DeckState } from '../../floor/RunDeck.ts';
import { useFrame } from '../../floor/useFrame.ts';
import { useWalk } from '../floor/board/StripArea.tsx';
import { nextCycle } from '../floor/board/whatComes.ts';

/** The groups that have lines of their own in a round. */
export function groupsOf(deck: FollowingDeck, round: number): readonly string[] {
  const lanes = deck.rounds[round]!.cycles.flatMap((cycle) => cycle.lanes ?? []);
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
  deck: FollowingDeck,
  state: DeckState,
  book: MoveBook,
  group: string,
  everyMs = 0,
): ShownNow {
  const position = useFrame(() => deck.position, state.phase === 'running', everyMs);
  const at = state.phase === 'running' ? position : deck.position;
  const round = deck.rounds[state.round]!;
  const moment = momentOfRound(round, at);
  const cycle = moment.cycle ?? nextCycle(round, at) ?? deck.rounds[state.round + 1]?.cycles[0];
  const combos = useMemo(
    () => new Map(deck.rounds.flatMap(({ combos }) => combos).map((combo) => [combo.id, combo])),
    [deck],
  );
  const lane = cycle?.lanes?.find((each) => each.group === group);
  const combo = cycle && combos.get(lane?.combo ?? cycle.combo);
  const line = lane ? combo?.line : (cycle?.line ?? combo?.line);
  const walk = useWalk(line, cycle?.lead ?? 'left', book);
  return { at, moment, cycle, combo, walk };
}
