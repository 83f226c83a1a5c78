import { STARTER_LINES } from '../../../moves/index.ts';
import type { Seconds } from '../../../units/index.ts';
import { SIDES, type BlockBase } from '../blockBase.ts';
import type { GroupReps } from '../counting.ts';

/** Each side so many, so many in all, or so many in all with the side changing at each. */
export const COUNT_SIDES = [...SIDES, 'in-turn'] as const;
/** Speed of a set: slow enough to be looked at, as a count is usually followed, or as fast as the move is at the pace. */
export const COUNT_SPEEDS = ['slow', 'usual', 'full'] as const;
export type CountSpeed = (typeof COUNT_SPEEDS)[number];
export const COUNT_METHODS = ['whole', 'strokes', 'chambers', 'parts', 'build-up'] as const;
export const COUNT_DIRECTIONS = ['up', 'down'] as const;
export const COUNT_LEVELS = ['fixed', 'in-turn', 'rising'] as const;
export const COUNT_STARTS = ['standing', 'kneeling', 'seated'] as const;

/** A move or a short line on the count: so many on each side, in sets with a rest between. */
export interface CountBlock extends BlockBase {
  readonly kind: 'count';
  readonly title: string;
  /** A beat line; a single stroke for a move. */
  readonly line: string;
  readonly reps: number;
  readonly groups: readonly GroupReps[];
  readonly sides: (typeof COUNT_SIDES)[number];
  readonly sets: number;
  readonly rest: Seconds;
  /** Seconds for one repetition; null for what the book's times make of it. */
  readonly repSeconds: Seconds | null;
  /** Speed of each set; the last one holds for all that follow, and without any all go as usual. Of a single set they are equal parts. */
  readonly speeds?: readonly CountSpeed[] | undefined;
  /** Contact in percent of full power, of each set or of equal parts of a single one; called where it changes. */
  readonly intensity?: readonly number[] | undefined;
  /**
   * One count for the whole, one for each stroke, one for each chamber and one for its strike, one for each part, or parts, then whole,
   * then fast.
   */
  readonly method: (typeof COUNT_METHODS)[number];
  readonly direction: (typeof COUNT_DIRECTIONS)[number];
  /** The target: as the move has it, head and body and low in turn, or from set to set rising. */
  readonly levels: (typeof COUNT_LEVELS)[number];
  readonly from: (typeof COUNT_STARTS)[number];
  readonly shoutLast: boolean;
}

/** Counted work as a coach would begin it. */
export const USUAL_COUNT_BLOCK = {
  kind: 'count',
  seconds: 60,
  title: 'Round kick',
  line: STARTER_LINES.kick,
  reps: 15,
  groups: [],
  sides: 'both',
  sets: 2,
  rest: 20,
  repSeconds: null,
  method: 'whole',
  direction: 'up',
  levels: 'fixed',
  from: 'standing',
  shoutLast: true,
} as const satisfies Omit<CountBlock, 'id'>;
