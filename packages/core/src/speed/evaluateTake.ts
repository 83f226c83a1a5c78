import {
  apartFromReference,
  doubtWeak,
  type DueInRound,
  type Onset,
  type OwnSound,
} from '../strikes/index.ts';
import { thousandths, type Seconds } from '../units/index.ts';
import { evaluateTrial, type EvaluatedTrial } from './evaluateTrial.ts';
import type { HeardTrial, StrikeSource, Tested } from './heardTrial.ts';
import { landedRound, type ComboLanded, type LandedRound } from './landedRound.ts';

/** What one input heard of a round, or of a burst, once through it. All times from its start on. */
export interface Take {
  readonly onsets: readonly Onset[];
  /** Null where it was only tried. */
  readonly source: StrikeSource | null;
  /** It heard nothing before this instant, for it did not listen. */
  readonly from: Seconds;
  /** What the devices of the hall play: a microphone hears it too. */
  readonly reference: readonly OwnSound[];
}

/** As many as possible within a time. */
export interface DueBurst {
  readonly from: Seconds;
  readonly seconds: Seconds;
}

/** What was due in it. */
export interface TakeDue {
  strikesOf(fighterId: string): readonly DueInRound[];
  readonly bursts: readonly DueBurst[];
  /** Calls that are answered at once. */
  readonly calls: readonly Seconds[];
}

/** Whose strikes they are, and how far it was gone through. */
export interface TakeRules {
  readonly fighterIds: readonly string[];
  /** Null where nobody works, or more than one that could be meant: such strikes are no one's. */
  workerAt(at: Seconds): string | null;
  readonly until: Seconds;
}

/** What was measured in it: how long a combo took, how many fitted into a burst, how soon calls were answered. */
export type MeasuredInTake =
  | { readonly kind: 'combo-time'; readonly combo: ComboLanded }
  | { readonly kind: 'burst'; readonly burst: DueBurst }
  | { readonly kind: 'reaction' };

export type TakeTrial = MeasuredInTake & {
  /** What it was evaluated from, so that it can be evaluated again. */
  readonly evidence: Pick<HeardTrial, 'onsets' | 'due' | 'starts' | 'hits' | 'own'>;
  readonly result: EvaluatedTrial;
};

/** What one fighter did in a take. */
export interface FighterTake {
  readonly fighterId: string;
  /** What was due of him while the input listened. */
  readonly due: readonly DueInRound[];
  readonly landed: LandedRound;
  /** Onsets that may have been strikes and do not count. */
  readonly doubtful: number;
  /** How often a strike could not have been distinguished from a tick. */
  readonly unheard: number;
  readonly trials: readonly TakeTrial[];
}

/**
 * What a take comes to, for each who worked there: what landed, the whole times through each combo, bursts, and answers to calls. Page,
 * station, server and file ask this one function. What is doubtful counts for nothing, and completes no combo.
 *
 * @returns in the order of `fighterIds`, without those of whom nothing was due
 *
 * @example
 * evaluateTake({ onsets: [{ at: 1 }], source: 'sensor', from: 0, reference: [] }, { strikesOf: () => [], bursts: [{ from: 0, seconds: 10 }], calls: [] }, { fighterIds: ['ada'], workerAt: () => 'ada', until: 10 })[0]?.trials[0]?.result.instants // [1]
 */
export function evaluateTake(take: Take, due: TakeDue, rules: TakeRules): FighterTake[] {
  const { fighterIds, workerAt, until } = rules;
  const strikesOf = (id: string): DueInRound[] =>
    due.strikesOf(id).filter(({ at }) => at >= take.from && at <= until);
  const dueOfAll = fighterIds.flatMap((id) => strikesOf(id).map(({ at }) => at));
  const { strikes, unheard } = cleaned(take, dueOfAll);
  // Between bursts and calls nothing is due that a tick could hide.
  const apart = cleaned(take, []).strikes;
  return fighterIds.flatMap((fighterId): FighterTake[] => {
    const isTheirs = ({ at }: { readonly at: Seconds }): boolean => workerAt(at) === fighterId;
    const own = strikesOf(fighterId).filter(isTheirs);
    const heard = strikes.filter(isTheirs);
    const landed = landedRound(own, heard);
    const trials = [
      ...landed.combos.flatMap(comboTrial),
      ...due.bursts
        .filter(({ from }) => workerAt(from) === fighterId && take.from <= from + LATE_TO_LISTEN)
        .map((burst) => burstTrial(burst, apart, take)),
      ...reactionTrial(
        due.calls.filter((at) => isTheirs({ at }) && at <= until),
        apart.filter(isTheirs),
      ),
    ];
    if (own.length === 0 && trials.length === 0) return [];
    return [
      {
        fighterId,
        due: own,
        landed,
        doubtful: heard.filter(({ doubtful }) => doubtful === true).length,
        unheard: unheard.filter(({ from }) => isTheirs({ at: from })).length,
        trials,
      },
    ];
  });
}

/** An input that listens so little after the bell of a burst has missed no strike of it. */
const LATE_TO_LISTEN: Seconds = 0.5;
/** What is heard so long around a burst is kept with it: what a device plays then is taken out when it is evaluated again. */
const AROUND_BURST: Seconds = 1;

/** A take without what the devices play; the weak ones are doubtful. */
function cleaned({ onsets, source, reference }: Take, due: readonly Seconds[]) {
  if (source !== 'microphone') return { strikes: onsets, unheard: [] };
  const { strikes, unheard } = apartFromReference(onsets, reference, due);
  return { strikes: doubtWeak(strikes, source), unheard };
}

/** None where no whole time through landed. */
function comboTrial(combo: ComboLanded): TakeTrial[] {
  const evidence = { onsets: combo.onsets, due: combo.due, starts: combo.starts, hits: combo.hits };
  const result = evaluated({ kind: 'combo-time', seconds: 0 }, evidence);
  return result.value === null ? [] : [{ kind: 'combo-time', combo, evidence, result }];
}

function burstTrial(burst: DueBurst, strikes: readonly Onset[], { source, reference }: Take): TakeTrial {
  const { from, seconds } = burst;
  const shifted = (at: Seconds): Seconds => thousandths(at - from);
  const own = reference
    .map(({ at }) => shifted(at))
    .filter((at) => at > -AROUND_BURST && at < seconds + AROUND_BURST);
  const evidence = {
    onsets: strikes
      .map((onset) => ({ ...onset, at: shifted(onset.at) }))
      .filter(({ at }) => at >= 0 && at <= seconds),
    due: null,
    ...(source === 'microphone' && own.length > 0 ? { own } : {}),
  };
  return { kind: 'burst', burst, evidence, result: evaluated({ kind: 'burst', seconds }, evidence) };
}

/** None where no call was answered. */
function reactionTrial(due: readonly Seconds[], onsets: readonly Onset[]): TakeTrial[] {
  const evidence = { onsets, due };
  const result = evaluated({ kind: 'reaction', seconds: 0 }, evidence);
  return result.value === null ? [] : [{ kind: 'reaction', evidence, result }];
}

function evaluated(tested: Tested, evidence: TakeTrial['evidence']): EvaluatedTrial {
  return evaluateTrial(tested, { source: 'file', device: '', detector: null, ...evidence });
}
