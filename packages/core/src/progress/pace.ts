import { median } from 'simple-statistics';
import { PAIR_CLASSES, type OwnPace, type PairClass } from '../body/index.ts';
import { groupBy, type Seconds } from '../units/index.ts';

/** A gap between two impacts that was measured. */
export interface PaceGap {
  readonly pair: PairClass;
  readonly seconds: Seconds;
  /** What the line asked for at its tempo. */
  readonly line: Seconds;
  /** What the table allows at sharp pace. */
  readonly least: Seconds;
}

/** How quick a fighter is in one kind of pair. */
export interface PairPace {
  readonly pair: PairClass;
  /** Times the table at sharp pace, drawn towards the gym where few gaps tell it. */
  readonly factor: number;
  readonly gaps: number;
  /** The line was never faster than the fighter: nobody knows how much quicker it would go. */
  readonly atMost: boolean;
}

export interface FittedPace {
  readonly pairs: readonly PairPace[];
  /** For the limb clock; what was not measured goes at the pace of the whole. */
  readonly pace: OwnPace;
}

/**
 * A pace as it is kept or sent, for the limb clock.
 *
 * @example
 * ownPace({ base: 1.2, pairs: [{ pair: 'hand-hand', factor: 1.1 }] }) // { base: 1.2, pairs: { 'hand-hand': 1.1 } }
 */
export function ownPace({
  base,
  pairs,
}: {
  readonly base: number;
  readonly pairs: readonly Pick<PairPace, 'pair' | 'factor'>[];
}): OwnPace {
  return { base, pairs: Object.fromEntries(pairs.map(({ pair, factor }) => [pair, factor])) };
}

/** The gym's pace weighs as much as so many gaps. */
const GYM_WEIGHT = 4;
/** A fighter is neither twice as quick as sharp nor two and a half times as slow. */
const LIMITS = { least: 0.5, most: 2.5 } as const;
/** A pace explains something where it leaves so much less error than the quickest of all … */
const EXPLAINS = 0.15;
/** … and where lines were missed by so much: whoever is a little late is not held back by the body. */
const HELD_BACK = 1.06;
/** Paces are told apart by so much. */
const STEP = 0.01;

/**
 * A fighter's own pace from measured gaps: what comes is what the line asks for, or what the body can where that is longer; the pace
 * that leaves the least absolute error over all gaps. Where no line asked for more than came, it is no slower than that. `gym` is the pace that thin data is drawn towards. Null without a gap.
 *
 * @param gym how many times as long as at club pace a body needs for a move
 *
 * @example
 * fitPace(Array.from({ length: 40 }, () => ({ pair: 'hand-hand', seconds: 0.3, line: 0.1, least: 0.2 })), 1.25).pairs[0].pair // 'hand-hand'
 */
export function fitPace(gaps: readonly PaceGap[], gym: number): FittedPace | null {
  const timed = gaps.filter(({ least, seconds }) => least > 0 && seconds > 0);
  if (timed.length === 0) return null;
  const byPair = groupBy(timed, ({ pair }) => pair);
  const pairs = PAIR_CLASSES.flatMap((pair) => {
    const own = byPair.get(pair);
    return own ? [pairPace(pair, own, gym)] : [];
  });
  const weight = pairs.reduce((sum, { gaps: count }) => sum + count, 0);
  const base = pairs.reduce((sum, { factor, gaps: count }) => sum + factor * count, 0) / weight;
  return { pairs, pace: ownPace({ base, pairs }) };
}

function pairPace(pair: PairClass, gaps: readonly PaceGap[], gym: number): PairPace {
  const asked = gaps.map(({ line, seconds, least }) => ({ line: line / least, came: seconds / least }));
  const errorOf = (factor: number): number =>
    asked.reduce((sum, { line, came }) => sum + Math.abs(came - Math.max(line, factor)), 0);
  let best: number = LIMITS.least;
  let error = errorOf(best);
  const atLeast = error;
  for (let factor = LIMITS.least + STEP; factor <= LIMITS.most; factor += STEP) {
    const here = errorOf(factor);
    if (here > error) continue;
    best = factor;
    error = here;
  }
  // Where a far quicker body explains it as well, no line held this one back.
  const telling = asked.filter(({ line }) => line < best);
  const late = telling.length === 0 ? 1 : median(telling.map(({ line, came }) => came / line));
  const atMost = error >= atLeast * (1 - EXPLAINS) || late < HELD_BACK;
  const weight = atMost ? gaps.length : telling.length;
  const factor = (weight * (atMost ? Math.min(gym, best) : best) + GYM_WEIGHT * gym) / (weight + GYM_WEIGHT);
  return { pair, factor, gaps: gaps.length, atMost };
}
