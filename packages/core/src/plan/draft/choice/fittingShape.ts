import { parseLine } from '../../../line/index.ts';
import { walkStance, youthFaultOf, type YouthLimits } from '../../../body/index.ts';
import type { MoveBook } from '../../../moves/index.ts';
import type { DraftGym } from '../wish.ts';
import { shapeOf, type LineShape } from './lineShape.ts';

/** What may be asked of a class as a whole. */
export interface Bounds {
  readonly floorSteps: number | null;
  readonly noHighKicks: boolean;
  readonly noSpins: boolean;
  /** The lead changes after each few times through, and nothing is done from one lead alone. */
  readonly isEven: boolean;
}

/**
 * The shape of a line that a class may do; null where it cannot be read, needs more floor than there is, uses what is not taught any more,
 * comes before anybody is warm for it, or asks what the band should not do.
 */
export function fittingShape(
  line: string,
  { book, retired }: Pick<DraftGym, 'book' | 'retired'>,
  { floorSteps, noHighKicks, noSpins }: Omit<Bounds, 'isEven'>,
  youth: YouthLimits | null,
): LineShape | null {
  const shape = shapeOf(line, book);
  if (!shape || shape.moves.length === 0) return null;
  if (floorSteps !== null && shape.floor > floorSteps) return null;
  if ((noHighKicks && shape.hasHighKick) || (noSpins && shape.hasSpin)) return null;
  if (shape.moves.some((code) => retired.includes(code))) return null;
  return youth && isTooMuch(line, youth, book) ? null : shape;
}

/** Whether a line asks what children of a band should not do. */
export function isTooMuch(line: string, youth: YouthLimits, book: MoveBook): boolean {
  const parsed = parseLine(line, book);
  return (
    parsed.ok &&
    walkStance(parsed.line, book, 'left').strokes.some(
      (walked) => walked.stroke.by === 'fighter' && youthFaultOf(walked, youth) !== null,
    )
  );
}
