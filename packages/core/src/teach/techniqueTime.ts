import { walkStance } from '../body/index.ts';
import { parseLine } from '../line/index.ts';
import { findMove, type MoveBook } from '../moves/index.ts';
import { beatSeconds, toNumber, type Bpm, type Seconds } from '../units/index.ts';

/** A repetition on the count takes this much longer than the bare movement. */
export const COUNT_SLACK = 1.3;

/** So many repetitions of a move or combo: "15 each leg, 3 times". */
export interface RepetitionPlan {
  readonly reps: number;
  /** Whether the other lead, leg or side does as many. */
  readonly sides: 'both' | 'one';
  readonly sets: number;
  readonly restSeconds: Seconds;
}

/**
 * Length of one repetition of a move on the count: out and back at this pace, and the slack of a count.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * moveRepSeconds('jab', book, 1) // 0.42900000000000005
 */
export function moveRepSeconds(word: string, book: MoveBook, factor: number): Seconds | null {
  const found = findMove(book, word);
  return found ? (found.move.out + found.move.back) * factor * COUNT_SLACK : null;
}

/**
 * Length of one repetition of a combo: its beats at its tempo, and a beat to be ready again. Null when it cannot be read.
 *
 * @example
 * comboRepSeconds('1 2', 80, book) // 2.25
 */
export function comboRepSeconds(line: string, bpm: Bpm, book: MoveBook): Seconds | null {
  const parsed = parseLine(line, book);
  return parsed.ok ? (toNumber(walkStance(parsed.line, book, 'left').beats) + 2) * beatSeconds(bpm) : null;
}

/**
 * All repetitions and the rests between the sets; no rest after the last one.
 *
 * @example
 * techniqueSeconds(2, { reps: 10, sides: 'both', sets: 1, restSeconds: 20 }) // 40
 */
export function techniqueSeconds(repSeconds: Seconds, plan: RepetitionPlan): Seconds {
  const perSet = repSeconds * plan.reps * (plan.sides === 'both' ? 2 : 1);
  return perSet * plan.sets + plan.restSeconds * Math.max(0, plan.sets - 1);
}
