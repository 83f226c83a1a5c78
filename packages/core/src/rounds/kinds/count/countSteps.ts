import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { isStrike, type Level, type MoveBook } from '../../../moves/index.ts';
import { COUNT_SLACK, SLOW_SHARE, comboRepSeconds, moveRepSeconds, parts } from '../../../teach/index.ts';
import type { Seconds } from '../../../units/index.ts';
import { LANE_OPENING, linesOfTasks, tasksOf } from '../groupTasks.ts';
import { OPENING, mostReps, sidesInTurn, type SideInTurn } from '../counting.ts';
import type { CountBlock, CountSpeed } from './countBlock.ts';

/** Nobody follows a count faster than this, by parts and stroke by stroke. */
const LEAST_PART: Seconds = 0.8;
const LEAST_STROKE: Seconds = 0.5;
/** What is said between two counts begins no sooner after the first of them. */
const AFTER_COUNT: Seconds = 0.15;
/** A part takes this share of the whole repetition. */
const PART_SHARE = 0.6;
/** The last third of a build-up goes at this share of the time. */
const FAST_SHARE = 0.75;
/**
 * Time of a repetition by its speed, against the usual one: a count gives 1.3 of what the move needs, slow practice goes at a share of the tempo.
 */
const SPEED_SHARES: Readonly<Record<CountSpeed, number>> = {
  slow: 1 / SLOW_SHARE,
  usual: 1,
  full: 1 / COUNT_SLACK,
};
/** Tempo at which a line is repeated on the count. */
export const LINE_BPM = 80;
/** When the line cannot be read: something that a clock can go by. */
const UNKNOWN_REP: Seconds = 2;

const LEVELS: readonly Level[] = ['head', 'body', 'low'];

/** Something that is said at its instant while a set goes on. */
export type CountStep =
  | {
      readonly at: Seconds;
      readonly kind: 'open';
      /** What is said here is begun by then. */
      readonly until: Seconds;
      readonly set: number;
      readonly side: SideInTurn;
      /** Speed of the set where it is another than before. */
      readonly speed: CountSpeed | null;
    }
  | {
      readonly at: Seconds;
      readonly kind: 'count';
      /** What is counted, from 1. */
      readonly n: number;
      /** Place among the repetitions, from 0. */
      readonly rep: number;
      readonly level: Level | null;
      /** Of the counts of its repetition. */
      readonly isFirst: boolean;
      readonly isLast: boolean;
      /** What is done on it, where a repetition has several counts. */
      readonly shown: string | null;
    }
  | { readonly at: Seconds; readonly until: Seconds; readonly kind: 'group-done'; readonly group: string }
  | { readonly at: Seconds; readonly until: Seconds; readonly kind: 'rest' };

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
      steps.push({ at: clock, until: clock + 2, kind: 'rest' });
      clock += block.rest;
    }
    for (const side of sidesInTurn(block.sides)) {
      const before = set === 0 ? 'usual' : speedOf(block, set - 1);
      const isNew = side !== 'other' && speedOf(block, set) !== before;
      steps.push({
        at: clock,
        until: clock + 2,
        kind: 'open',
        set,
        side,
        speed: isNew ? speedOf(block, set) : null,
      });
      clock += OPENING + (set === 0 && side !== 'other' ? tasksOf(block.groups).length * LANE_OPENING : 0);
      for (let rep = 0; rep < most; rep++) {
        const began = clock;
        const level = levelOf(block, rep, set);
        const isLast = rep === most - 1;
        const counted = partsOf(block, book, factor, { set, rep, most });
        for (const [part, { seconds, shown }] of counted.entries()) {
          const isWhole = counted.length === 1;
          const n = isWhole ? (block.direction === 'up' ? rep + 1 : most - rep) : part + 1;
          steps.push({
            at: clock,
            kind: 'count',
            n,
            rep,
            level,
            isFirst: part === 0,
            isLast: isLast && part === counted.length - 1,
            shown,
          });
          clock += seconds;
        }
        // In the gap behind its last repetition, before the next one is counted.
        for (const { group, reps } of block.groups)
          if (reps === rep + 1 && reps < most)
            steps.push({ at: began + AFTER_COUNT, until: clock, kind: 'group-done', group });
      }
    }
  }
  return { steps, seconds: clock };
}

/** Speed of a set. */
function speedOf({ speeds = [] }: CountBlock, set: number): CountSpeed {
  return speeds[Math.min(set, speeds.length - 1)] ?? 'usual';
}

function levelOf(block: CountBlock, rep: number, set: number): Level | null {
  if (block.levels === 'in-turn') return LEVELS[rep % LEVELS.length]!;
  return block.levels === 'rising' ? LEVELS[Math.max(0, LEVELS.length - 1 - set)]! : null;
}

/** A count within a repetition: how long it lasts, and what is done on it. */
interface CountedPart {
  readonly seconds: Seconds;
  readonly shown: string | null;
}

/** The counts of one repetition: one for the whole, or one for each stroke or part. */
function partsOf(
  block: CountBlock,
  book: MoveBook,
  factor: number,
  { set, rep, most }: { readonly set: number; readonly rep: number; readonly most: number },
): readonly CountedPart[] {
  const whole = Math.max(LEAST_STROKE, slowestRep(block, book, factor) * SPEED_SHARES[speedOf(block, set)]);
  const third = Math.floor((rep * 3) / Math.max(1, most));
  const method = block.method === 'build-up' ? (['parts', 'whole', 'fast'] as const)[third]! : block.method;
  if (method === 'whole') return [{ seconds: whole, shown: null }];
  if (method === 'fast') return [{ seconds: whole * FAST_SHARE, shown: null }];
  const shown = method === 'strokes' ? strokesShown(block.line, book) : partsShown(block.line, book);
  if (shown.length === 0) return [{ seconds: whole, shown: null }];
  // Strokes share the time of the whole; a part is slower, for it is looked at.
  const seconds =
    method === 'strokes'
      ? Math.max(LEAST_STROKE, whole / shown.length)
      : Math.max(LEAST_PART, whole * PART_SHARE);
  return shown.map((each) => ({ seconds, shown: each }));
}

function strokesShown(line: string, book: MoveBook): string[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  return walkStance(parsed.line, book, 'left')
    .strokes.filter(({ stroke }) => stroke.by === 'fighter')
    .map(({ move }) => move.name);
}

function partsShown(line: string, book: MoveBook): string[] {
  const parsed = parseLine(line, book);
  return parsed.ok ? parts(parsed.line, book, 'left').map(({ part, cue }) => `${part}: ${cue}`) : [];
}

/** One count is for all groups, so it waits for the one whose line takes longest. */
function slowestRep(block: CountBlock, book: MoveBook, factor: number): Seconds {
  const lines = [block.line, ...linesOfTasks(block.groups).map(({ line }) => line)];
  return Math.max(...lines.map((line) => repSecondsOf({ ...block, line }, book, factor)));
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
