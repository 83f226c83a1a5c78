import { farText, valueText } from '@eurhythm/core/progress';
import { evaluateTrial, type HeardTrial } from '@eurhythm/core/speed';
import type { FighterView, SaveAttemptDto } from '@eurhythm/contract';
import type { BurstWish, Timed } from '../BurstChoice.tsx';

/** The numbers of bursts that are being reported; kept in the browser until they are put away, so that a reload loses none. */
export interface ClassBurst {
  /** One trial for each fighter and burst, in the order in which they are asked. */
  readonly trials: readonly ClassTrial[];
}

/** Somebody whose number is asked: of what, and from which lead. */
export interface AskedNumber {
  readonly fighterId: string;
  readonly what: Timed;
  readonly lead: 'left' | 'right';
}

export interface ClassTrial extends AskedNumber {
  readonly id: string;
  readonly at: string;
  /** Null as long as nobody has reported it. */
  readonly count: number | null;
  /** What a station heard of it; nothing where somebody reported the number. */
  readonly heard?: HeardTrial | null;
}

/** Nobody strikes more often in a second; a number beyond is asked about once. */
const MOST_A_SECOND = 12;

/**
 * A burst that has just ended, with nothing reported yet.
 *
 * @example
 * classBurst([{ fighterId: 'ines', what: { title: 'Two straights', seconds: 10 }, lead: 'left' }], 'now', () => 'a').trials.length // 1
 */
export function classBurst(asked: readonly AskedNumber[], at: string, newId: () => string): ClassBurst {
  return { trials: asked.map((each) => ({ ...each, id: newId(), at, count: null })) };
}

/** What these people do from their own lead each, or all from the same. */
export function askedOf(
  fighters: readonly Pick<FighterView, 'id' | 'lead'>[],
  what: Timed,
  lead: BurstWish['lead'],
): AskedNumber[] {
  return fighters.map(({ id, lead: own }) => ({ fighterId: id, what, lead: lead === 'own' ? own : lead }));
}

/**
 * With the number of one fighter, reported or corrected.
 *
 * @example
 * withCount({ trials: [] }, 0, 23).trials // []
 */
export function withCount(burst: ClassBurst, place: number, count: number): ClassBurst {
  return {
    trials: burst.trials.map((trial, i) => (i === place ? { ...trial, count, heard: null } : trial)),
  };
}

/**
 * With what a station heard of one fighter, as long as nobody has reported a number.
 *
 * @example
 * heardBy({ trials: [] }, 'ines', { source: 'sensor' }).trials // []
 */
export function heardBy(burst: ClassBurst, fighterId: string, heard: HeardTrial): ClassBurst {
  return {
    trials: burst.trials.map((trial) =>
      trial.fighterId === fighterId && trial.count === null
        ? { ...trial, count: instantsOf(trial.what, heard).length, heard }
        : trial,
    ),
  };
}

/**
 * The next fighter whose number is still open, after a place and then from the first on; the one after it when none is.
 *
 * @example
 * nextOpen([{ count: 1 }, { count: null }], 0) // 1
 */
export function nextOpen(trials: readonly Pick<ClassTrial, 'count'>[], place: number): number {
  const after = trials.findIndex(({ count }, i) => i > place && count === null);
  if (after !== -1) return after;
  const first = trials.findIndex(({ count }) => count === null);
  return first === -1 ? Math.min(place + 1, trials.length - 1) : first;
}

/**
 * What is odd about a number, in a sentence; null for one that can be.
 *
 * @param usual what this person does, where it is known
 *
 * @example
 * oddCount('230', 10) // 'That would be 23 a second. Enter once more keeps it.'
 */
export function oddCount(typed: string, seconds: number, usual: number | null = null): string | null {
  const count = Number(typed);
  if (!/^\d{1,4}$/.test(typed) || count > 2000) return 'A number from 0 to 2000.';
  const far =
    count / seconds > MOST_A_SECOND
      ? `That would be ${Math.round(count / seconds)} a second.`
      : farText(count, usual === null ? null : { low: usual, high: usual }, valueText('burst'));
  return far === '' ? null : `${far} Enter once more keeps it.`;
}

const instantsOf = ({ seconds }: Timed, heard: HeardTrial): number[] => [
  ...evaluateTrial({ kind: 'burst', seconds }, heard).instants,
];

/** The trial as it is sent. */
export function attemptOf(
  { fighterId, lead, what, at, count, heard }: ClassTrial,
  runId: string,
): SaveAttemptDto {
  const test = what.id === undefined ? { title: what.title, seconds: what.seconds } : { testId: what.id };
  const base = { fighterId, runId, ...test, lead, at };
  if (!heard) return { ...base, instants: [], said: count ?? 0, measured: 'partner' };
  return { ...base, instants: instantsOf(what, heard), measured: heard.source, heard } as SaveAttemptDto;
}
