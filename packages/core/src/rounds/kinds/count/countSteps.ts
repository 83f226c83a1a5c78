import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { isStrike, type Level, type MoveBook } from '../../../moves/index.ts';
import { COUNT_SLACK, SLOW_SHARE, comboRepSeconds, moveRepSeconds, parts } from '../../../teach/index.ts';
import { toNumber, type Seconds } from '../../../units/index.ts';
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
/** The last of what opens a set begins so long before its first count. */
const BEFORE_FIRST: Seconds = 0.6;
/** Counting stops for so long where a set goes on otherwise, so that it is heard. */
const CHANGE: Seconds = 2.4;
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
      /** When the groups that do something else hear it. */
      readonly groupsAt: Seconds;
      readonly set: number;
      readonly side: SideInTurn;
      /** Speed and contact, in percent, where they are others than before. */
      readonly speed: CountSpeed | null;
      readonly contact: number | null;
    }
  | {
      readonly at: Seconds;
      /** Within a set: the next part of it goes otherwise. */
      readonly kind: 'change';
      readonly until: Seconds;
      readonly speed: CountSpeed | null;
      readonly contact: number | null;
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
      /** Beat of the line at which what is done on it begins; null where it is the whole line. */
      readonly beat: number | null;
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
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * countSteps({ ...usualBlock('count', 'c'), repSeconds: 2, reps: 10, sets: 1 }, book, 1).seconds // 46
 */
export function countSteps(block: CountBlock, book: MoveBook, factor: number): CountedSteps {
  const steps: CountStep[] = [];
  const most = mostReps(block.reps, block.groups);
  let clock = 0;
  let [speed, contact]: [CountSpeed, number | null] = ['usual', null];
  const changeTo = (place: Place): { speed: CountSpeed | null; contact: number | null } => {
    const next = { speed: speedOf(block, place), contact: contactOf(block, place) };
    const change = {
      speed: next.speed === speed ? null : next.speed,
      contact: next.contact === contact ? null : next.contact,
    };
    ({ speed, contact } = next);
    return change;
  };
  for (let set = 0; set < block.sets; set++) {
    if (set > 0) {
      steps.push({ at: clock, until: clock + 2, kind: 'rest' });
      clock += block.rest;
    }
    for (const side of sidesInTurn(block.sides)) {
      const opened = changeTo({ set, rep: 0, most });
      // How hard, beside what, from which side and how fast, takes its time to be said.
      const more = opened.contact === null ? 0 : opened.speed === null ? CHANGE / 2 : CHANGE;
      const opening = OPENING + more;
      const groupsAt = clock + opening - BEFORE_FIRST;
      steps.push({ at: clock, until: groupsAt - 0.4, groupsAt, kind: 'open', set, side, ...opened });
      clock += opening + (set === 0 && side !== 'other' ? tasksOf(block.groups).length * LANE_OPENING : 0);
      for (let rep = 0; rep < most; rep++) {
        const change = changeTo({ set, rep, most });
        if (change.speed !== null || change.contact !== null) {
          steps.push({ at: clock, until: clock + CHANGE / 2, kind: 'change', ...change });
          clock += CHANGE;
        }
        const began = clock;
        const level = levelOf(block, { set, rep, most });
        const isLast = rep === most - 1;
        const counted = partsOf(block, book, factor, { set, rep, most });
        for (const [part, { seconds, shown, beat }] of counted.entries()) {
          const n = counted.length > 1 ? part + 1 : block.direction === 'up' ? rep + 1 : most - rep;
          const place = { isFirst: part === 0, isLast: isLast && part === counted.length - 1 };
          steps.push({ at: clock, kind: 'count', n, rep, level, ...place, shown, beat });
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

/** A repetition among those of its set. */
interface Place {
  readonly set: number;
  readonly rep: number;
  readonly most: number;
}

/** What a plan says of a repetition: a step for each set, or for equal parts of a single one; the last one holds for all that follow. */
function planned<T>(steps: readonly T[], { sets }: CountBlock, { set, rep, most }: Place): T | undefined {
  const step = sets === 1 ? Math.floor((rep * steps.length) / most) : set;
  return steps[Math.min(step, steps.length - 1)];
}

const speedOf = (block: CountBlock, place: Place): CountSpeed =>
  planned(block.speeds ?? [], block, place) ?? 'usual';

const contactOf = (block: CountBlock, place: Place): number | null =>
  planned(block.intensity ?? [], block, place) ?? null;

/** Heights rise from set to set; where there is one set they rise within it, a third of it each. */
function levelOf(block: CountBlock, { set, rep, most }: Place): Level | null {
  if (block.levels === 'in-turn') return LEVELS[rep % LEVELS.length]!;
  if (block.levels !== 'rising') return null;
  const risen = block.sets === 1 ? Math.floor((rep * LEVELS.length) / most) : set;
  return LEVELS[Math.max(0, LEVELS.length - 1 - risen)]!;
}

/** A count within a repetition: how long it lasts, and what is done on it. */
interface CountedPart {
  readonly seconds: Seconds;
  readonly shown: string | null;
  readonly beat: number | null;
}

/** The counts of one repetition: one for the whole, or one for each stroke or part. */
function partsOf(
  block: CountBlock,
  book: MoveBook,
  factor: number,
  { set, rep, most }: Place,
): readonly CountedPart[] {
  const whole = Math.max(
    LEAST_STROKE,
    slowestRep(block, book, factor) * SPEED_SHARES[speedOf(block, { set, rep, most })],
  );
  const third = Math.floor((rep * 3) / Math.max(1, most));
  const method = block.method === 'build-up' ? (['parts', 'whole', 'fast'] as const)[third]! : block.method;
  if (method === 'whole') return [{ seconds: whole, shown: null, beat: null }];
  if (method === 'fast') return [{ seconds: whole * FAST_SHARE, shown: null, beat: null }];
  const shown = SHOWN[method](block.line, book);
  if (shown.length === 0) return [{ seconds: whole, shown: null, beat: null }];
  // Strokes share the time of the whole; a part is slower, for it is looked at.
  const seconds =
    method === 'strokes'
      ? Math.max(LEAST_STROKE, whole / shown.length)
      : Math.max(LEAST_PART, method === 'chambers' ? whole / shown.length : whole * PART_SHARE);
  return shown.map((each) => ({ seconds, ...each }));
}

type ShownPart = Pick<CountedPart, 'shown' | 'beat'>;

function strokesShown(line: string, book: MoveBook): ShownPart[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  return walkStance(parsed.line, book, 'left')
    .strokes.filter(({ stroke }) => stroke.by === 'fighter')
    .map(({ move, beat }) => ({ shown: move.name, beat: toNumber(beat) }));
}

function partsShown(line: string, book: MoveBook): ShownPart[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  const { strokes } = walkStance(parsed.line, book, 'left');
  return parts(parsed.line, book, 'left').map(({ stroke, part, cue }) => ({
    shown: `${part}: ${cue}`,
    beat: toNumber(strokes[stroke]!.beat),
  }));
}

/** Each stroke, behind the chamber or the load that it begins with where it is a strike of several parts. */
function chambersShown(line: string, book: MoveBook): ShownPart[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  return walkStance(parsed.line, book, 'left')
    .strokes.filter(({ stroke }) => stroke.by === 'fighter')
    .flatMap(({ move, beat }) => {
      const [chamber] = move.parts;
      const whole = { shown: move.name, beat: toNumber(beat) };
      const isFolded = isStrike(move) && move.parts.length > 1 && chamber !== undefined;
      return isFolded ? [{ ...whole, shown: `${move.name}, ${chamber.name.toLowerCase()}` }, whole] : [whole];
    });
}

const SHOWN = { strokes: strokesShown, chambers: chambersShown, parts: partsShown } as const;

/** One count is for all groups, so it waits for the one whose line takes longest. */
function slowestRep(block: CountBlock, book: MoveBook, factor: number): Seconds {
  const lines = [block.line, ...linesOfTasks(block.groups).map(({ line }) => line)];
  return Math.max(...lines.map((line) => repSecondsOf({ ...block, line }, book, factor)));
}

/**
 * Length of one whole repetition.
 *
 * @param factor how many times as long as at club pace a body needs for a move
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
