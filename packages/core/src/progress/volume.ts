import { WORK_LIMBS, type WorkLimb } from '../rounds/index.ts';
import { dayNumber, dayText, weeksOver } from './weeks.ts';

export type LimbCount = Readonly<Record<WorkLimb, number>>;

/** One round of somebody's log. */
export interface VolumeRound {
  /** The class that it was in. */
  readonly run: string;
  /** Written like 2026-03-05. */
  readonly day: string;
  /** Strikes that it asks for, by limb. */
  readonly planned: LimbCount;
  /** How much of it was done, 0 to 1. */
  readonly share: number;
}

export interface VolumeWeek {
  /** Its Monday. */
  readonly week: string;
  readonly planned: number;
  readonly done: number;
  /** What was done, by limb. */
  readonly limbs: LimbCount;
  /** Classes of which something was done. */
  readonly classes: number;
}

export interface Volume {
  /** The oldest first, weeks without a class too. */
  readonly weeks: readonly VolumeWeek[];
  /** How many times the mean of the four weeks before it the newest week is, where it is above 1.5; null else. */
  readonly jump: number | null;
  /** Share of each limb in the last four weeks; null where nothing was done. */
  readonly shares: LimbCount | null;
  /** The limb that gets least, where it gets less than half of an even share. */
  readonly neglected: WorkLimb | null;
}

/** A week above so many times the mean of the four before is worth a caution. */
const JUMP = 1.5;
const BEFORE = 4;
/** Half of what a limb would get of four that are trained alike. */
const LITTLE = 0.5;
const EVEN = 1 / WORK_LIMBS.length;

const none = (): Record<WorkLimb, number> => ({
  'left-hand': 0,
  'right-hand': 0,
  'left-leg': 0,
  'right-leg': 0,
});
const totalOf = (limbs: LimbCount): number => WORK_LIMBS.reduce((sum, limb) => sum + limbs[limb], 0);

/**
 * Strikes by limb and week, from the week of the first round to that of today.
 *
 * @example
 * volumeByWeek([{ run: 'r', day: '2026-03-03', planned: { 'left-hand': 20, 'right-hand': 20, 'left-leg': 0, 'right-leg': 0 }, share: 0.5 }], '2026-03-05').weeks.map(({ week }) => week) // ['2026-03-02']
 */
export function volumeByWeek(rounds: readonly VolumeRound[], today: string): Volume {
  const past = rounds.filter(({ day }) => day <= today);
  if (past.length === 0) return { weeks: [], jump: null, shares: null, neglected: null };
  const { mondays, placeOf } = weeksOver(
    past.map(({ day }) => day),
    today,
  );
  const weeks = mondays.map((monday) => ({
    week: dayText(monday),
    planned: 0,
    limbs: none(),
    classes: new Set<string>(),
  }));
  for (const { run, day, planned, share } of past) {
    const week = weeks[placeOf(day)]!;
    week.planned += totalOf(planned);
    if (share > 0) week.classes.add(run);
    for (const limb of WORK_LIMBS) week.limbs[limb] += share * planned[limb];
  }
  const weekly = weeks.map(({ week, planned, limbs, classes }): VolumeWeek => {
    for (const limb of WORK_LIMBS) limbs[limb] = Math.round(limbs[limb]);
    return { week, planned, done: totalOf(limbs), limbs, classes: classes.size };
  });
  return {
    weeks: weekly,
    jump: jumpOf(weekly),
    ...limbShares(weekly.slice(-BEFORE).map(({ limbs }) => limbs)),
  };
}

/** Of a part nobody timed half is taken. */
const SOME = 0.5;

/**
 * How much of a round was done, 0 to 1: `seconds` of so many of work, where a part was timed.
 *
 * @param work seconds of work in the round
 *
 * @example
 * shareDone({ done: 'part', seconds: 30 }, 120) // 0.25
 */
export function shareDone(
  {
    done,
    seconds,
  }: { readonly done: 'finished' | 'part' | 'sat-out' | null; readonly seconds: number | null },
  work: number,
): number {
  if (done === 'finished') return 1;
  if (done === 'sat-out' || done === null) return 0;
  return seconds === null || work === 0 ? SOME : Math.min(1, seconds / work);
}

/** How often a move was done since the first day. */
export interface MoveTotal {
  readonly move: string;
  readonly done: number;
  /** Of those, in the last four weeks. */
  readonly lately: number;
}

const LATELY_WEEKS = 4;
const LATELY_DAYS = 7 * LATELY_WEEKS;

/**
 * How many more weeks like the last four it takes to a number of repetitions: 0 where it is reached, null where the last weeks had none.
 *
 * @param towards repetitions
 *
 * @example
 * weeksLeft({ done: 803, lately: 391 }, 2000) // 13
 */
export function weeksLeft(
  { done, lately }: Pick<MoveTotal, 'done' | 'lately'>,
  towards: number,
): number | null {
  if (done >= towards) return 0;
  return lately > 0 ? Math.ceil(((towards - done) * LATELY_WEEKS) / lately) : null;
}

/** Limbs that did the same so many times. */
export const timesLimbs = (limbs: LimbCount, times: number): LimbCount => ({
  'left-hand': times * limbs['left-hand'],
  'right-hand': times * limbs['right-hand'],
  'left-leg': times * limbs['left-leg'],
  'right-leg': times * limbs['right-leg'],
});

/**
 * The count of each move over all rounds, what was done most first.
 *
 * @example
 * moveTotals([{ day: '2026-03-05', moves: { Jab: 40 }, share: 0.5 }], '2026-03-06') // [{ move: 'Jab', done: 20, lately: 20 }]
 */
export function moveTotals(
  rounds: readonly {
    readonly day: string;
    readonly moves: Readonly<Record<string, number>>;
    readonly share: number;
  }[],
  today: string,
): MoveTotal[] {
  const since = dayText(dayNumber(today) - LATELY_DAYS);
  const totals = new Map<string, { done: number; lately: number }>();
  for (const { day, moves, share } of rounds) {
    if (day > today) continue;
    for (const [move, times] of Object.entries(moves)) {
      const total = totals.get(move) ?? { done: 0, lately: 0 };
      total.done += share * times;
      if (day > since) total.lately += share * times;
      totals.set(move, total);
    }
  }
  return [...totals]
    .map(([move, { done, lately }]) => ({ move, done: Math.round(done), lately: Math.round(lately) }))
    .filter(({ done }) => done > 0)
    .sort((a, b) => b.done - a.done || (a.move < b.move ? -1 : 1));
}

function jumpOf(weeks: readonly VolumeWeek[]): number | null {
  const newest = weeks.at(-1)!;
  const before = weeks.slice(-1 - BEFORE, -1);
  if (before.length < BEFORE) return null;
  const mean = before.reduce((sum, { done }) => sum + done, 0) / BEFORE;
  return mean > 0 && newest.done > JUMP * mean ? newest.done / mean : null;
}

/**
 * What share of the strikes each limb has, and the limb that gets little of what is `meant` for it; of an even share without that.
 *
 * @example
 * limbShares([]) // { shares: null, neglected: null }
 */
export function limbShares(
  counts: readonly LimbCount[],
  meant: Readonly<Record<WorkLimb, number>> | null = null,
): Pick<Volume, 'shares' | 'neglected'> {
  const total = counts.reduce((sum, limbs) => sum + totalOf(limbs), 0);
  if (total === 0) return { shares: null, neglected: null };
  const shares = none();
  for (const limb of WORK_LIMBS) shares[limb] = counts.reduce((sum, limbs) => sum + limbs[limb], 0) / total;
  const wanted = (limb: WorkLimb): number => meant?.[limb] ?? EVEN;
  const ofWanted = (limb: WorkLimb): number => (wanted(limb) === 0 ? Infinity : shares[limb] / wanted(limb));
  const least = [...WORK_LIMBS].sort((a, b) => ofWanted(a) - ofWanted(b))[0]!;
  return { shares, neglected: ofWanted(least) < LITTLE ? least : null };
}
