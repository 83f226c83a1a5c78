import { groupBy } from '../../units/index.ts';
import type { SetQuality } from '../../tempo/index.ts';

/** A set as it was marked. */
export interface MarkedDay {
  readonly fighterId: string;
  readonly comboId: string;
  readonly quality: SetQuality | null;
  /** Like 2026-03-05. */
  readonly day: string;
}

/** A combo that somebody did not do cleanly in so many classes running. */
export interface NotClean {
  readonly fighterId: string;
  readonly comboId: string;
  readonly classes: number;
}

/** So many classes running say that something else has to be tried. */
export const LOOSE_CLASSES = 4;

/**
 * Who did which combo loosely or wildly in four classes running or more, without one clean set in them; the most first.
 *
 * @example
 * looseForLong([]) // []
 */
export function looseForLong(sets: readonly MarkedDay[]): NotClean[] {
  const judged = sets.filter(({ quality }) => quality !== null);
  return [...groupBy(judged, ({ fighterId, comboId }) => `${fighterId} ${comboId}`).values()]
    .flatMap((own) => {
      const days = [...groupBy(own, ({ day }) => day)].sort(([a], [b]) => (a < b ? 1 : -1));
      const clean = days.findIndex(([, of]) => of.some(({ quality }) => quality === 'clean'));
      const classes = clean === -1 ? days.length : clean;
      const { fighterId, comboId } = own[0]!;
      return classes >= LOOSE_CLASSES ? [{ fighterId, comboId, classes }] : [];
    })
    .sort((a, b) => b.classes - a.classes);
}

/**
 * Who was wild in the last class that they were marked in, and how often; the most first.
 *
 * @example
 * wildLately([{ fighterId: 'a', comboId: 'c', quality: 'wild', day: '2026-03-05' }]) // [{ fighterId: 'a', day: '2026-03-05', comboIds: ['c'] }]
 */
export function wildLately(
  sets: readonly MarkedDay[],
): { readonly fighterId: string; readonly day: string; readonly comboIds: readonly string[] }[] {
  return [...groupBy(sets, ({ fighterId }) => fighterId).values()]
    .flatMap((own) => {
      const day = own.reduce((last, set) => (set.day > last ? set.day : last), '');
      const wild = own.filter((set) => set.day === day && set.quality === 'wild');
      return wild.length === 0
        ? []
        : [{ fighterId: own[0]!.fighterId, day, comboIds: [...new Set(wild.map(({ comboId }) => comboId))] }];
    })
    .sort((a, b) => b.comboIds.length - a.comboIds.length);
}

/** Somebody's class, and whether a round of it was sat out. */
export interface SatOutDay {
  readonly fighterId: string;
  readonly day: string;
  readonly satOut: boolean;
}

/** So many classes running say that it is no chance. */
export const SAT_OUT_CLASSES = 3;

/**
 * Who sat something out in each of the last three classes or more.
 *
 * @example
 * sitsOut([1, 2, 3].map((n) => ({ fighterId: 'a', day: `2026-03-0${n}`, satOut: true }))) // [{ fighterId: 'a', classes: 3 }]
 */
export function sitsOut(
  days: readonly SatOutDay[],
): { readonly fighterId: string; readonly classes: number }[] {
  return [...groupBy(days, ({ fighterId }) => fighterId).values()].flatMap((own) => {
    const sorted = [...own].sort((a, b) => (a.day < b.day ? 1 : -1));
    const done = sorted.findIndex(({ satOut }) => !satOut);
    const classes = done === -1 ? sorted.length : done;
    return classes >= SAT_OUT_CLASSES ? [{ fighterId: own[0]!.fighterId, classes }] : [];
  });
}
