import type { RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { LandedDto, StationHeardDto, StationKnownView } from '@eurhythm/contract';
import { KeptTakes, type TrialWrites } from './KeptTakes.ts';
import { Listening, type Take } from './Listening.ts';
import {
  bestResults,
  resultsOf,
  type RoundTests,
  type StrikeResult,
  type WorkersOf,
} from './strikeResults.ts';
import { testToCount, trialsOf } from './trials.ts';

/** What was struck before the end is known by then, also from stations. */
const KNOWN_MS = 1200;
/** What was struck just now is not missed yet. */
const NOT_YET: Seconds = 0.3;

/** The run that is listened to, as it is now. */
export interface ListenedRun {
  readonly id: string;
  readonly lead: 'left' | 'right';
  /** Where it stands. */
  place(): { readonly round: number; readonly position: Seconds; readonly isOver: boolean };
  compiled(round: number): RoundToPlay | undefined;
  workersOf(round: number): WorkersOf;
  testsOf(round: number, until: Seconds): RoundTests;
}

/** What is shown of the round that was reported last. */
export interface ShownResults {
  readonly round: number;
  readonly takes: readonly Take[];
  readonly results: readonly StrikeResult[];
  /** As everybody is shown it; of one who is heard twice it is what the better input heard. */
  readonly items: readonly LandedDto[];
}

const NOTHING: ShownResults = { round: -1, takes: [], results: [], items: [] };

/** All that listens to a run, what it hears of each round against what was due, and what is kept of it when a round is over. */
export class RunListening {
  readonly listening = new Listening();
  private shown = NOTHING;
  private readonly kept: KeptTakes;
  /** How far each round was gone through. */
  private readonly reachedIn = new Map<number, Seconds>();
  /** Rounds that are over; what is reported about them from then on corrects what is kept. */
  private readonly over = new Set<number>();
  private readonly watchers = new Set<() => void>();
  private readonly run: ListenedRun;
  private readonly publish: (item: LandedDto) => void;

  constructor(run: ListenedRun, writes: TrialWrites, publish: (item: LandedDto) => void) {
    this.run = run;
    this.kept = new KeptTakes(writes);
    this.publish = publish;
    this.listening.subscribe(() => this.update());
  }

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
  readonly snapshot = (): ShownResults => this.shown;

  /** A round was gone through so far. */
  reached(round: number, position: Seconds): void {
    this.reachedIn.set(round, position);
  }

  /** It begins anew. */
  again(round: number): void {
    this.over.delete(round);
    this.listening.again(round);
  }

  /** A rest has begun in it. */
  rests(round: number): void {
    // Some rounds begin with a rest.
    if (this.listening.of(round).some(({ onsets }) => onsets.length > 0)) this.listening.settle(round);
    setTimeout(() => this.show(round), KNOWN_MS);
  }

  /** It is left behind, or the class is over. */
  ends(round: number): void {
    this.listening.settle(round);
    setTimeout(() => {
      const place = this.run.place();
      // It was begun anew before this was known.
      if (round === place.round && !place.isOver) return;
      this.over.add(round);
      this.keep();
      this.show(round);
    }, KNOWN_MS);
  }

  /** Takes what a station reports, and gives how much of it is known by now. */
  hear({ station, name, round, since, strikes, from, isGone, ...input }: StationHeardDto): StationKnownView {
    const { source, device, latency, fighterIds, status, detector, leastStrength } = input;
    if (isGone) this.listening.leaves(station);
    else
      this.listening.comes({
        id: station,
        name: name === '' ? 'a station' : name,
        fighterIds,
        source,
        device,
        detector: detector ?? null,
        leastStrength: leastStrength ?? null,
        status,
      });
    const onsets = strikes.map((strike) => ({ ...strike, at: strike.at - latency }));
    return { known: this.listening.hears(station, round, since, onsets, from) };
  }

  /** It was somebody else, or it was they after all. */
  drop(take: Take, isDropped: boolean): void {
    this.listening.drop(take.listener.id, take.round, isDropped);
  }

  /** What somebody counted of it by hand; null where nobody did. */
  countOf({ take, fighterId }: StrikeResult): number | null {
    return this.kept.countsOf(take).get(fighterId) ?? null;
  }

  /** Whether there was anything to count in its round, of which a number could be kept. */
  canCount(result: StrikeResult): boolean {
    const { listener, round } = result.take;
    const compiled = this.run.compiled(round);
    if (listener.source === null || !compiled) return false;
    return testToCount(result, compiled, this.testsOf(round), this.run) !== null;
  }

  /** The number that somebody counted stands in place of what was heard. */
  count({ take, fighterId }: StrikeResult, said: number): void {
    this.kept.count(take, fighterId, said);
    this.keep();
    this.show(take.round);
  }

  /** Whether something listens to this fighter alone at an instant of a round, so that what it hears then is his. */
  listensTo(fighterId: string, round: number, at: Seconds): boolean {
    return this.listening.listeners.some(
      ({ source, fighterIds }) =>
        source !== null && this.run.workersOf(round)(fighterIds).workerAt(at) === fighterId,
    );
  }

  /** How many strikes of his were heard in a burst of a round that began at this instant. */
  strikesIn(fighterId: string, round: number, from: Seconds): number {
    const heard = this.resultsIn(round).flatMap(({ fighterId: who, trials }) =>
      trials.flatMap((trial) =>
        who === fighterId && trial.kind === 'burst' && trial.burst.from === from
          ? trial.result.instants.length
          : [],
      ),
    );
    return Math.max(0, ...heard);
  }

  private testsOf(round: number): RoundTests {
    return this.run.testsOf(round, this.reachedIn.get(round) ?? 0);
  }

  private resultsIn(round: number): StrikeResult[] {
    const compiled = this.run.compiled(round);
    if (!compiled) return [];
    const place = this.run.place();
    const reached = this.reachedIn.get(round) ?? 0;
    const until = round === place.round ? Math.max(reached, place.position - NOT_YET) : reached;
    const workersOf = this.run.workersOf(round);
    const tests = this.testsOf(round);
    return this.listening.of(round).flatMap((take) => resultsOf(take, compiled, until, workersOf, tests));
  }

  private keep(): void {
    const at = new Date().toISOString();
    const { id: runId, lead } = this.run;
    for (const round of this.over)
      this.kept.keep(round, this.listening.of(round), (take) =>
        bestResults(this.resultsIn(round))
          .filter((result) => result.take.listener.id === take.listener.id)
          .flatMap((result) =>
            trialsOf(
              result,
              this.run.compiled(round)!,
              this.testsOf(round),
              { lead, runId, at },
              this.countOf(result),
            ),
          ),
      );
  }

  /** Works out what landed, and reports it to everybody. */
  private show(round: number): void {
    const results = this.resultsIn(round).filter(({ due }) => due.length > 0);
    const items = bestResults(results).map((each) => landedDto(each, round));
    this.shown = { round, takes: this.listening.of(round), results, items };
    for (const watcher of this.watchers) watcher();
    for (const item of items) this.publish(item);
  }

  /** What comes late, or is dropped, is shown anew; what comes of another round changes nothing of what is shown. */
  private update(): void {
    this.keep();
    const { round, takes } = this.shown;
    const now = this.listening.of(round);
    const isSame = now.length === takes.length && now.every((take, i) => take === takes[i]);
    if (round >= 0 && !isSame) this.show(round);
  }
}

function landedDto({ fighterId, landed }: StrikeResult, round: number): LandedDto {
  const { hits, misses, extras, bias } = landed.match;
  return {
    round,
    fighterId,
    hits: hits.length,
    misses: misses.length,
    extras: extras.length,
    bias: Math.max(-5, Math.min(5, bias)),
    combos: landed.combos.map(({ combo, lead, strokes }) => ({ combo, lead, strokes: [...strokes] })),
  };
}
