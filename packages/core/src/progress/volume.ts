import { WORK_LIMBS, type WorkLimb } from '../rounds/index.ts';

export type LimbCount = Readonly<Record<WorkLimb, number>>;

/** One round of somebody's log. */
export interface VolumeRound {
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

const DAY = 86_400_000;
const WEEK = 7;
/** A week above so many times the mean of the four before is worth a caution (engine §7). */
const JUMP = 1.5;
const BEFORE = 4;
/** Half of what a limb would get of four that are trained alike. */
const LITTLE = 0.5 / WORK_LIMBS.length;

/** The Monday of a day's week, as a number of days. The epoch was a Thursday. */
const mondayOf = (day: string): number => {
  const n = Math.round(Date.parse(day) / DAY);
  return n - ((n + 3) % WEEK);
};
const dayText = (n: number): string => new Date(n * DAY).toISOString().slice(0, 10);
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
 * volumeByWeek([], '2026-03-05').weeks // []
 */
export function volumeByWeek(rounds: readonly VolumeRound[], today: string): Volume {
  const past = rounds.filter(({ day }) => day <= today);
  if (past.length === 0) return { weeks: [], jump: null, shares: null, neglected: null };
  const first = Math.min(...past.map(({ day }) => mondayOf(day)));
  const count = (mondayOf(today) - first) / WEEK + 1;
  const weeks = Array.from({ length: count }, (_, i) => ({
    week: dayText(first + i * WEEK),
    planned: 0,
    limbs: none(),
  }));
  for (const { day, planned, share } of past) {
    const week = weeks[(mondayOf(day) - first) / WEEK]!;
    week.planned += totalOf(planned);
    for (const limb of WORK_LIMBS) week.limbs[limb] += share * planned[limb];
  }
  const told = weeks.map(({ week, planned, limbs }): VolumeWeek => {
    for (const limb of WORK_LIMBS) limbs[limb] = Math.round(limbs[limb]);
    return { week, planned, done: totalOf(limbs), limbs };
  });
  return { weeks: told, jump: jumpOf(told), ...sharesOf(told.slice(-BEFORE)) };
}

function jumpOf(weeks: readonly VolumeWeek[]): number | null {
  const newest = weeks.at(-1)!;
  const before = weeks.slice(-1 - BEFORE, -1);
  if (before.length < BEFORE) return null;
  const mean = before.reduce((sum, { done }) => sum + done, 0) / BEFORE;
  return mean > 0 && newest.done > JUMP * mean ? newest.done / mean : null;
}

function sharesOf(weeks: readonly VolumeWeek[]): Pick<Volume, 'shares' | 'neglected'> {
  const total = weeks.reduce((sum, { done }) => sum + done, 0);
  if (total === 0) return { shares: null, neglected: null };
  const shares = none();
  for (const limb of WORK_LIMBS)
    shares[limb] = weeks.reduce((sum, { limbs }) => sum + limbs[limb], 0) / total;
  const least = [...WORK_LIMBS].sort((a, b) => shares[a] - shares[b])[0]!;
  return { shares, neglected: shares[least] < LITTLE ? least : null };
}
