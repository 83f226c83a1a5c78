import type { Seconds } from '../units/index.ts';
import type { EpochMs } from './runEvent.ts';
import type { RunState } from './runState.ts';

/** Where the device that plays a run hears it stand, reported every second. */
export interface Pulse {
  readonly at: EpochMs;
  readonly phase: 'ready' | 'running' | 'held' | 'over';
  readonly round: number;
  readonly position: Seconds;
}

/**
 * The run as its log and the pulse that came after it say together: where it stands is known best by who plays it. A run that is
 * over stays so.
 *
 * @example
 * afterPulse(UNTOUCHED_RUN, { at: 5, phase: 'running', round: 1, position: 2 }).round // 1
 */
export function afterPulse(state: RunState, pulse: Pulse | null): RunState {
  if (!pulse || state.phase === 'over') return state;
  return { ...state, phase: pulse.phase, round: pulse.round, position: pulse.position, at: pulse.at };
}
