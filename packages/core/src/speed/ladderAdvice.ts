import type { MoveBook } from '../moves/index.ts';
import type { Cycle } from '../rounds/index.ts';
import type { RoundToPlay } from '../run/index.ts';
import {
  cleanTempos,
  setQuality,
  tempoFor,
  type SetQuality,
  type TempoAdvice,
  type TempoPerson,
  type TempoSet,
} from '../tempo/index.ts';
import type { Bpm } from '../units/index.ts';

/** Somebody of a class. */
export interface Climber extends TempoPerson {
  /** The group of the session; empty for none. */
  readonly group?: string;
}

export interface Ladder {
  /** The rounds as they are played. */
  readonly rounds: readonly Pick<RoundToPlay, 'cycles' | 'combos'>[];
  /** The round whose work is over. */
  readonly round: number;
  readonly book: MoveBook;
  /** Those who train. */
  readonly people: readonly Climber[];
  /** What was said of somebody's round; null where it was not marked. */
  quality(round: number, id: string): SetQuality | null;
  /** What the log says of somebody's sets of a combo before this class, oldest first. */
  before(id: string, comboId: string): readonly TempoSet[];
}

export interface LadderAdvice extends TempoAdvice {
  /** So much faster than planned the next round would go; null where it has another combo or none, or goes like that already. */
  readonly by: Bpm | null;
  /** Whose own next tempo is another one, the slowest first. */
  readonly others: readonly { readonly name: string; readonly bpm: Bpm }[];
}

const bpmOf = (cycle: Cycle): Bpm => Math.round(60 / cycle.beatSeconds);

/**
 * What the marks of a round say about the tempo of the next one with the same combo, for the class and, where it is another one, for
 * each: the one tempo of everybody who does it, with what was marked in this class added to the log. Null where there is no combo, or
 * nobody was marked.
 *
 * @example
 * ladderAdvice({ rounds: [{ ...round, combos: [combo] }], round: 0, book, people: [{ id: 'a', name: 'Ada', pace: 1 }], quality: () => 'wild', before: () => [] }).bpm // 68
 */
export function ladderAdvice({
  rounds,
  round,
  book,
  people: all,
  quality,
  before,
}: Ladder): LadderAdvice | null {
  const done = rounds[round]?.cycles.at(-1);
  // Groups with combos of their own did something else meanwhile.
  const people = all.filter(({ group = '' }) => !done?.lanes?.some((lane) => lane.group === group));
  if (!done || setQuality(people.map(({ id }) => quality(round, id))) === null) return null;
  const combo = rounds[round]!.combos.find(({ id }) => id === done.combo);
  const { bpm, sentence, each } = tempoFor(
    people,
    {
      ...{ id: done.combo, beatsPerBar: combo?.beatsPerBar, cycleBeats: combo?.cycleBeats },
      ...{ line: combo?.line ?? '', bpm: bpmOf(done) },
    },
    {
      setsOf: (id, comboId) => [
        ...before(id, comboId),
        ...rounds.slice(0, round + 1).flatMap(({ cycles }, i): TempoSet[] => {
          const last = cycles.findLast((cycle) => cycle.combo === comboId);
          const said = quality(i, id);
          return last && said ? [{ bpm: bpmOf(last), quality: said }] : [];
        }),
      ],
    },
    cleanTempos(book),
    1,
  );
  const next = rounds[round + 1]?.cycles.find((cycle) => cycle.combo === done.combo);
  const by = next ? bpm - bpmOf(next) : 0;
  const others = each.filter((own) => own.bpm !== bpm).map(({ name, bpm: own }) => ({ name, bpm: own }));
  return { bpm, sentence, by: by === 0 ? null : by, others };
}
