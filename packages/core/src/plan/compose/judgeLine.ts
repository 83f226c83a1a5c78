import { findFindings, walkStance, type Audience, type Limb, type WalkedStroke } from '../../body/index.ts';
import { formatLine, type BeatLine } from '../../line/index.ts';
import { isLegStrike, isStrike, type MoveBook } from '../../moves/index.ts';
import type { CleanUpTo } from '../../tempo/index.ts';
import type { Bpm } from '../../units/index.ts';

export type StrikingLimb = 'left-hand' | 'right-hand' | 'left-leg' | 'right-leg';
export const STRIKING_LIMBS: readonly StrikingLimb[] = ['left-hand', 'right-hand', 'left-leg', 'right-leg'];

/** The strikes of each limb from a left lead. */
export type LimbCount = Readonly<Record<StrikingLimb, number>>;

/** A line as a body finds it, each share from 0 to 1. */
export interface LineJudgement {
  /** The fastest tempo at which it is clean again and again, from both leads. */
  readonly cleanBpm: Bpm;
  /** How often the other side of the body comes next. */
  readonly turns: number;
  /** How often the height changes from one strike to the next. */
  readonly heights: number;
  /** How far it works the limbs that are trained least. */
  readonly balance: number;
  /** Half for a quick opening, half for a heavy end. */
  readonly shape: number;
  readonly limbs: LimbCount;
}

/** What a line is judged by. */
export interface LineGround {
  readonly audience: Audience;
  /** The tempo at which it has to be clean. */
  readonly bpm: Bpm;
  /** The pace of the gym: how many times as long as at sharp pace a body needs. */
  readonly factor: number;
  /** What these people train. */
  readonly trained: LimbCount;
  readonly cleanUpTo: CleanUpTo;
}

/**
 * How a line flows and what it works; null where a body or these people should not do it at the tempo, and where it ends in the
 * other lead.
 */
export function judgeLine(
  line: BeatLine,
  book: MoveBook,
  { audience, bpm, factor, trained, cleanUpTo }: LineGround,
): LineJudgement | null {
  const walk = walkStance(line, book, 'left');
  const { findings } = findFindings(walk, book, { factor, bpm, audience });
  if (!walk.comesHome || findings.some(({ severity }) => severity !== 'note')) return null;
  const cleanBpm = cleanUpTo({ id: '', line: formatLine(line), bpm }, factor);
  if (cleanBpm < bpm) return null;
  const strikes = walk.strokes.filter(({ move }) => isStrike(move));
  const limbs = limbsOf(strikes);
  return {
    cleanBpm,
    turns: changes(strikes, ({ limb }) => limb.split('-')[0]),
    heights: changes(strikes, ({ level }) => level),
    balance: balanceOf(limbs, trained),
    shape: shapeOf(strikes),
    limbs,
  };
}

/** How many strikes each limb does. */
export function limbsOf(strikes: readonly Pick<WalkedStroke, 'limb'>[]): LimbCount {
  const count = (limb: Limb): number => strikes.filter((strike) => strike.limb === limb).length;
  const counts = STRIKING_LIMBS.map((limb) => [limb, count(limb)] as const);
  return Object.fromEntries(counts) as unknown as LimbCount;
}

function changes<T>(strikes: readonly WalkedStroke[], of: (stroke: WalkedStroke) => T): number {
  if (strikes.length < 2) return 0;
  const changed = strikes.filter((stroke, i) => i > 0 && of(stroke) !== of(strikes[i - 1]!));
  return changed.length / (strikes.length - 1);
}

/** A line opens with what is nearest, a front hand or leg, and ends with what is heavy, a rear hand or a leg. */
function shapeOf(strikes: readonly WalkedStroke[]): number {
  const [first, last] = [strikes[0]!, strikes.at(-1)!];
  const opens = first.side === 'front' ? 0.5 : 0;
  return opens + (last.side === 'rear' || isLegStrike(last.move) ? 0.5 : 0);
}

/** One where every strike is done by the limb that is trained least, none where by the one that is trained most. */
function balanceOf(limbs: LimbCount, trained: LimbCount): number {
  const [least, most] = [Math.min, Math.max].map((of) => of(...Object.values(trained)));
  const all = STRIKING_LIMBS.reduce((sum, limb) => sum + limbs[limb], 0);
  if (all === 0) return 0;
  const lack = (limb: StrikingLimb): number =>
    most === least ? 0.5 : (most! - trained[limb]) / (most! - least!);
  return STRIKING_LIMBS.reduce((sum, limb) => sum + limbs[limb] * lack(limb), 0) / all;
}
