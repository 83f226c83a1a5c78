/** What a coach would not write, whatever a body can do. */
import { isLegStrike, isStrike } from '../../moves/index.ts';
import type { KnownStroke } from './knownStrokes.ts';

export const isHand = ({ move }: KnownStroke): boolean => isStrike(move) && !isLegStrike(move);

/** Done from so near that the fighter has to be there already, and is too near for a kick behind it. */
const isClose = ({ move }: KnownStroke): boolean => move.family === 'knee' || move.family === 'elbow';

/** A hand at another height is another stroke, a leg is not. */
const isAgain = (earlier: KnownStroke, stroke: KnownStroke): boolean =>
  earlier.text === stroke.text ||
  (isLegStrike(stroke.move) && earlier.move === stroke.move && earlier.side === stroke.side);

/** A straight of the front hand may come twice running. */
const isDouble = ({ move }: KnownStroke): boolean =>
  isStrike(move) && move.side.kind === 'fixed' && move.side.side === 'front';

/**
 * Whether the strokes make a line as coaches write them: nothing twice but a straight of the front hand as a double, no leg right behind a leg,
 * one evasion at most, between two hands, and nothing done from close before the fighter is there.
 */
export function isSensible(line: readonly KnownStroke[]): boolean {
  const evasions = line.filter(({ move }) => !isStrike(move));
  if (isClose(line[0]!) || evasions.length > 1) return false;
  return line.every((stroke, i) => {
    const [before, after] = [line[i - 1], line[i + 1]];
    if (!isStrike(stroke.move))
      return before !== undefined && after !== undefined && isHand(before) && isHand(after);
    const earlier = line.findIndex((other) => isAgain(other, stroke));
    if (earlier < i && !(earlier === i - 1 && isDouble(stroke))) return false;
    if (!before) return true;
    if (isLegStrike(stroke.move) && isLegStrike(before.move)) return false;
    return !isClose(before) || isHand(stroke);
  });
}
