import { useEffect } from 'react';
import type { RunView } from '@eurhythm/contract';
import type { RunController } from '../../../floor/run/RunController.ts';
import { useStable } from '../../../ui/useStable.ts';
import { isResting } from '../board/whatComes.ts';

const LOOK_MS = 200;
/** Going back by more than this is beginning anew. */
const BACK = 1;

interface RoundChanges {
  /** A round was gone through so far. */
  reached(round: number, position: number): void;
  /** It begins anew. */
  again(round: number): void;
  /** A rest has begun in it. */
  rests(round: number): void;
  /** It is left behind, or the class is over. */
  ends(round: number): void;
}

/** Watches how the rounds of a run are gone through. */
export function useRoundWatch(
  run: Pick<RunView, 'rounds'>,
  controller: RunController,
  changes: RoundChanges,
): void {
  const look = useStable((seen: Seen): Seen => {
    const { round, phase } = controller.state;
    const isOver = phase === 'over';
    if (isOver || round !== seen.round) {
      if (seen.round >= 0 && !seen.hasEnded) changes.ends(seen.round);
      if (isOver) return { ...seen, hasEnded: true };
      if (seen.past.has(round)) changes.again(round);
      changes.reached(round, controller.position);
      return {
        round,
        position: controller.position,
        isRest: false,
        hasEnded: false,
        past: seen.past.add(round),
      };
    }
    const { position } = controller;
    const isBack = position < seen.position - BACK;
    if (isBack) changes.again(round);
    changes.reached(round, position);
    const isRest = isResting(run.rounds[round]!.blocks, position);
    if (isRest && !seen.isRest && phase === 'running') changes.rests(round);
    return { ...seen, position, isRest };
  });
  useEffect(() => {
    let seen: Seen = { round: -1, position: 0, isRest: false, hasEnded: false, past: new Set() };
    const timer = setInterval(() => (seen = look(seen)), LOOK_MS);
    return () => clearInterval(timer);
  }, [look]);
}

interface Seen {
  readonly round: number;
  readonly position: number;
  readonly isRest: boolean;
  readonly hasEnded: boolean;
  /** Rounds that were begun. */
  readonly past: Set<number>;
}
