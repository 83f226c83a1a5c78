import { parseLine } from '../../line/index.ts';
import { findMove, type Family, type Move, type MoveBook } from '../../moves/index.ts';
import { walkStance } from '../../body/index.ts';
import { writtenStrokes } from './rewriteLine.ts';

/**
 * The moves that a line names, by code or number; empty when it cannot be read.
 *
 * @example
 * movesIn('1 2', book).map(({ code }) => code) // ['jab', 'cross']
 */
export function movesIn(line: string, book: MoveBook): Move[] {
  const parsed = parseLine(line, book);
  return parsed.ok ? writtenStrokes(parsed.line).flatMap(({ word }) => findMove(book, word)?.move ?? []) : [];
}

/**
 * @example
 * usesMove('1 2', 'cross', book) // true
 */
export function usesMove(line: string, code: string, book: MoveBook): boolean {
  return movesIn(line, book).some((move) => move.code === code);
}

/**
 * @example
 * usesFamily('1 2', 'kick', book) // false
 */
export function usesFamily(line: string, family: Family, book: MoveBook): boolean {
  return movesIn(line, book).some((move) => move.family === family);
}

/**
 * Whether the lead changes anywhere in a line, however it does; false when it cannot be read.
 *
 * @example
 * changesLead('1 sw 2', book) // true
 */
export function changesLead(line: string, book: MoveBook): boolean {
  const parsed = parseLine(line, book);
  return parsed.ok && walkStance(parsed.line, book, 'left').leadChanges.length > 0;
}
