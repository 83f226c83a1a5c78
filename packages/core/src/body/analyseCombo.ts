import { parseLine, type LineError } from '../line/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import { walkStance, type Walk } from './walkStance.ts';

export type ComboAnalysis =
  { readonly ok: true; readonly walk: Walk } | { readonly ok: false; readonly errors: readonly LineError[] };

/**
 * Everything the workbench knows about a line: its faults, or the walk through it. Never throws.
 *
 * @example
 * analyseCombo('1 2 3', book, 'left').ok // true
 */
export function analyseCombo(text: string, book: MoveBook, lead: Lead): ComboAnalysis {
  const parsed = parseLine(text, book);
  if (!parsed.ok) return parsed;
  return { ok: true, walk: walkStance(parsed.line, book, lead) };
}
