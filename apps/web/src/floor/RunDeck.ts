import { seedFromText } from '@eurhythm/core/units';
import type { CompiledRoundView, RunClockDto, RunView } from '@eurhythm/contract';
import { send } from '../app/api.ts';
import { AudioDesk } from './AudioDesk.ts';
import type { Outbox } from './outbox.ts';
import { RoundPlayer } from './RoundPlayer.ts';
import { whereInRun } from './whereInRun.ts';

export interface DeckState {
  readonly phase: 'loading' | 'ready' | 'running' | 'held' | 'over' | 'failed';
  /** Share of the voice that is loaded. */
  readonly share: number;
  readonly round: number;
  /** Second at which a reloaded page found the run, until somebody presses a key. */
  readonly cameBackAt: number | null;
  readonly failure: string;
}

/**
 * Plays a run from round to round. Everything is loaded before the first bell, so that a lost network is not heard;
 * every start, hold and skip is noted on the server, so that a reload comes back to the right second.
 */
export class RunDeck {
  readonly desk = new AudioDesk();
  rounds: readonly CompiledRoundView[] = [];
  state: DeckState = { phase: 'loading', share: 0, round: 0, cameBackAt: null, failure: '' };
  private player: RoundPlayer | null = null;
  private readonly listeners = new Set<() => void>();
  private readonly run: RunView;
  private readonly outbox: Outbox;

  constructor(run: RunView, outbox: Outbox) {
    this.run = run;
    this.outbox = outbox;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): DeckState => this.state;

  get position(): number {
    return this.player?.position ?? 0;
  }

  get audible(): boolean {
    return this.desk.audible;
  }

  /** Compiles all rounds, loads every call, and takes up the run where it stands. */
  async load(): Promise<void> {
    try {
      this.rounds = await Promise.all(
        this.run.rounds.map(({ blocks }, i) =>
          send<CompiledRoundView>('POST', 'rounds/compile', {
            blocks,
            lead: this.run.lead,
            seed: seedFromText(`${this.run.id}/${i}`),
          }),
        ),
      );
      const clips = this.rounds.flatMap((round) => round.cues.flatMap((cue) => cue.clip?.id ?? []));
      await this.desk.load(clips, (share) => this.set({ share }));
    } catch (error) {
      this.set({ phase: 'failed', failure: error instanceof Error ? error.message : String(error) });
      return;
    }
    const place = whereInRun(
      this.run.endedAt === null ? this.run.clock : null,
      this.rounds.map((round) => round.duration),
      Date.now(),
    );
    if (place.over || this.run.endedAt !== null) this.set({ phase: 'over', round: this.rounds.length - 1 });
    else {
      this.open(place.round);
      this.set({ cameBackAt: this.run.clock ? place.position : null });
      if (place.running) this.startAt(place.position);
      else if (this.run.clock) this.holdAt(place.position);
      else this.set({ phase: 'ready' });
    }
  }

  start(): void {
    if (this.state.phase === 'ready') this.startAt(0);
  }

  hold(): void {
    if (this.state.phase !== 'running' || !this.player) return;
    const position = this.player.hold();
    this.set({ phase: 'held' });
    this.note(position, false);
  }

  resume(): void {
    if (this.state.phase === 'held' && this.player) this.startAt(this.player.position);
  }

  toggle(): void {
    if (this.state.phase === 'ready') this.start();
    else if (this.state.phase === 'running') this.hold();
    else this.resume();
  }

  /** Goes to another round, from its start; runs on if it ran. */
  goTo(round: number): void {
    if (round < 0 || this.state.phase === 'loading' || this.state.phase === 'failed') return;
    if (round >= this.rounds.length) {
      this.finish();
      return;
    }
    const ran = this.state.phase === 'running';
    this.open(round);
    if (ran) this.startAt(0);
    else this.holdAt(0);
  }

  /** A press of any key lets a silent page sound, and takes the note about coming back away. */
  touch(): void {
    void this.desk.context.resume();
    if (this.state.cameBackAt !== null && this.desk.audible) this.set({ cameBackAt: null });
  }

  dispose(): void {
    this.player?.dispose();
    this.player = null;
    this.desk.close();
  }

  private open(round: number): void {
    this.player?.dispose();
    this.player = new RoundPlayer(this.desk, this.rounds[round]!, () => this.nextRound());
    this.set({ round });
  }

  private nextRound(): void {
    const next = this.state.round + 1;
    if (next >= this.rounds.length) {
      this.finish();
      return;
    }
    this.open(next);
    this.startAt(0);
  }

  private finish(): void {
    this.player?.dispose();
    this.player = null;
    this.set({ phase: 'over' });
    this.note(this.rounds.at(-1)?.duration ?? 0, false);
  }

  private startAt(position: number): void {
    this.player?.start(position);
    this.set({ phase: 'running' });
    this.note(position, true);
  }

  private holdAt(position: number): void {
    this.player?.start(position);
    this.player?.hold();
    this.set({ phase: 'held' });
    this.note(position, false);
  }

  private note(position: number, running: boolean): void {
    const clock: RunClockDto = {
      round: this.state.round,
      position: Math.max(0, position),
      running,
      at: new Date().toISOString(),
    };
    this.outbox.put('PUT', `runs/${this.run.id}/clock`, clock);
  }

  private set(changes: Partial<DeckState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}
