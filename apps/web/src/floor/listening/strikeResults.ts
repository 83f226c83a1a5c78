import { soundEvents } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import { evaluateTake, type DueBurst, type FighterTake } from '@eurhythm/core/speed';
import type { DueInRound, OwnSound } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type { Take } from './Listening.ts';

/** What one fighter did in a round, as one listener heard it. */
export interface StrikeResult extends FighterTake {
  readonly take: Take;
}

/** Who may work where a listener stands, and what is due of them. */
export type WorkersOf = (fighterIds: readonly string[]) => {
  dueOf(fighterId: string): readonly DueInRound[];
  workerAt(at: Seconds): string | null;
};

/** A burst of a round: when it runs, and what the test of it is called. */
export interface BurstInRound extends DueBurst {
  readonly title: string;
}

/** What a round tests beside its combos: bursts that are over, and calls that are answered at once. */
export interface RoundTests {
  readonly bursts: readonly BurstInRound[];
  readonly calls: { readonly at: readonly Seconds[]; readonly title: string };
}

export const NO_TESTS: RoundTests = { bursts: [], calls: { at: [], title: '' } };

/** The ticks and bells of a round, as a microphone in the hall hears them too, from `zero` seconds of it on. */
export const referenceOf = (round: Pick<RoundToPlay, 'cues'>, zero: Seconds): OwnSound[] =>
  soundEvents(round).flatMap(({ at, source }) =>
    source.kind === 'synth' ? [{ at: at - zero, kind: source.sound }] : [],
  );

/** What a take of a round comes to, for each who worked there, as far as the round was gone through: up to `reached`. */
export function resultsOf(
  take: Take,
  round: RoundToPlay,
  reached: Seconds,
  workersOf: WorkersOf,
  { bursts, calls }: RoundTests = NO_TESTS,
): StrikeResult[] {
  const { fighterIds, source } = take.listener;
  const { dueOf, workerAt } = workersOf(fighterIds);
  const results = evaluateTake(
    { onsets: take.onsets, source, from: take.from, reference: referenceOf(round, 0) },
    { strikesOf: dueOf, bursts, calls: calls.at },
    { fighterIds, workerAt, until: reached },
  );
  return results.map((result) => ({ ...result, take }));
}

/** Of one fighter who is heard by two, what the better input heard; nothing of what was dropped. */
export function bestResults(all: readonly StrikeResult[]): StrikeResult[] {
  const heard = ({ landed, trials, take }: StrikeResult): number =>
    take.isDropped
      ? -1
      : landed.match.hits.length +
        trials.reduce((sum, { kind, result }) => sum + (kind === 'burst' ? result.instants.length : 0), 0);
  return all.filter(
    (one) =>
      !one.take.isDropped &&
      all.every(
        (other) =>
          other === one ||
          other.fighterId !== one.fighterId ||
          heard(other) < heard(one) ||
          (heard(other) === heard(one) && all.indexOf(other) > all.indexOf(one)),
      ),
  );
}
