import type { TempoShift } from '@eurhythm/core/rounds';
import { clipIds, nextToChange, spliceAt, spliced, tempoBy, type RunEvent } from '@eurhythm/core/run';
import type { CompiledRounds } from './CompiledRounds.ts';
import type { ControllerParts, ControllerState } from './controllerState.ts';
import type { Player, SoundOutput } from '../player.ts';

/** The run that is played, as a change of its tempo sees it. */
interface PlayedNow {
  player(): Player | null;
  round(): number;
  shiftsOf(round: number): readonly TempoShift[];
  note(event: RunEvent): void;
  set(changes: Partial<ControllerState>): void;
}

/** Changes of the tempo while a run is played, one after the other: each builds on the one before. */
export class TempoChanges {
  private changing: Promise<unknown> = Promise.resolve();
  private readonly parts: Pick<ControllerParts<SoundOutput>, 'compile' | 'output' | 'now'>;
  private readonly compiled: CompiledRounds;
  private readonly run: PlayedNow;

  constructor(parts: TempoChanges['parts'], compiled: CompiledRounds, run: PlayedNow) {
    this.parts = parts;
    this.compiled = compiled;
    this.run = run;
  }

  /** Goes faster or slower from the next time through on; gives a sentence where there is nothing to change. */
  fromNext(by: number): Promise<string | null> {
    return this.inTurn(() => this.changeNow(by));
  }

  /** The round that comes next goes so much faster than planned, from its start; gives a sentence where there is none to change. */
  ofNextRound(by: number): Promise<string | null> {
    return this.inTurn(() => this.advanceNow(by));
  }

  private inTurn(change: () => Promise<string | null>): Promise<string | null> {
    const changed = this.changing.then(change);
    this.changing = changed.catch(() => null);
    return changed;
  }

  private async changeNow(by: number): Promise<string | null> {
    const [player, round] = [this.run.player(), this.run.round()];
    if (!player) return 'Nothing runs.';
    const next = nextToChange(player.round, player.position);
    if (!next) return 'No combo comes after this one in the round.';
    const shifts = [...this.run.shiftsOf(round), { from: next.at, by }];
    const compiled = await this.parts.compile(round, shifts);
    await this.parts.output.load(clipIds(compiled), () => {});
    if (this.run.player() !== player) return null; // another round has begun meanwhile
    const from = spliceAt(next.at, player.position);
    const joined = spliced(player.round, compiled, from);
    player.swap(joined, from);
    this.compiled.replace(round, joined);
    this.note(round, next.at, by);
    this.run.set({ tempoBy: tempoBy(shifts) });
    return null;
  }

  private async advanceNow(by: number): Promise<string | null> {
    const round = this.run.round() + 1;
    if (!this.compiled.all[round]) return 'No round comes after this one.';
    const compiled = await this.parts.compile(round, [...this.run.shiftsOf(round), { from: 0, by }]);
    await this.parts.output.load(clipIds(compiled), () => {});
    if (this.run.round() + 1 !== round) return 'That round has begun meanwhile.';
    this.compiled.advise(round, compiled);
    this.run.player()?.follow(compiled);
    this.note(round, 0, by);
    this.run.set({});
    return null;
  }

  private note(round: number, position: number, by: number): void {
    this.run.note({ kind: 'tempo', at: this.parts.now(), round, position, by });
  }
}
