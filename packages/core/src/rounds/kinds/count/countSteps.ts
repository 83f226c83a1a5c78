import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { isStrike, type Level, type MoveBook } from '../../../moves/index.ts';
import { comboRepSeconds, moveRepSeconds, parts } from '../../../teach/index.ts';
import type { Seconds } from '../../../units/index.ts';
import { OPENING, mostReps, sidesInTurn, type SideInTurn } from '../counting.ts';
import type { CountBlock } from './countBlock.ts';

/** Nobody follows a count faster than this. */
const LEAST_PART: Seconds = 0.8;
/** A part takes this share of the whole repetition. */
const PART_SHARE = 0.6;
/** The last third of a build-up goes at this share of the time. */
const FAST_SHARE = 0.75;
/** Tempo at which a line is repeated on the count. */
const LINE_BPM = 80;
/** When the line cannot be read: something that a clock can go by. */
const UNKNOWN_REP: Seconds = 2;

const LEVELS: readonly Level[] = ['head', 'body', 'low'];

/** Something that is said at its instant while a set goes on. */
export type CountStep =
  | {
      readonly at: Seconds;
      readonly kind: 'open';
      readonly set: number;
      readonly side: SideInTurn;
    }
  | {
      readonly at: Seconds;
      readonly kind: 'count';
      /** What is counted, from 1. */
      readonly n: number;
      /** Place among the repetitions, from 0. */
      readonly rep: number;
      readonly level: Level | null;
      readonly isLast: boolean;
    }
  | { readonly at: Seconds; readonly kind: 'group-done'; readonly group: string }
  | { readonly at: Seconds; readonly kind: 'rest' };

export interface CountedSteps {
  readonly steps: readonly CountStep[];
  /** Exact length. */
  readonly seconds: Seconds;
}

/**
 * Every count of a count block at its instant from the start, and how long it takes at this pace.
 *
 * @example
 * countSteps({ ...usualBlock('count', 'c'), repSeconds: 2, reps: 10, sets: 1 }, book, 1).seconds // 46
 */
export function countSteps(block: CountBlock, book: MoveBook, factor: number): CountedSteps {
  const steps: CountStep[] = [];
  const most = mostReps(block.reps, block.groups);
  let clock = 0;
  for (let set = 0; set < block.sets; set++) {
    if (set > 0) {
      steps.push({ at: clock, kind: 'rest' });
      clock += block.rest;
    }
    for (const side of sidesInTurn(block.sides)) {
      steps.push({ at: clock, kind: 'open', set, side });
      clock += OPENING;
      for (let rep = 0; rep < most; rep++) {
        const level = levelOf(block, rep, set);
        const isLast = rep === most - 1;
        for (const [part, seconds] of partsOf(block, book, factor, rep, most).entries()) {
          const isWhole = part === 0 && partsOf(block, book, factor, rep, most).length === 1;
          const n = isWhole ? (block.direction === 'up' ? rep + 1 : most - rep) : part + 1;
          steps.push({ at: clock, kind: 'count', n, rep, level, isLast: isLast && isWhole });
          clock += seconds;
        }
        for (const { group, reps } of block.groups)
          if (reps === rep + 1 && reps < most) steps.push({ at: clock - 0.2, kind: 'group-done', group });
      }
    }
  }
  return { steps, seconds: clock };
}

function levelOf(block: CountBlock, rep: number, set: number): Level | null {
  if (block.levels === 'in-turn') return LEVELS[rep % LEVELS.length]!;
  return block.levels === 'rising' ? LEVELS[Math.max(0, LEVELS.length - 1 - set)]! : null;
}

/** The lengths of the counts of one repetition: one for the whole, or one for each part. */
function partsOf(block: CountBlock, book: MoveBook, factor: number, rep: number, most: number): Seconds[] {
  const whole = repSecondsOf(block, book, factor);
  const third = Math.floor((rep * 3) / Math.max(1, most));
  const method = block.method === 'build-up' ? (['parts', 'whole', 'fast'] as const)[third]! : block.method;
  if (method === 'whole') return [whole];
  if (method === 'fast') return [whole * FAST_SHARE];
  const parsed = parseLine(block.line, book);
  const count = parsed.ok ? Math.max(1, parts(parsed.line, book, 'left').length) : 1;
  return Array.from({ length: count }, () => Math.max(LEAST_PART, whole * PART_SHARE));
}

/**
 * Length of one whole repetition.
 *
 * @example
 * repSecondsOf({ line: 'r:round', repSeconds: 2 }, book, 1) // 2
 */
export function repSecondsOf(
  block: Pick<CountBlock, 'line' | 'repSeconds'>,
  book: MoveBook,
  factor: number,
): Seconds {
  if (block.repSeconds !== null) return block.repSeconds;
  const word = /^(?:[fr]:)?([a-z0-9]+)$/.exec(block.line.trim())?.[1];
  const seconds =
    (word === undefined ? null : moveRepSeconds(word, book, factor)) ??
    comboRepSeconds(block.line, LINE_BPM, book);
  return seconds === null ? UNKNOWN_REP : Math.max(LEAST_PART, seconds);
}

/**
 * Strikes of one repetition, for what adds up work.
 *
 * @example
 * strikesOf('1 2 r:round', book) // 3
 */
export function strikesOf(line: string, book: MoveBook): number {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return 0;
  return walkStance(parsed.line, book, 'left').strokes.filter(
    (stroke) => stroke.stroke.by === 'fighter' && isStrike(stroke.move),
  ).length;
}
