import type { Move, NumberedMove } from './move.ts';
import { moveBook, type MoveBook } from './moveBook.ts';
import { STARTER_GRADES } from './starterGrades.ts';
import { STARTER_FEET, STARTER_GUARDS } from './starterGuards.ts';
import { STARTER_HANDS } from './starterHands.ts';
import { STARTER_LEGS } from './starterLegs.ts';

/** The moves that a new gym starts with, in the order in which the book shows them. */
export const STARTER_MOVES: readonly Move[] = [
  ...STARTER_HANDS,
  ...STARTER_LEGS,
  ...STARTER_GUARDS,
  ...STARTER_FEET,
];

/** The numbers that a new gym starts with; it edits or clears them. */
export const STARTER_NUMBERS: readonly NumberedMove[] = [
  { number: 1, code: 'jab', side: null },
  { number: 2, code: 'cross', side: null },
  { number: 3, code: 'hook', side: 'front' },
  { number: 4, code: 'hook', side: 'rear' },
  { number: 5, code: 'upper', side: 'front' },
  { number: 6, code: 'upper', side: 'rear' },
  { number: 7, code: 'push', side: null },
  { number: 8, code: 'round', side: 'rear' },
  { number: 9, code: 'knee', side: 'rear' },
];

/**
 * The starter book as it is before any gym has grades.
 *
 * @example
 * starterBook().numbers.size > 0 // true
 */
export function starterBook(): MoveBook {
  return moveBook(STARTER_MOVES, STARTER_NUMBERS);
}

/**
 * The starter moves for a gym with these adult grades, lowest first; with fewer grades the last one stands for the rest.
 *
 * @example
 * starterMovesFor(['ebb', 'slack']).length === starterBook().moves.size // true
 */
export function starterMovesFor(gradeIds: readonly string[]): Move[] {
  return STARTER_MOVES.map((move) => {
    const place = STARTER_GRADES.findIndex((grade) => grade === move.minGrade);
    return place < 1 ? { ...move, minGrade: null } : { ...move, minGrade: gradeIds[place] ?? gradeIds.at(-1) ?? null };
  });
}
