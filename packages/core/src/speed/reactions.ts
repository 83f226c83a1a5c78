import type { Seconds } from '../units/index.ts';
import { summariseTrials, type TrialSummary } from './burst.ts';

/** Nobody answers sooner: what lands by then was guessed. The limit of a false start in athletics. */
export const ANTICIPATION: Seconds = 0.1;
/** What lands later answers nothing. */
const LATEST: Seconds = 2;
/** A guess this long before the call belongs to it still. */
const GUESSED_BEFORE: Seconds = 0.3;

export interface Reactions {
  /** For each call the time to the first impact; null where it was guessed or not answered. */
  readonly times: readonly (Seconds | null)[];
  /** Calls that somebody struck before anybody could have heard them. */
  readonly anticipated: readonly number[];
  readonly unanswered: readonly number[];
  /** Of the times; null without any. */
  readonly summary: TrialSummary | null;
}

/**
 * How soon calls were answered. `calls` are the instants of their centres, or of what else is answered to, in order; `impacts` are in
 * order too, and on the same clock.
 *
 * @example
 * reactions([1, 4], [1.4, 4.05]).anticipated // [1]
 */
export function reactions(calls: readonly Seconds[], impacts: readonly Seconds[]): Reactions {
  const anticipated: number[] = [];
  const unanswered: number[] = [];
  const times = calls.map((call, i): Seconds | null => {
    const before = i === 0 ? -Infinity : calls[i - 1]! + LATEST;
    const end = Math.min(calls[i + 1] ?? Infinity, call + LATEST);
    const isGuess = (at: Seconds): boolean =>
      at > Math.max(before, call - GUESSED_BEFORE) && at < call + ANTICIPATION;
    if (impacts.some(isGuess)) {
      anticipated.push(i);
      return null;
    }
    const answer = impacts.find((at) => at >= call + ANTICIPATION && at < end);
    if (answer === undefined) unanswered.push(i);
    return answer === undefined ? null : answer - call;
  });
  const answered = times.filter((time) => time !== null);
  return { times, anticipated, unanswered, summary: summariseTrials(answered, 'lower') };
}
