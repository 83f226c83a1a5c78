import { walkStance } from '../../body/index.ts';
import type { BeatLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';

/** What a line is made of, stroke by stroke: the move, the limb and the height, from a left lead. */
export function signature(line: BeatLine, book: MoveBook): string[] {
  return walkStance(line, book, 'left')
    .strokes.filter(({ stroke }) => stroke.by === 'fighter')
    .map(({ move, limb, level }) => `${move.code} ${limb} ${level ?? ''}`);
}

/** How many strokes two lines have in common in the same order. */
export function strokesAlike(a: readonly string[], b: readonly string[]): number {
  let before = new Array<number>(b.length + 1).fill(0);
  for (const stroke of a) {
    const now = [0];
    for (const [j, other] of b.entries())
      now.push(stroke === other ? before[j]! + 1 : Math.max(before[j + 1]!, now[j]!));
    before = now;
  }
  return before[b.length]!;
}

/** 0 for lines without a stroke in common, 1 for the same strokes in the same order. */
export function likeness(a: readonly string[], b: readonly string[]): number {
  const most = a.length + b.length;
  return most === 0 ? 1 : (2 * strokesAlike(a, b)) / most;
}
