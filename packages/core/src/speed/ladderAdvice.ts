import { analyseCombo, cleanWhenRepeated, type OwnPace } from '../body/index.ts';
import type { MoveBook } from '../moves/index.ts';
import type { Cycle } from '../rounds/index.ts';
import type { RoundToPlay } from '../run/index.ts';
import type { Bpm } from '../units/index.ts';
import { nextTempo, setQuality, tempoForMost, type SetQuality, type TempoAdvice } from './nextTempo.ts';

/** Somebody of a class, with the own pace, or the gym's where nothing was measured. */
export interface Climber {
  readonly id: string;
  readonly name: string;
  readonly factor: number | OwnPace;
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
 * each: nobody is sent beyond what the own body does cleanly, and the class no further than most. Null where there is no combo, or
 * nobody was marked.
 *
 * @example
 * ladderAdvice({ rounds: [{ ...round, combos: [combo] }], round: 0, book, people: [{ id: 'a', name: 'Ada', factor: 1 }], quality: () => 'wild' }).bpm // 76
 */
export function ladderAdvice({ rounds, round, book, people, quality }: Ladder): LadderAdvice | null {
  const done = rounds[round]?.cycles.at(-1);
  if (!done) return null;
  const setsOf = (qualityOf: (of: number) => SetQuality | null) =>
    rounds.slice(0, round + 1).flatMap(({ cycles }, i) => {
      const last = cycles.findLast(({ combo }) => combo === done.combo);
      const said = qualityOf(i);
      return last && said ? [{ bpm: bpmOf(last), quality: said }] : [];
    });
  const ofAll = (i: number): SetQuality | null => setQuality(people.map(({ id }) => quality(i, id)));
  if (ofAll(round) === null) return null;
  const fastestOf = fastestFor(rounds[round]!, done, book);
  const each = people.map(({ id, name, factor }) => ({ id, name, fastest: fastestOf(factor) }));
  const limits = each.flatMap(({ fastest }) => fastest ?? []);
  const advice = nextTempo(setsOf(ofAll), tempoForMost(limits));
  if (!advice) return null;
  const next = rounds[round + 1]?.cycles.find(({ combo }) => combo === done.combo);
  const by = next ? advice.bpm - bpmOf(next) : 0;
  const others = each.flatMap(({ id, name, fastest }) => {
    const own = nextTempo(
      setsOf((i) => quality(i, id)),
      fastest,
    );
    const bpm = own?.bpm ?? Math.min(advice.bpm, fastest ?? Infinity);
    return bpm === advice.bpm ? [] : [{ name, bpm }];
  });
  return { ...advice, by: by === 0 ? null : by, others: others.sort((a, b) => a.bpm - b.bpm) };
}

/** The fastest clean tempo of what was done, for each pace; null where the line cannot be read or nothing limits it. */
function fastestFor(
  { combos }: Pick<RoundToPlay, 'combos'>,
  cycle: Cycle,
  book: MoveBook,
): (factor: number | OwnPace) => Bpm | null {
  const line = cycle.line ?? combos.find(({ id }) => id === cycle.combo)?.line ?? '';
  const analysis = analyseCombo(line, book, cycle.lead);
  return (factor) =>
    analysis.ok ? (cleanWhenRepeated(analysis.walk, cycle.beats, { factor })?.bpm ?? null) : null;
}
