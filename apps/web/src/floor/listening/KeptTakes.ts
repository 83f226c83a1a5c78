import type { SaveAttemptDto } from '@eurhythm/contract';
import type { Take } from './Listening.ts';

/** A trial of a take, as it was sent. */
export interface KeptTrial {
  readonly id: string;
  readonly attempt: SaveAttemptDto;
}

/** Where trials are written to; what is put under the same id again takes the place of what was there. */
export interface TrialWrites {
  newId(): string;
  put(trial: KeptTrial): void;
  takeOut(id: string): void;
}

const NONE: ReadonlyMap<string, number> = new Map();

/** What is kept of the takes of a run: put right where more, or less, is known of them later. */
export class KeptTakes {
  private readonly kept = new Map<string, readonly KeptTrial[]>();
  /** The takes of each round as they were kept. */
  private readonly rounds = new Map<number, readonly Take[]>();
  private readonly counts = new Map<string, ReadonlyMap<string, number>>();
  private readonly writes: TrialWrites;

  constructor(writes: TrialWrites) {
    this.writes = writes;
  }

  /** What is known by now of a round that is over. Nothing is written where nothing changed; what was dropped is taken out. */
  keep(round: number, takes: readonly Take[], trialsOf: (take: Take) => readonly SaveAttemptDto[]): void {
    const before = this.rounds.get(round) ?? [];
    if (takes.length === before.length && takes.every((take, i) => isSame(take, before[i]!))) return;
    this.rounds.set(round, takes);
    for (const take of takes)
      if (take.isDropped) this.takeOut(take);
      else this.keepTake(take, trialsOf);
  }

  /** The number that somebody counted stands in place of what was heard, once the round is over. */
  count(take: Take, fighterId: string, said: number): void {
    this.counts.set(keyOf(take), new Map(this.countsOf(take)).set(fighterId, said));
    this.rounds.delete(take.round);
  }

  /** What somebody counted by hand of a take, by fighter. */
  countsOf(take: Take): ReadonlyMap<string, number> {
    return this.counts.get(keyOf(take)) ?? NONE;
  }

  private keepTake(take: Take, trialsOf: (take: Take) => readonly SaveAttemptDto[]): void {
    const before = this.kept.get(keyOf(take)) ?? [];
    const { all, changed, gone } = keptAnew(before, trialsOf(take), () => this.writes.newId());
    this.kept.set(keyOf(take), all);
    for (const trial of changed) this.writes.put(trial);
    for (const { id } of gone) this.writes.takeOut(id);
  }

  private takeOut(take: Take): void {
    for (const { id } of this.kept.get(keyOf(take)) ?? []) this.writes.takeOut(id);
    this.kept.delete(keyOf(take));
  }
}

const keyOf = ({ listener, round, time }: Take): string => `${listener.id} ${round} ${time}`;

/** The same is known of it; that its listener says something new of itself changes nothing. */
const isSame = (one: Take, other: Take): boolean =>
  keyOf(one) === keyOf(other) && one.onsets === other.onsets && one.isDropped === other.isDropped;

/** What is to be sent where a take was put right after its trials were kept. */
interface KeptAnew {
  /** All that stands now; what stands for the same is put in its place. */
  readonly all: readonly KeptTrial[];
  readonly changed: readonly KeptTrial[];
  readonly gone: readonly KeptTrial[];
}

/** The trials of a take as it stands now, under the ids of those that were kept of it. */
function keptAnew(
  before: readonly KeptTrial[],
  now: readonly SaveAttemptDto[],
  newId: () => string,
): KeptAnew {
  const left = [...before];
  const changed: KeptTrial[] = [];
  const all: KeptTrial[] = [];
  for (const attempt of now) {
    const same = left.find((kept) => sameTest(kept.attempt, attempt));
    if (same) left.splice(left.indexOf(same), 1);
    const kept = { id: same?.id ?? newId(), attempt: { ...attempt, at: same?.attempt.at ?? attempt.at } };
    all.push(kept);
    if (!same || JSON.stringify(same) !== JSON.stringify(kept)) changed.push(kept);
  }
  return { all, changed, gone: left };
}

const sameTest = (one: SaveAttemptDto, other: SaveAttemptDto): boolean =>
  (['fighterId', 'kind', 'title', 'line', 'lead', 'seconds'] as const).every(
    (key) => one[key] === other[key],
  );
