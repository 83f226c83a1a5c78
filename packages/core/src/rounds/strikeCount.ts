import type { Limb } from '../body/index.ts';
import type { Level } from '../moves/index.ts';

export const WORK_LIMBS = ['left-hand', 'right-hand', 'left-leg', 'right-leg'] as const;
export type WorkLimb = (typeof WORK_LIMBS)[number];

/** Strikes of a stretch of work, by what strikes, how high, and with which move. */
export interface StrikeCount {
  readonly limbs: Readonly<Record<WorkLimb, number>>;
  readonly levels: Readonly<Record<Level, number>>;
  /** By the name of the move; those that come. */
  readonly moves: Readonly<Record<string, number>>;
}

export const NO_STRIKES: StrikeCount = {
  limbs: { 'left-hand': 0, 'right-hand': 0, 'left-leg': 0, 'right-leg': 0 },
  levels: { head: 0, body: 0, low: 0 },
  moves: {},
};

/**
 * @example
 * addStrikes(NO_STRIKES, NO_STRIKES).limbs['left-hand'] // 0
 */
export function addStrikes(a: StrikeCount, b: StrikeCount): StrikeCount {
  const sum = <K extends string>(x: Readonly<Record<K, number>>, y: Readonly<Record<K, number>>) =>
    Object.fromEntries(
      Object.keys({ ...x, ...y }).map((key) => [key, (x[key as K] ?? 0) + (y[key as K] ?? 0)]),
    ) as Record<K, number>;
  return {
    limbs: sum(a.limbs, b.limbs),
    levels: sum(a.levels, b.levels),
    moves: sum(a.moves, b.moves),
  };
}

/** One kind of strike, so many times. Both hands at once count for each hand, and once for their height. */
export interface CountedStrike {
  readonly move: string;
  readonly limb: Limb;
  readonly level: Level | null;
  readonly times: number;
}

/**
 * @example
 * tallyStrikes([{ move: 'Jab', limb: 'left-hand', level: 'head', times: 3 }]).moves // { Jab: 3 }
 */
export function tallyStrikes(strikes: readonly CountedStrike[]): StrikeCount {
  const limbs = { ...NO_STRIKES.limbs };
  const levels = { ...NO_STRIKES.levels };
  const moves: Record<string, number> = {};
  for (const { move, limb, level, times } of strikes) {
    const own =
      limb === 'both-hands'
        ? (['left-hand', 'right-hand'] as const)
        : WORK_LIMBS.filter((each) => each === limb);
    for (const each of own) limbs[each] += times;
    if (own.length === 0) continue;
    if (level) levels[level] += times;
    moves[move] = (moves[move] ?? 0) + times;
  }
  return { limbs, levels, moves };
}
