import type { StrikeSource } from '@eurhythm/core/speed';
import { validOnsets, type Onset, type OnsetReport } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';

/** Who listens where: this device, or a station of the hall. */
export interface Listener {
  readonly id: string;
  /** What the coach sees: “this device”, or the name of the station. */
  readonly name: string;
  /** Whose strikes it hears. */
  readonly fighterIds: readonly string[];
  /** Null where it is only tried; nothing of that is kept. */
  readonly source: StrikeSource | null;
  readonly device: string;
  readonly detector: string | null;
  readonly leastStrength: number | null;
  /** What is to be known: that it is gone, that something was lost; empty while all is well. */
  readonly status: string;
}

/** What a listener heard of a round, once through it. */
export interface Take {
  readonly listener: Listener;
  readonly round: number;
  readonly onsets: readonly Onset[];
  /** It heard nothing of the round before this instant of it, for it did not listen. */
  readonly from: Seconds;
  /** The coach said that it was somebody else, or counted by hand. */
  readonly isDropped: boolean;
  /** Which time the round was gone through; what was kept of an earlier one stays. */
  readonly time: number;
}

/** All that is heard of a run, by everything that listens. */
export class Listening {
  takes: readonly Take[] = [];
  listeners: readonly Listener[] = [];
  private times = new Map<number, number>();
  /** All that was reported for a take, also what was withdrawn. */
  private readonly reports = new Map<string, readonly OnsetReport[]>();
  /** Rounds, each time through them, whose strikes are theirs who stood there by then. */
  private readonly settled = new Set<string>();
  private readonly watchers = new Set<() => void>();

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
  readonly snapshot = (): readonly Take[] => this.takes;

  /** Something listens from now on, or says something new of itself. */
  comes(listener: Listener): void {
    const known = this.listeners.find(({ id }) => id === listener.id);
    if (JSON.stringify(known) === JSON.stringify(listener)) return;
    this.listeners = known
      ? this.listeners.map((each) => (each.id === listener.id ? listener : each))
      : [...this.listeners, listener];
    this.set(
      this.takes.map((take) => {
        if (take.listener.id !== listener.id) return take;
        const { fighterIds } = this.settled.has(`${take.round} ${take.time}`) ? take.listener : listener;
        return { ...take, listener: { ...listener, fighterIds } };
      }),
    );
  }

  /** The work of a round is over: whoever stands at a listener from now on, what was heard is theirs who stood there until now. */
  settle(round: number): void {
    this.settled.add(`${round} ${this.times.get(round) ?? 0}`);
  }

  /** Something listens no more; what it heard stays. */
  leaves(id: string): void {
    this.listeners = this.listeners.filter((each) => each.id !== id);
    this.set(this.takes);
  }

  /**
   * Takes what was reported about a round, from the `since`th of it on, and gives how many are known by now: who tells from a later one on has
   * to tell what is missing first. The same reported twice is heard once. It listens since `from` in the round.
   */
  hears(id: string, round: number, since: number, added: readonly OnsetReport[], from: Seconds = 0): number {
    const listener = this.listeners.find((each) => each.id === id);
    if (!listener) return 0;
    const time = this.times.get(round) ?? 0;
    const isThis = (take: Take): boolean =>
      take.listener.id === id && take.round === round && take.time === time;
    const before = this.takes.find(isThis) ?? { listener, round, onsets: [], isDropped: false, time, from };
    const known = this.reports.get(`${id} ${round} ${time}`) ?? [];
    if (since > known.length) return known.length;
    const all = [...known.slice(0, since), ...added];
    if (all.length < known.length) return known.length;
    if (added.length === 0 && this.takes.some(isThis)) return known.length;
    this.reports.set(`${id} ${round} ${time}`, all);
    this.set([...this.takes.filter((take) => !isThis(take)), { ...before, onsets: validOnsets(all) }]);
    return all.length;
  }

  /** How much a listener reported about a round, the last time through it. */
  knownOf(id: string, round: number): number {
    return this.reports.get(`${id} ${round} ${this.times.get(round) ?? 0}`)?.length ?? 0;
  }

  /** A round begins anew: what is heard from now on is another take of it. */
  again(round: number): void {
    this.times = new Map(this.times).set(round, (this.times.get(round) ?? 0) + 1);
    this.set(this.takes);
  }

  /** What was heard of a round, the last time through it. */
  of(round: number): Take[] {
    const time = this.times.get(round) ?? 0;
    return this.takes.filter((take) => take.round === round && take.time === time);
  }

  /** It was somebody else; or it was they after all. */
  drop(id: string, round: number, isDropped: boolean): void {
    const time = this.times.get(round) ?? 0;
    this.set(
      this.takes.map((take) =>
        take.listener.id === id && take.round === round && take.time === time ? { ...take, isDropped } : take,
      ),
    );
  }

  private set(takes: readonly Take[]): void {
    this.takes = [...takes];
    for (const watcher of this.watchers) watcher();
  }
}
