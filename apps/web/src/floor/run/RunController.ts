import type { RoundPartners } from '@eurhythm/core/plan';
import {
  afterEvent,
  beatToGoOn,
  endOfCombo,
  placeInRun,
  tempoBy,
  type RoundToPlay,
  type RunEvent,
  type RunState,
} from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import { openBurst, type Burst, type BurstEnd } from '../Burst.ts';
import { CompiledRounds } from './CompiledRounds.ts';
import { LOADING, standsAt, type ControllerParts, type ControllerState } from './controllerState.ts';
import type { SoundOutput, HandOver, Player, PlayerEnd } from '../player.ts';
import { RunVoice } from '../output/RunVoice.ts';
import { TempoChanges } from './TempoChanges.ts';

export * from './controllerState.ts';

/**
 * Plays a run from round to round. Everything is compiled before the first bell, and the calls are loaded in the order in which
 * they come, within seconds of it, so that a lost network is not heard; what is done to the run goes into its log, from which a reload comes back to the right second.
 */
export class RunController<D extends SoundOutput = SoundOutput> {
  state: ControllerState = LOADING;
  private readonly compiled: CompiledRounds;
  private run: RunState;
  private player: Player | null = null;
  private readonly listeners = new Set<() => void>();
  private readonly parts: ControllerParts<D>;
  private readonly voice: RunVoice;
  private readonly tempo: TempoChanges;

  constructor(parts: ControllerParts<D>) {
    this.parts = parts;
    this.compiled = new CompiledRounds(parts.compile);
    this.voice = new RunVoice(parts.output, (lacksFrom) => this.set({ lacksFrom }));
    this.run = parts.done;
    this.tempo = new TempoChanges(parts, this.compiled, {
      player: () => this.player,
      round: () => this.state.round,
      shiftsOf: (round) => this.run.shifts.get(round) ?? [],
      note: (event) => this.note(event),
      set: (changes) => this.set(changes),
    });
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): ControllerState => this.state;

  get rounds(): readonly RoundToPlay[] {
    return this.compiled.all;
  }

  get output(): D {
    return this.parts.output;
  }

  /** What is heard now: the loudspeaker is a little behind the clock. */
  get position(): Seconds {
    const { player } = this;
    if (!player) return 0;
    return player.running ? Math.max(0, player.position - this.output.latency) : player.position;
  }

  get audible(): boolean {
    return this.output.audible;
  }

  /** Compiles all rounds, loads the calls that come first, and takes up the run where it stands. */
  async load(): Promise<void> {
    const { rounds, clips } = this.parts;
    try {
      await this.compiled.load(rounds, this.run.shifts);
      const place = this.place();
      await this.voice.load(this.rounds, place.over ? 0 : place.round, clips, (share) => this.set({ share }));
    } catch (error) {
      this.set({ phase: 'failed', failure: error instanceof Error ? error.message : String(error) });
      return;
    }
    this.takeUp();
  }

  private place(): ReturnType<typeof placeInRun> {
    return placeInRun(
      this.run,
      this.rounds.map(({ duration }) => duration),
      this.parts.now(),
    );
  }

  private takeUp(): void {
    const place = this.place();
    if (place.over) {
      if (this.run.phase === 'running') this.ringUpTo(this.rounds.length);
      return this.finish();
    }
    this.open(place.round);
    if (this.run.phase === 'ready') {
      this.set({ phase: 'ready' });
      if (this.state.startsSoon) this.start();
      return;
    }
    this.ringUpTo(place.round);
    this.set({ cameBackAt: { round: place.round, position: place.position } });
    if (place.running) this.runFrom(place.position);
    else this.standAt(place.position);
  }

  start(): void {
    if (this.state.phase !== 'ready') return;
    this.note({ kind: 'start', ...this.here(0) });
    this.runFrom(0);
  }

  hold(): void {
    if (this.state.phase !== 'running' || !this.player) return;
    this.cameToHold(this.player.hold());
  }

  /** Holds when the combo that is being done is over; pressed again it runs on after all. */
  holdAfterCombo(): void {
    if (this.state.phase !== 'running' || !this.player) return;
    if (this.state.holdsSoon) {
      this.player.holdAt(null);
      this.set({ holdsSoon: false });
      return;
    }
    const end = endOfCombo(this.player.round, this.player.position);
    if (end === null) return this.hold();
    this.player.holdAt(end);
    this.set({ holdsSoon: true });
  }

  /** Goes on after a count of two beats. */
  resume(): void {
    if (this.state.phase !== 'held' || !this.player) return;
    const { position, round } = this.player;
    this.note({ kind: 'go-on', ...this.here(position) });
    this.runFrom(position, beatToGoOn(round, position));
  }

  toggle(): void {
    const { phase, startsSoon } = this.state;
    if (phase === 'loading') this.set({ startsSoon: !startsSoon });
    else if (phase === 'ready') this.start();
    else if (phase === 'running') this.hold();
    else this.resume();
  }

  /** Goes faster or slower from the next time through on; gives a sentence where there is nothing to change. */
  changeTempo(by: number): Promise<string | null> {
    return this.tempo.fromNext(by);
  }

  /** The round that comes next goes so much faster than planned, from its start; gives a sentence where there is none to change. */
  advance(by: number): Promise<string | null> {
    return this.tempo.ofNextRound(by);
  }

  /** Goes to another round, from its start and at its planned tempo, or the one taken for it before; runs on if it ran. Behind the last one it is over. */
  goTo(round: number): void {
    const { phase } = this.state;
    if (round < 0 || phase === 'loading' || phase === 'failed' || this.run.phase === 'over') return;
    if (phase === 'over' && round >= this.rounds.length) return;
    const running = phase === 'running' && round < this.rounds.length;
    // A rest that is cut short costs nobody the round.
    const { player } = this;
    if (round !== this.state.round && player && player.position >= player.round.workEnds)
      this.ringUpTo(this.state.round + 1);
    const kind = round === this.state.round ? 'again' : 'skip';
    this.note({ kind, at: this.parts.now(), round, running });
    if (round >= this.rounds.length) return this.finish();
    this.compiled.reset(round);
    this.open(round);
    if (running) this.runFrom(0);
    else this.standAt(0);
  }

  /** A burst between two rounds, ready to be played. */
  burst(seconds: Seconds, onEnd: (end: BurstEnd) => void, isHeard = false): Promise<Burst> {
    return openBurst(this.parts, seconds, onEnd, isHeard);
  }

  /** The rounds whose end bell has rung, and whether all that was finished in them was clean. */
  get endedRounds(): RunState['endedRounds'] {
    return this.run.endedRounds;
  }

  /** When those who came late or left early were there. */
  get presence(): RunState['presence'] {
    return this.run.presence;
  }

  /** Somebody comes late or leaves early. */
  move(fighterId: string, kind: 'comes' | 'leaves', partners: readonly RoundPartners[]): void {
    const event = { kind, at: this.parts.now(), round: this.state.round, fighterId } as const;
    this.run = afterEvent(this.run, event);
    this.parts.note(event, { partners });
    this.set({});
  }

  /** Everybody who finished a round without another word was clean. */
  allClean(round: number): void {
    this.note({ kind: 'all-clean', at: this.parts.now(), round });
    this.set({});
  }

  /** A press of any key lets a silent page sound, and takes the note about coming back away. */
  touch(): void {
    this.output.wake();
    if (this.state.cameBackAt !== null && this.output.audible) this.set({ cameBackAt: null });
  }

  dispose(): void {
    this.player?.dispose();
    this.player = null;
    this.voice.dispose();
    this.parts.awake.dispose();
    this.output.close();
  }

  private open(round: number): void {
    this.player?.dispose();
    const onEnd = (end: PlayerEnd): void => {
      if (end.kind === 'over') this.nextRound(end.handOver);
      else if (end.kind === 'slept') this.wokeUp();
      else this.cameToHold(this.player!.position);
    };
    this.player = this.parts.player(this.rounds[round]!, onEnd, this.rounds[round + 1] ?? null);
    this.set({ round, holdsSoon: false, tempoBy: tempoBy(this.run.shifts.get(round)) });
  }

  /** A device that slept stands where the class stands by the clock, as after a reload; one whose sound went on does already. */
  private wokeUp(): void {
    if (!standsAt(this.place(), this.state.round, this.player!.position)) this.takeUp();
  }

  private cameToHold(position: Seconds): void {
    this.parts.awake.release();
    this.set({ phase: 'held', holdsSoon: false });
    this.note({ kind: 'hold', ...this.here(position) });
  }

  /** That one round follows the other needs no word in the log: the clock tells it. */
  private nextRound(handOver: HandOver): void {
    const next = this.state.round + 1;
    this.ringUpTo(next);
    if (next >= this.rounds.length) return this.finish();
    this.open(next);
    this.player?.takeOver(handOver);
  }

  /** The end bells of the rounds that have run out since the run was noted last, here or while nobody looked. */
  private ringUpTo(next: number): void {
    for (let round = this.run.round; round < next; round++)
      if (!this.run.endedRounds.has(round)) this.note({ kind: 'bell', at: this.parts.now(), round });
  }

  private finish(): void {
    this.parts.awake.release();
    this.player?.dispose();
    this.player = null;
    this.set({ phase: 'over', round: this.rounds.length - 1 });
  }

  private runFrom(position: Seconds, beat: Seconds = 0): void {
    this.player?.start(position, beat);
    this.parts.awake.hold();
    this.set({ phase: 'running' });
  }

  private standAt(position: Seconds): void {
    this.player?.start(position);
    this.player?.hold();
    this.parts.awake.release();
    this.set({ phase: 'held', holdsSoon: false });
  }

  private here(position: Seconds) {
    return { at: this.parts.now(), round: this.state.round, position: Math.max(0, position) };
  }

  private note(event: RunEvent): void {
    this.run = afterEvent(this.run, event);
    this.parts.note(event);
  }

  private set(changes: Partial<ControllerState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}
