import type { TempoShift } from '@eurhythm/core/rounds';
import {
  afterEvent,
  afterPulse,
  placeInRun,
  readRunEvent,
  runState,
  type EpochMs,
  type Pulse,
  type RoundToPlay,
  type RunEvent,
  type RunState,
} from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { RunEventView } from '@eurhythm/contract';
import { LOADING, type ControllerState } from '../floor/run/RunController.ts';

export interface FollowingParts {
  /** What was done to the run before this device came. */
  readonly events: readonly RunEventView[];
  readonly rounds: number;
  compile(round: number, shifts: readonly TempoShift[]): Promise<RoundToPlay>;
  /** The server's clock. */
  now(): EpochMs;
}

/** A pulse is reported every second; where none came for so long, the log alone says where the run stands. */
const PULSE_HOLDS_MS = 5000;

/** Shows a run that another device plays: what is done to it comes as events, and where it stands as pulses. */
export class FollowingController {
  rounds: readonly RoundToPlay[] = [];
  readonly audible = true;
  state: ControllerState = LOADING;
  private planned: readonly RoundToPlay[] = [];
  private run: RunState;
  private lastPulse: Pulse | null = null;
  private readonly known: Set<string>;
  private readonly listeners = new Set<() => void>();
  private readonly parts: FollowingParts;

  constructor(parts: FollowingParts) {
    this.parts = parts;
    this.known = new Set(parts.events.map(({ id }) => id));
    this.run = runState(parts.events.flatMap((event) => readRunEvent(event) ?? []));
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): ControllerState => this.state;

  async load(): Promise<void> {
    const { rounds, compile } = this.parts;
    try {
      this.planned = await Promise.all(Array.from({ length: rounds }, (_, i) => compile(i, [])));
      this.rounds = this.planned;
      for (const round of this.run.shifts.keys()) await this.playAsChanged(round);
    } catch (error) {
      this.set({ phase: 'failed', failure: error instanceof Error ? error.message : String(error) });
      return;
    }
    this.look();
  }

  /** Something was done to the run. */
  hear(event: RunEventView): void {
    if (this.known.has(event.id)) return;
    this.known.add(event.id);
    const read = readRunEvent(event);
    if (!read) return;
    this.run = afterEvent(this.run, read);
    if (moves(read)) this.lastPulse = null;
    if (read.kind === 'tempo' || read.kind === 'skip' || read.kind === 'again')
      void this.playAsChanged(read.round);
    this.look();
  }

  /** What the log says by now, after a time without the server. */
  catchUp(events: readonly RunEventView[]): void {
    for (const event of events) this.hear(event);
  }

  pulse(pulse: Pulse): void {
    this.lastPulse = pulse;
    this.look();
  }

  /** What is heard in the hall now, in seconds of the round. */
  get position(): Seconds {
    const place = this.place();
    return place.over ? 0 : place.position;
  }

  /** Looks where the run stands, and tells when that is another round or another state. */
  look(): void {
    if (this.rounds.length === 0 || this.state.phase === 'failed') return;
    const place = this.place();
    const now = this.now();
    const phase = place.over ? 'over' : place.running ? 'running' : now.phase === 'ready' ? 'ready' : 'held';
    const round = place.over ? this.rounds.length - 1 : place.round;
    if (phase !== this.state.phase || round !== this.state.round) this.set({ phase, round });
  }

  private now(): RunState {
    const pulse = this.lastPulse;
    const isFresh = pulse !== null && this.parts.now() - pulse.at < PULSE_HOLDS_MS;
    return afterPulse(this.run, isFresh ? pulse : null);
  }

  private place(): ReturnType<typeof placeInRun> {
    const durations = this.rounds.map(({ duration }) => duration);
    return placeInRun(this.now(), durations, this.parts.now());
  }

  private async playAsChanged(round: number): Promise<void> {
    const shifts = this.run.shifts.get(round);
    const changed = shifts ? await this.parts.compile(round, shifts) : this.planned[round];
    if (!changed || this.run.shifts.get(round) !== shifts) return; // changed again meanwhile
    this.rounds = this.rounds.with(round, changed);
    this.set({});
  }

  private set(changes: Partial<ControllerState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}

/** Whether an event changes where a run stands. */
function moves({ kind }: RunEvent): boolean {
  return !['bell', 'all-clean', 'tempo', 'comes', 'leaves'].includes(kind);
}
