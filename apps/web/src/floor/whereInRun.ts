import type { RunClockDto } from '@eurhythm/contract';
import type { Seconds } from '@eurhythm/core/units';

export type PlaceInRun =
  | { readonly over: false; readonly round: number; readonly position: Seconds; readonly running: boolean }
  | { readonly over: true };

/**
 * Where a run stands now, from where its clock was last noted: a held run waits there, a running one has gone on,
 * from round to round, for as long as has passed since. `durations` are the lengths of its rounds.
 */
export function whereInRun(
  clock: RunClockDto | null,
  durations: readonly Seconds[],
  nowMs: number,
): PlaceInRun {
  if (!clock) return { over: false, round: 0, position: 0, running: false };
  let { round, position } = clock;
  if (clock.running) position += Math.max(0, (nowMs - Date.parse(clock.at)) / 1000);
  while (round < durations.length && position >= durations[round]!) {
    position -= durations[round]!;
    round += 1;
  }
  return round < durations.length ? { over: false, round, position, running: clock.running } : { over: true };
}
