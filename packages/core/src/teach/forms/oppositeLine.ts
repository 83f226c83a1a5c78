import { formatLine, type BeatLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { mapStrokes, moveOf } from '../rewrite/rewriteLine.ts';
import type { ChangedLine } from './fitLine.ts';
import { onOtherSide } from './otherMove.ts';

/**
 * Each stroke by the other side of the body, from the same lead and in the same rhythm: the cross becomes the jab, the front
 * hook the rear one. What the holder does turns round as well, so that the answer still answers it. A move that the book has on
 * one side only stays as it is, and is named.
 *
 * @example
 * opposite(line('1 2 r:round'), book).line // '2 1 f:round'
 */
export function opposite(line: BeatLine, book: MoveBook): ChangedLine {
  const kept = new Set<string>();
  const turned = mapStrokes(line, (stroke) => {
    const other = onOtherSide(stroke, book);
    if (other === null) kept.add(moveOf(stroke, book).name.toLowerCase());
    return other ?? stroke;
  });
  return {
    line: formatLine(turned),
    changes: [...kept].map((name) => `The ${name} stays as it is: the book has it on one side only.`),
  };
}
