import type { TempoShift } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
import { afterMove, type Presence } from './presence.ts';
import type { EpochMs, RunEvent } from './runEvent.ts';

/** What a run is after everything that was done to it. */
export interface RunState {
  readonly phase: 'ready' | 'running' | 'held' | 'over';
  /** The place at which it was noted last, and when. */
  readonly round: number;
  readonly position: Seconds;
  readonly at: EpochMs;
  /** Changes of tempo of each round that has any. */
  readonly shifts: ReadonlyMap<number, readonly TempoShift[]>;
  /** Rounds whose end bell has rung, each with whether all that was finished in it was clean. */
  readonly endedRounds: ReadonlyMap<number, { readonly isClean: boolean }>;
  /** When those who came late or left early were there. */
  readonly presence: Presence;
}

export const UNTOUCHED_RUN: RunState = {
  phase: 'ready',
  round: 0,
  position: 0,
  at: 0,
  shifts: new Map(),
  endedRounds: new Map(),
  presence: new Map(),
};

/** What other devices may report after the end of a run. */
const REPORTED_LATE: ReadonlySet<RunEvent['kind']> = new Set(['bell', 'all-clean', 'comes', 'leaves']);

/**
 * The run after one thing more. After its end nothing moves it any more; bells and who was there may still become known.
 *
 * @example
 * afterEvent(UNTOUCHED_RUN, { kind: 'end', at: 0 }).phase // 'over'
 */
export function afterEvent(state: RunState, event: RunEvent): RunState {
  const { kind, at } = event;
  if (state.phase === 'over' && !REPORTED_LATE.has(kind)) return state;
  switch (kind) {
    case 'start':
    case 'go-on':
      return { ...state, phase: 'running', at, round: event.round, position: event.position };
    case 'hold':
      return { ...state, phase: 'held', at, round: event.round, position: event.position };
    case 'skip':
    case 'again': {
      // A round that begins anew begins at its planned tempo, or at the one that was advised before it began.
      const shifts = new Map(state.shifts);
      const advised = (shifts.get(event.round) ?? []).filter(({ from }) => from === 0);
      if (advised.length > 0) shifts.set(event.round, advised);
      else shifts.delete(event.round);
      const phase = event.running ? 'running' : 'held';
      return { ...state, phase, at, round: event.round, position: 0, shifts };
    }
    case 'tempo': {
      const own = state.shifts.get(event.round) ?? [];
      const shift = { from: event.position, by: event.by };
      return { ...state, shifts: new Map(state.shifts).set(event.round, [...own, shift]) };
    }
    case 'bell':
    case 'all-clean': {
      const isClean = kind === 'all-clean' || (state.endedRounds.get(event.round)?.isClean ?? false);
      return { ...state, endedRounds: new Map(state.endedRounds).set(event.round, { isClean }) };
    }
    case 'comes':
    case 'leaves':
      return { ...state, presence: afterMove(state.presence, event) };
    case 'end':
      return { ...state, phase: 'over', at };
    default:
      return kind satisfies never;
  }
}

/**
 * What a run is after all of these, in their order.
 *
 * @example
 * runState([{ kind: 'start', at: 0, round: 0, position: 0 }]).phase // 'running'
 */
export function runState(events: readonly RunEvent[]): RunState {
  return events.reduce(afterEvent, UNTOUCHED_RUN);
}

/**
 * So much faster a round goes by now.
 *
 * @example
 * tempoBy([{ from: 8, by: 4 }, { from: 20, by: -1 }]) // 3
 */
export function tempoBy(shifts: readonly TempoShift[] = []): number {
  return shifts.reduce((sum, { by }) => sum + by, 0);
}
