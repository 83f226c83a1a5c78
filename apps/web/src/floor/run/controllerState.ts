import type { RoundPartners } from '@eurhythm/core/plan';
import type { TempoShift } from '@eurhythm/core/rounds';
import type { EpochMs, RoundToPlay, RunEvent, RunState, placeInRun } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { Player, PlayerEnd, SoundOutput } from '../player.ts';

export interface ControllerState {
  readonly phase: 'loading' | 'ready' | 'running' | 'held' | 'over' | 'failed';
  /** Share of the voice that is loaded. */
  readonly share: number;
  readonly round: number;
  /** Where a reloaded page found the run, until somebody presses a key: the round, from 0, and the second of it. */
  readonly cameBackAt: { readonly round: number; readonly position: number } | null;
  readonly failure: string;
  /** A start that was pressed while the voice still loads; it is kept until the voice is there. */
  readonly startsSoon: boolean;
  /** It runs on to the end of the combo, and holds there. */
  readonly holdsSoon: boolean;
  /** Beats a minute more than planned, since somebody changed it while it ran. */
  readonly tempoBy: number;
  /** The first round whose calls could not be had so far; it is tried again and again. */
  readonly lacksFrom: number | null;
}

export const LOADING: ControllerState = {
  phase: 'loading',
  share: 0,
  round: 0,
  cameBackAt: null,
  failure: '',
  startsSoon: false,
  holdsSoon: false,
  tempoBy: 0,
  lacksFrom: null,
};

/** What a controller works with: sound, compiling, the clock, the screen, and the writes. */
export interface ControllerParts<D extends SoundOutput = SoundOutput> {
  readonly output: D;
  readonly rounds: number;
  /** Clips that may be called, beyond those of the rounds as planned. */
  readonly clips: readonly string[];
  /** What was done to the run so far. */
  readonly done: RunState;
  compile(round: number, shifts: readonly TempoShift[]): Promise<RoundToPlay>;
  /** `isHeard` where a microphone counts it. */
  compileBurst(seconds: Seconds, isHeard: boolean): Promise<RoundToPlay>;
  /** Plays a round, and behind it the beginning of the one that follows, until that one has a player of its own. */
  player(round: RoundToPlay, onEnd: (end: PlayerEnd) => void, following: RoundToPlay | null): Player;
  /** Keeps and sends what was done, with what goes along and is no part of the event. */
  note(event: RunEvent, along?: { readonly partners: readonly RoundPartners[] }): void;
  now(): EpochMs;
  readonly awake: { hold(): void; release(): void; dispose(): void };
}

/** Sound that is no further behind the clock than this is where the class is. */
const BEHIND: Seconds = 3;

/** Whether what is heard is where the class is. */
export const standsAt = (place: ReturnType<typeof placeInRun>, round: number, position: Seconds): boolean =>
  !place.over && place.round === round && Math.abs(place.position - position) < BEHIND;
