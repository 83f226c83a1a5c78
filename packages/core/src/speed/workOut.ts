import { matchStrikes, type StrikeMatch } from '../strikes/index.ts';
import { thousandths, type Seconds } from '../units/index.ts';
import { summariseTrials } from './burst.ts';
import { comboTime, type ComboTime } from './comboTime.ts';
import type { HeardTrial, Tested } from './heardTrial.ts';
import { reactions } from './reactions.ts';

/** What a trial comes to. */
export interface WorkedOut {
  /** The strikes that count, by the clock of the trial, without the latency of the device; of a burst those within its time. */
  readonly instants: readonly Seconds[];
  /** Seconds, the median of what was done in it; null for a burst, and where nothing could be told. */
  readonly value: Seconds | null;
  /** All times through, or all answers, that the median is of. */
  readonly times: readonly Seconds[];
}

/**
 * Works a trial out from what was heard: the same for the first time and for every time after it.
 *
 * @example
 * workOut({ kind: 'burst', seconds: 10 }, { source: 'taps', device: '', latency: 0, detector: null, onsets: [{ at: 1 }], due: null }).instants // [1]
 */
export function workOut({ kind, seconds }: Tested, heard: HeardTrial): WorkedOut {
  const sure = heard.onsets.filter(({ doubtful }) => doubtful !== true);
  const instants = sure.map(({ at }) => thousandths(at - heard.latency)).sort((a, b) => a - b);
  if (kind === 'burst')
    return { instants: instants.filter((at) => at >= 0 && at <= seconds), value: null, times: [] };
  const times =
    kind === 'reaction'
      ? reactions(heard.due ?? [], instants).times.flatMap((time) => (time === null ? [] : thousandths(time)))
      : timesThrough(heard).flatMap(({ isWhole, seconds }) => (isWhole ? [seconds] : []));
  const value = summariseTrials(times, 'lower')?.median ?? null;
  return { instants, value: value === null ? null : thousandths(value), times };
}

/**
 * Every time through a line that was heard, with its gaps, in order.
 *
 * @example
 * timesThrough({ source: 'file', device: '', latency: 0, detector: null, onsets: [{ at: 1 }, { at: 2 }], due: [1, 2] }).length // 1
 */
export function timesThrough({ onsets, due, starts = [0], latency }: HeardTrial): ComboTime[] {
  const dueAt = (due ?? []).map((at) => ({ at }));
  const { hits } = matchStrikes(dueAt, onsets, latency);
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
 * matchOfTrial({ source: 'file', device: '', latency: 0, detector: null, onsets: [{ at: 1 }], due: [1] }).hits.length // 1
 */
export function matchOfTrial({ onsets, due, latency }: HeardTrial): StrikeMatch {
  return matchStrikes(
    (due ?? []).map((at) => ({ at })),
    onsets,
    latency,
  );
}
