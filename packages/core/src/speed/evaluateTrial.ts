import { matchStrikes, sureOnsets, type Onset, type StrikeMatch } from '../strikes/index.ts';
import { thousandths, type Seconds } from '../units/index.ts';
import { summariseTrials } from './burst.ts';
import { comboTime, type ComboTime } from './comboTime.ts';
import type { HeardTrial, Tested } from './heardTrial.ts';
import { reactions } from './reactions.ts';

/** What a trial comes to. */
export interface EvaluatedTrial {
  /** The strikes that count, by the clock of the trial, in order; of a burst those within its time. */
  readonly instants: readonly Seconds[];
  /** Seconds, the median of what was done in it; null for a burst, and where nothing could be reported. */
  readonly value: Seconds | null;
  /** All whole times through, or all answers, that the median is of. */
  readonly times: readonly Seconds[];
}

/**
 * Evaluates a trial from what was heard: the same for the first time and for every time after it. Nothing doubtful counts.
 *
 * @param tested what is measured, and the length of a burst in seconds
 * @param heard the onsets and what was due
 *
 * @example
 * evaluateTrial({ kind: 'burst', seconds: 10 }, { source: 'taps', device: '', detector: null, onsets: [{ at: 1 }], due: null }).instants // [1]
 */
export function evaluateTrial({ kind, seconds }: Tested, heard: HeardTrial): EvaluatedTrial {
  const { onsets, due } = sureIn(heard);
  const instants = onsets.map(({ at }) => thousandths(at)).sort((a, b) => a - b);
  if (kind === 'burst')
    return { instants: instants.filter((at) => at >= 0 && at <= seconds), value: null, times: [] };
  const times =
    kind === 'reaction'
      ? reactions(due, instants).times.flatMap((time) => (time === null ? [] : thousandths(time)))
      : timesThrough(heard).flatMap(({ isWhole, seconds }) => (isWhole ? [seconds] : []));
  const value = summariseTrials(times, 'lower')?.median ?? null;
  return { instants, value: value === null ? null : thousandths(value), times };
}

/**
 * Every time through a line that was heard, with its gaps, in order. One in which a strike is missing, or only doubtful, is not whole.
 *
 * @example
 * timesThrough({ source: 'file', device: '', detector: null, onsets: [{ at: 1 }, { at: 2 }], due: [1, 2] })[0]?.isWhole // true
 */
export function timesThrough(heard: HeardTrial): ComboTime[] {
  const { onsets, due } = sureIn(heard);
  const dueAt = due.map((at) => ({ at }));
  const { hits } = matchOfTrial(heard);
  const { starts = [0] } = heard;
  return starts.flatMap((from, i) => {
    const to = starts[i + 1] ?? dueAt.length;
    const own = hits
      .filter((hit) => hit.due >= from && hit.due < to)
      .map((hit) => ({ due: hit.due - from, onset: hit.onset }));
    return comboTime(dueAt.slice(from, to), onsets, own) ?? [];
  });
}

/**
 * How a trial of a line matches what was due.
 *
 * @example
 * matchOfTrial({ source: 'file', device: '', detector: null, onsets: [{ at: 1 }], due: [1] }).hits.length // 1
 */
export function matchOfTrial(heard: HeardTrial): StrikeMatch {
  const { onsets, due } = sureIn(heard);
  const match = matchStrikes(
    due.map((at) => ({ at })),
    onsets,
    0,
  );
  return heard.hits ? { ...match, ...asLanded(heard, heard.hits) } : match;
}

/** What the whole round was put together to, by the places of the sure onsets. */
function asLanded(
  heard: HeardTrial,
  places: readonly number[],
): Pick<StrikeMatch, 'hits' | 'misses' | 'extras'> {
  const { onsets: all, due } = withoutLatency(heard);
  const sure = sureOnsets(all);
  const hits = places.flatMap((place, i) => {
    const onset = all[place] ? sure.indexOf(all[place]) : -1;
    return onset < 0 ? [] : [{ due: i, onset, error: sure[onset]!.at - due![i]! }];
  });
  const [isHit, wasHit] = [new Set(hits.map((hit) => hit.due)), new Set(hits.map((hit) => hit.onset))];
  return {
    hits,
    misses: (due ?? []).flatMap((_, i) => (isHit.has(i) ? [] : [i])),
    extras: sure.flatMap((_, i) => (wasHit.has(i) ? [] : [i])),
  };
}

/**
 * A trial as it is kept since latency is taken off where a strike comes in: trials of before still have it in their onsets.
 *
 * @example
 * withoutLatency({ source: 'file', device: '', detector: null, latency: 0.5, onsets: [{ at: 1 }], due: [1] }).onsets // [{ at: 0.5 }]
 */
export function withoutLatency(heard: HeardTrial): HeardTrial {
  const { latency = 0, ...trial } = heard;
  if (latency === 0) return heard;
  const off = (at: Seconds): Seconds => thousandths(at - latency);
  return {
    ...trial,
    onsets: trial.onsets.map((onset) => ({ ...onset, at: off(onset.at) })),
    ...(trial.own ? { own: trial.own.map(off) } : {}),
  };
}

function sureIn(heard: HeardTrial): { readonly onsets: readonly Onset[]; readonly due: readonly Seconds[] } {
  const { onsets, due } = withoutLatency(heard);
  return { onsets: sureOnsets(onsets), due: due ?? [] };
}
