import type { Limb } from '../body/index.ts';
import type { Level } from '../moves/index.ts';

export const WORK_LIMBS = ['left-hand', 'right-hand', 'left-leg', 'right-leg'] as const;
export type WorkLimb = (typeof WORK_LIMBS)[number];

/** Strikes of a stretch of work, by what strikes and how high. */
export interface StrikeCount {
  readonly limbs: Readonly<Record<WorkLimb, number>>;
  readonly levels: Readonly<Record<Level, number>>;
}

export const NO_STRIKES: StrikeCount = {
  limbs: { 'left-hand': 0, 'right-hand': 0, 'left-leg': 0, 'right-leg': 0 },
  levels: { head: 0, body: 0, low: 0 },
};

/**
 * @example
 * addStrikes(NO_STRIKES, NO_STRIKES).limbs['left-hand'] // 0
 */
export function addStrikes(a: StrikeCount, b: StrikeCount): StrikeCount {
  const sum = <K extends string>(x: Readonly<Record<K, number>>, y: Readonly<Record<K, number>>) =>
    Object.fromEntries(Object.keys(x).map((key) => [key, x[key as K] + y[key as K]])) as Record<K, number>;
  return { limbs: sum(a.limbs, b.limbs), levels: sum(a.levels, b.levels) };
}

/** One kind of strike, so many times. Both hands at once count for each hand, and once for their height. */
export interface CountedStrike {
  readonly limb: Limb;
  readonly level: Level | null;
  readonly times: number;
}

/**
 * @example
 * tallyStrikes([{ limb: 'left-hand', level: 'head', times: 3 }]).levels.head // 3
 */
export function tallyStrikes(strikes: readonly CountedStrike[]): StrikeCount {
  const limbs = { ...NO_STRIKES.limbs };
  const levels = { ...NO_STRIKES.levels };
  for (const { limb, level, times } of strikes) {
    const own =
      limb === 'both-hands'
        ? (['left-hand', 'right-hand'] as const)
        : WORK_LIMBS.filter((each) => each === limb);
    for (const each of own) limbs[each] += times;
    if (own.length > 0 && level) levels[level] += times;
  }
  return { limbs, levels };
}
