import { evaluateTrial, type HeardTrial } from '@eurhythm/core/speed';
import type { FighterView, SaveAttemptDto } from '@eurhythm/contract';
import type { BurstWish, Timed } from './BurstChoice.tsx';

/** A burst of the whole class whose numbers are being reported; kept in the browser until it is put away, so that a reload loses none. */
export interface ClassBurst {
  readonly what: Timed;
  readonly lead: BurstWish['lead'];
  readonly at: string;
  /** One trial for each fighter, in the order in which they are asked. */
  readonly trials: readonly ClassTrial[];
}

export interface ClassTrial {
  readonly id: string;
  readonly fighterId: string;
  readonly lead: 'left' | 'right';
  /** Null as long as nobody has reported it. */
  readonly count: number | null;
  /** What a station heard of it; nothing where somebody reported the number. */
  readonly heard?: HeardTrial | null;
}

/** Nobody strikes more often in a second; a number beyond is asked about once. */
const MOST_A_SECOND = 12;

/**
 * A burst of these people that has just ended, with nothing reported yet.
 *
 * @example
 * classBurst([{ id: 'ines', lead: 'left' }], { title: 'Two straights', seconds: 10 }, 'own', 'now', () => 'a').trials.length // 1
 */
export function classBurst(
  fighters: readonly Pick<FighterView, 'id' | 'lead'>[],
  what: Timed,
  lead: BurstWish['lead'],
  at: string,
  newId: () => string,
): ClassBurst {
  const trials = fighters.map((fighter) => ({
    id: newId(),
    fighterId: fighter.id,
    lead: lead === 'own' ? fighter.lead : lead,
    count: null,
  }));
  return { what, lead, at, trials };
}

/**
 * With the number of one fighter, reported or corrected.
 *
 * @example
 * reported({ what: { title: '', seconds: 10 }, lead: 'own', at: '', trials: [] }, 0, 23).trials // []
 */
export function withCount(burst: ClassBurst, place: number, count: number): ClassBurst {
  return {
    ...burst,
    trials: burst.trials.map((trial, i) => (i === place ? { ...trial, count, heard: null } : trial)),
  };
}

/**
 * With what a station heard of one fighter, as long as nobody has reported a number.
 *
 * @example
 * heardBy({ what: { title: '', seconds: 10 }, lead: 'own', at: '', trials: [] }, 'ines', { source: 'sensor' }).trials // []
 */
export function heardBy(burst: ClassBurst, fighterId: string, heard: HeardTrial): ClassBurst {
  const count = instantsOf(burst.what, heard).length;
  return {
    ...burst,
    trials: burst.trials.map((trial) =>
      trial.fighterId === fighterId && trial.count === null ? { ...trial, count, heard } : trial,
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
 * @example
 * oddCount('230', 10) // 'That would be 23 a second. Enter once more keeps it.'
 */
export function oddCount(typed: string, seconds: number): string | null {
  const count = Number(typed);
  if (!/^\d{1,4}$/.test(typed) || count > 2000) return 'A number from 0 to 2000.';
  return count / seconds > MOST_A_SECOND
    ? `That would be ${Math.round(count / seconds)} a second. Enter once more keeps it.`
    : null;
}

const instantsOf = ({ seconds }: Timed, heard: HeardTrial): number[] => [
  ...evaluateTrial({ kind: 'burst', seconds }, heard).instants,
];

/** The trial as it is sent. */
export function attemptOf(
  { what, at }: ClassBurst,
  { fighterId, lead, count, heard }: ClassTrial,
  runId: string,
): SaveAttemptDto {
  const test = what.id === undefined ? { title: what.title, seconds: what.seconds } : { testId: what.id };
  const base = { fighterId, runId, ...test, lead, at };
  if (!heard) return { ...base, instants: [], said: count ?? 0, measured: 'partner' };
  return { ...base, instants: instantsOf(what, heard), measured: heard.source, heard } as SaveAttemptDto;
}
