import type { Seconds } from '../units/index.ts';
import type { EpochMs } from './runEvent.ts';
import type { RunState } from './runState.ts';

export type PlaceInRun =
  | { readonly over: false; readonly round: number; readonly position: Seconds; readonly running: boolean }
  | { readonly over: true };

/**
 * Where a run stands at an instant: a held one waits where it was held, a running one has gone on from round to round for
 * as long as has passed since it was noted. `durations` are the lengths of its rounds. A clock that was set back does not
 * take it back.
 *
 * @example
 * placeInRun({ ...UNTOUCHED_RUN, phase: 'running', at: 0, position: 50 }, [60, 60], 15_000)
 * // { over: false, round: 1, position: 5, running: true }
 */
export function placeInRun(state: RunState, durations: readonly Seconds[], now: EpochMs): PlaceInRun {
  if (state.phase === 'over') return { over: true };
  const running = state.phase === 'running';
  let { round, position } = state;
  if (running) position += Math.max(0, (now - state.at) / 1000);
  while (round < durations.length && position >= durations[round]!) {
    position -= durations[round]!;
    round += 1;
  }
  return round < durations.length ? { over: false, round, position, running } : { over: true };
}
