import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { isLegStrike, isSpin, isStrike, type Level, type MoveBook } from '../../../moves/index.ts';
import { WORK_LIMBS, type WorkLimb } from '../../../rounds/index.ts';

/** What a line is made of, over both leads, as it will be trained. */
export interface LineShape {
  /** Shares of its strikes by limb and by height, 0 to 1. */
  readonly shares: Readonly<Record<WorkLimb | Level, number>>;
  /** Codes of its moves, in order. */
  readonly moves: readonly string[];
  /** Steps of floor it needs one way. */
  readonly floor: number;
  readonly hasHighKick: boolean;
  readonly hasSpin: boolean;
}

/**
 * @example
 * shapeOf('1 2', book).shares.head // 1
 */
export function shapeOf(line: string, book: MoveBook): LineShape | null {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return null;
  const counts: Record<WorkLimb | Level, number> = {
    ...{ 'left-hand': 0, 'right-hand': 0, 'left-leg': 0, 'right-leg': 0 },
    ...{ head: 0, body: 0, low: 0 },
  };
  let [floor, strikes] = [0, 0];
  let [hasHighKick, hasSpin] = [false, false];
  const moves: string[] = [];
  for (const lead of ['left', 'right'] as const) {
    const walk = walkStance(parsed.line, book, lead);
    floor = Math.max(floor, ...Object.values(walk.floor));
    for (const { stroke, move, limb, level } of walk.strokes) {
      if (stroke.by !== 'fighter') continue;
      if (lead === 'left') moves.push(move.code);
      hasSpin ||= isSpin(move) || move.cautions.includes('spin');
      if (!isStrike(move)) continue;
      strikes += 1;
      hasHighKick ||= isLegStrike(move) && level === 'head';
      for (const own of WORK_LIMBS) if (own === limb) counts[own] += 1;
      if (level) counts[level] += 1;
    }
  }
  const shares = Object.fromEntries(
    Object.entries(counts).map(([key, count]) => [key, count / Math.max(1, strikes)]),
  ) as Record<WorkLimb | Level, number>;
  return { shares, moves, floor, hasHighKick, hasSpin };
}
