import { seedFromText, type Seconds } from '@eurhythm/core/units';
import type { CompiledRoundView, RunClockDto, RunView, TempoShiftDto } from '@eurhythm/contract';
import { send } from '../app/api.ts';
import { AudioDesk } from './AudioDesk.ts';
import type { Outbox } from './outbox.ts';
import { RoundPlayer } from './RoundPlayer.ts';
import { WakeLock } from './wakeLock.ts';
import { whereInRun } from './whereInRun.ts';

export interface DeckState {
  readonly phase: 'loading' | 'ready' | 'running' | 'held' | 'over' | 'failed';
  /** Share of the voice that is loaded. */
  readonly share: number;
  readonly round: number;
  /** Second at which a reloaded page found the run, until somebody presses a key. */
  readonly cameBackAt: number | null;
  readonly failure: string;
  /** It runs on to the end of the combo, and holds there. */
  readonly holdsSoon: boolean;
  /** Beats a minute more than planned, since somebody changed it while it ran. */
  readonly tempoBy: number;
}

/** A change of tempo begins with a cycle that is at least this far ahead, so that its sounds can be had by then. */
const CHANGE_AHEAD: Seconds = 1.5;
/** A round that is held outside of a cycle goes on after two beats of this length. */
const PLAIN_BEAT: Seconds = 0.6;

/**
 * Plays a run from round to round. Everything is loaded before the first bell, so that a lost network is not heard;
 * every start, hold and skip is noted on the server, so that a reload comes back to the right second.
 */
export class RunDeck {
  readonly desk = new AudioDesk();
  rounds: readonly CompiledRoundView[] = [];
  state: DeckState = {
    phase: 'loading',
    share: 0,
    round: 0,
    cameBackAt: null,
    failure: '',
    holdsSoon: false,
    tempoBy: 0,
  };
  private shifts: TempoShiftDto[] = [];
  private changing: Promise<unknown> = Promise.resolve();
  private readonly wakeLock = new WakeLock();
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

  /** What is heard now: the loudspeaker is a little behind the clock. */
  get position(): number {
    const { player } = this;
    if (!player) return 0;
    return player.running ? Math.max(0, player.position - this.desk.latency) : player.position;
  }

  get audible(): boolean {
    return this.desk.audible;
  }

  /** Compiles all rounds, loads every call, and takes up the run where it stands. */
  async load(): Promise<void> {
    try {
      this.rounds = await Promise.all(
        this.run.rounds.map((_, i) =>
          this.compile(i, i === this.run.clock?.round ? (this.run.clock.shifts ?? []) : []),
        ),
      );
      this.shifts = [...(this.run.clock?.shifts ?? [])];
      await this.desk.load(this.rounds.flatMap(clipsOf), (share) => this.set({ share }));
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
      this.open(place.round, place.round === this.run.clock?.round ? this.shifts : []);
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
    this.cameToHold(position);
  }

  /** Holds when the combo that is being done is over; pressed again it runs on after all. */
  holdAfterCombo(): void {
    if (this.state.phase !== 'running' || !this.player) return;
    if (this.state.holdsSoon) {
      this.player.holdAt(null);
      this.set({ holdsSoon: false });
      return;
    }
    const { position, round } = this.player;
    const cycle = round.cycles.findLast((each) => each.at <= position);
    const end = cycle ? cycle.at + cycle.beats * cycle.beatSeconds : position;
    if (end <= position) this.hold();
    else {
      this.player.holdAt(Math.min(end, round.duration));
      this.set({ holdsSoon: true });
    }
  }

  /** Goes on after a count of two beats. */
  resume(): void {
    const { player } = this;
    if (this.state.phase !== 'held' || !player) return;
    const { position } = player;
    const cycle = player.round.cycles.findLast((each) => each.at <= position) ?? player.round.cycles[0];
    this.startAt(position, position === 0 ? 0 : (cycle?.beatSeconds ?? PLAIN_BEAT));
  }

  /** Goes faster or slower from the next time through on; gives a sentence where there is nothing to change. */
  changeTempo(by: number): Promise<string | null> {
    // One after the other: each change builds on the one before.
    const changed = this.changing.then(() => this.changeTempoNow(by));
    this.changing = changed.catch(() => null);
    return changed;
  }

  private async changeTempoNow(by: number): Promise<string | null> {
    const { player } = this;
    const { round } = this.state;
    if (!player) return 'Nothing runs.';
    const next = player.round.cycles.find((cycle) => cycle.at > player.position + CHANGE_AHEAD);
    if (!next) return 'No combo comes after this one in the round.';
    const shifts = [...this.shifts, { from: next.at, by }];
    const compiled = await this.compile(round, shifts);
    await this.desk.load(clipsOf(compiled), () => {});
    if (this.player !== player) return null; // another round has begun meanwhile
    player.swap(compiled, Math.max(next.at - 0.001, player.position + 0.05));
    this.rounds = this.rounds.with(round, { ...compiled, ...player.round });
    this.shifts = shifts;
    this.set({ tempoBy: tempoBy(shifts) });
    this.note(player.position, player.running);
    return null;
  }

  private compile(round: number, shifts: readonly TempoShiftDto[]): Promise<CompiledRoundView> {
    const { blocks, timeCalls } = this.run.rounds[round]!;
    return send<CompiledRoundView>('POST', 'rounds/compile', {
      blocks,
      ...(timeCalls ? { timeCalls } : {}),
      lead: this.run.lead,
      ...(this.run.word === '' ? {} : { word: this.run.word }),
      seed: seedFromText(`${this.run.id}/${round}`),
      ...(shifts.length > 0 ? { shifts } : {}),
    });
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
    this.desk.wake();
    if (this.state.cameBackAt !== null && this.desk.audible) this.set({ cameBackAt: null });
  }

  dispose(): void {
    this.player?.dispose();
    this.player = null;
    this.wakeLock.dispose();
    this.desk.close();
  }

  private open(round: number, shifts: readonly TempoShiftDto[] = []): void {
    this.player?.dispose();
    this.shifts = [...shifts];
    this.player = new RoundPlayer(this.desk, this.rounds[round]!, (end) =>
      end === 'over' ? this.nextRound() : this.cameToHold(this.player!.position),
    );
    this.set({ round, holdsSoon: false, tempoBy: tempoBy(shifts) });
  }

  private cameToHold(position: number): void {
    this.wakeLock.release();
    this.set({ phase: 'held', holdsSoon: false });
    this.note(position, false);
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
    this.wakeLock.release();
    this.player?.dispose();
    this.player = null;
    this.set({ phase: 'over' });
    this.note(this.rounds.at(-1)?.duration ?? 0, false);
  }

  private startAt(position: number, beat = 0): void {
    this.player?.start(position, beat);
    this.wakeLock.hold();
    this.set({ phase: 'running' });
    this.note(position, true);
  }

  private holdAt(position: number): void {
    this.player?.start(position);
    this.player?.hold();
    this.cameToHold(position);
  }

  private note(position: number, running: boolean): void {
    const clock: RunClockDto = {
      round: this.state.round,
      position: Math.max(0, position),
      running,
      at: new Date().toISOString(),
      ...(this.shifts.length > 0 ? { shifts: this.shifts } : {}),
    };
    this.outbox.put('PUT', `runs/${this.run.id}/clock`, clock);
  }

  private set(changes: Partial<DeckState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}

function clipsOf(round: CompiledRoundView): string[] {
  return round.cues.flatMap((cue) => cue.clip?.id ?? []);
}

function tempoBy(shifts: readonly TempoShiftDto[]): number {
  return shifts.reduce((sum, { by }) => sum + by, 0);
}
