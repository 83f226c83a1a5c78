import { parseLine, placeOnBeats } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { toNumber } from '../units/index.ts';
import { kindOf, type Block } from './kinds/registry.ts';

/** So many cues are compiled of one round, and of all rounds of a session for a file: hours of steady work have a third of it. */
export const MOST_CUES = { round: 150_000, session: 600_000 } as const;

/** A stroke may be called and shown, land, and tick between two beats. */
const CUES_OF_STROKE = 4;
/** Bells, times and announcements come no oftener than this in a second; what work without a beat counts and shows neither. */
const CUES_OF_SECOND = { onBeat: 1, byClock: 6 } as const;

/**
 * How many cues these blocks may have, before any is laid out: never fewer than they come to.
 *
 * @example
 * cuesAtMost([filled('rest')], book) // 240
 */
export function cuesAtMost(blocks: readonly Block[], book: MoveBook): number {
  const known = new Map<string, number>();
  const densityOf = (line: string): number => {
    if (!known.has(line)) known.set(line, strokesInBeat(line, book));
    return known.get(line)!;
  };
  return blocks.reduce((sum, block) => {
    const bpm = kindOf(block).fastest(block);
    const oftenest = Math.max(0, ...kindOf(block).done(block, book).map(densityOf));
    const inSecond = bpm === null ? CUES_OF_SECOND.byClock : CUES_OF_SECOND.onBeat;
    const inBeat = 1 + CUES_OF_STROKE * oftenest;
    return sum + Math.ceil(block.seconds * (inSecond + ((bpm ?? 0) / 60) * inBeat));
  }, 0);
}

/** Strokes of a line for each beat that one time through takes at the least. */
function strokesInBeat(line: string, book: MoveBook): number {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return 0;
  const { items, beats } = placeOnBeats(parsed.line);
  return items.length / Math.max(1, Math.ceil(toNumber(beats)));
}
