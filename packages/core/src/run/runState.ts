import type { TempoShift } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
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
  readonly rung: ReadonlyMap<number, { readonly isClean: boolean }>;
  /** Who came after the beginning or left before the end, each with whether that one is there now. */
  readonly moved: ReadonlyMap<string, { readonly isHere: boolean; readonly round: number }>;
}

export const UNTOUCHED_RUN: RunState = {
  phase: 'ready',
  round: 0,
  position: 0,
  at: 0,
  shifts: new Map(),
  rung: new Map(),
  moved: new Map(),
};

/**
 * The run after one thing more. What comes after its end changes nothing.
 *
 * @example
 * afterEvent(UNTOUCHED_RUN, { kind: 'end', at: 0 }).phase // 'over'
 */
export function afterEvent(state: RunState, event: RunEvent): RunState {
  if (state.phase === 'over') return state;
  const { kind, at } = event;
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
      const isClean = kind === 'all-clean' || (state.rung.get(event.round)?.isClean ?? false);
      return { ...state, rung: new Map(state.rung).set(event.round, { isClean }) };
    }
    case 'comes':
    case 'leaves': {
      const { fighterId, round } = event;
      const isHere = kind === 'comes';
      return { ...state, moved: new Map(state.moved).set(fighterId, { isHere, round }) };
    }
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
 * Whether somebody was there for the end bell of a round.
 *
 * @example
 * wasThere(UNTOUCHED_RUN, 'ines', 0) // true
 */
export function wasThere({ moved }: Pick<RunState, 'moved'>, fighterId: string, round: number): boolean {
  const move = moved.get(fighterId);
  if (!move) return true;
  return move.isHere ? round >= move.round : round < move.round;
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
