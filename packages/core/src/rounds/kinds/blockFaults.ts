import { parseLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { kindOf, type WrittenBlock } from './registry.ts';

/** Something in a block that cannot be done as it is written. */
export interface BlockFault {
  /** Field in the block, as "line" or "lanes.0.combos.1". */
  readonly field: string;
  readonly message: string;
}

export const GONE_COMBO = 'This combo is not in the book any more. Choose another one.';

/**
 * What a block names and the book no longer has, and its lines that cannot be read; each with one sentence.
 *
 * @example
 * blockFaults({ ...usualBlock('count', 'c'), line: 'nosuch' }, new Map(), book).map(({ field }) => field) // ['line']
 */
export function blockFaults(
  block: WrittenBlock,
  combos: ReadonlyMap<string, unknown>,
  book: MoveBook,
): BlockFault[] {
  const kind = kindOf(block);
  const gone = kind
    .named(block)
    .flatMap(({ field, comboId }) => (combos.has(comboId) ? [] : [{ field, message: GONE_COMBO }]));
  const unread = kind.written(block).flatMap(({ field, line }) => {
    const parsed = parseLine(line, book);
    return parsed.ok ? [] : [{ field, message: parsed.errors[0]!.message }];
  });
  return [...gone, ...unread];
}
