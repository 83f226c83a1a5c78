import { cleanWhenRepeated } from '../../body/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import type { Block, ComboBlock } from '../../rounds/index.ts';
import { BPM_LIMITS, type Bpm } from '../../units/index.ts';
import { workOf } from '../roundWork.ts';

/**
 * The fastest tempo at which everything that a block asks for is clean, from one time through to the next; null where nothing limits it.
 *
 * @param factor pace of those who train, on the times of the book
 *
 * @example
 * cleanTempoOf({ ...filled('combo'), combos: [{ id: 'c', grade: '', number: 1, title: 'C', line: 'r:round-2', beatsPerBar: 4 }], bpm: 200 }, book, 1.25) < 200 // true
 */
export function cleanTempoOf(block: Block, book: MoveBook, factor: number): Bpm | null {
  const { asked } = workOf(block, book, 'left', factor);
  const clean = asked.flatMap(({ walk, beats }) => cleanWhenRepeated(walk, beats, { factor })?.bpm ?? []);
  return clean.length === 0 ? null : Math.min(...clean);
}

/**
 * The combos of a drafted block no faster than they are clean, and what was changed, in a sentence; null where nothing was.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * keptClean({ ...filled('combo'), bpm: 240, combos: [{ ...combo, line: 'r:round-r:round' }] }, book, 1).changed // { from: 240, to: 41 }
 */
export function keptClean(
  block: ComboBlock,
  book: MoveBook,
  factor: number,
): { readonly block: ComboBlock; readonly changed: { readonly from: Bpm; readonly to: Bpm } | null } {
  const { tempo } = block;
  const most = tempo?.kind === 'build-up' ? tempo.fast : block.bpm;
  const clean = cleanTempoOf(block, book, factor);
  if (clean === null || clean >= most) return { block, changed: null };
  const to = Math.max(BPM_LIMITS.min, clean);
  return {
    block: {
      ...block,
      bpm: Math.min(block.bpm, to),
      ...(tempo?.kind === 'build-up' ? { tempo: { ...tempo, fast: to } } : {}),
    },
    changed: { from: most, to },
  };
}
