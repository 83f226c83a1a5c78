import { findFindings, walkStance, type Audience } from '../body/index.ts';
import { formatLine, type BeatLine } from '../line/index.ts';
import { isStrike, otherLead, type Lead, type MoveBook } from '../moves/index.ts';
import { BPM_LIMITS, type Bpm } from '../units/index.ts';
import { evenGaps, firstStrokes, mapStrokes, moveOf, writtenStrokes } from './rewrite/rewriteLine.ts';

/** Slow practice: this share of the working tempo. */
export const SLOW_SHARE = 0.65;
/** The top of the ladder stays this far under the fastest clean tempo. */
const TOP_SHARE = 0.95;

/** One counted part of a stroke. */
export interface CountedPart {
  readonly stroke: number;
  readonly move: string;
  readonly part: string;
  readonly cue: string;
}

/**
 * The same text from the other lead is the mirrored combo.
 *
 * @example
 * mirror('left') // 'right'
 */
export function mirror(lead: Lead): Lead {
  return otherLead(lead);
}

/**
 * Every stroke of the fighter split into its counted parts, in order, repeats written out.
 *
 * @example
 * parts(line('1 2'), book, 'left').length // 5
 */
export function parts(line: BeatLine, book: MoveBook, lead: Lead): CountedPart[] {
  return walkStance(line, book, lead)
    .strokes.filter((stroke) => stroke.stroke.by === 'fighter')
    .flatMap(({ index, move }) =>
      move.parts.map(({ name, cue }) => ({ stroke: index, move: move.name, part: name, cue })),
    );
}

/**
 * The first stroke, the first two, the first three … up to the whole line.
 *
 * @example
 * grow(line('1 2 3')) // ['1', '1 2', '1 2 3']
 */
export function grow(line: BeatLine): string[] {
  const count = writtenStrokes(line).length;
  const grown = Array.from({ length: count }, (_, i) =>
    formatLine(i === count - 1 ? line : firstStrokes(line, i + 1)),
  );
  return [...new Set(grown)];
}

/**
 * Every stroke on a whole beat, with the pauses of the line.
 *
 * @example
 * even(line('1-2-3')) // '1 2 3'
 */
export function even(line: BeatLine): string {
  return formatLine(evenGaps(line));
}

/**
 * All strikes as touches.
 *
 * @example
 * light(line('1 2'), book) // '1\' 2\''
 */
export function light(line: BeatLine, book: MoveBook): string {
  return formatLine(
    mapStrokes(line, (stroke) => (isStrike(moveOf(stroke, book)) ? { ...stroke, power: 'touch' } : stroke)),
  );
}

/**
 * Only one strike with full power, the last of the fighter's or the one at this place among the written strokes.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * power(line('1 2'), book) // '1 2*'
 */
export function power(line: BeatLine, book: MoveBook, place?: number): string {
  const strokes = writtenStrokes(line);
  const accent =
    place ?? strokes.findLastIndex((stroke) => stroke.by === 'fighter' && isStrike(moveOf(stroke, book)));
  return formatLine(
    mapStrokes(line, (stroke, at) => ({
      ...stroke,
      power: at === accent ? 'full' : stroke.power === 'full' ? 'normal' : stroke.power,
    })),
  );
}

/** How fast a gym goes: only as fast as the form stays clean, or as fast as a body can. */
export type SpeedAim = 'clean' | 'fastest';

/**
 * Slow, working and top tempo, each once, rising. The top stays a little under the fastest clean tempo, or is that
 * tempo where the gym goes for speed; no rung is above it, and none leaves the limits of tempo. A working
 * tempo that is none has no rungs.
 *
 * @example
 * ladder(80, 100).at(-1) <= 100 // true
 */
export function ladder(working: Bpm, fastest: Bpm | null, aim: SpeedAim = 'clean'): Bpm[] {
  if (!(working >= BPM_LIMITS.min && working <= BPM_LIMITS.max)) return [];
  const share = aim === 'clean' ? TOP_SHARE : 1;
  const top = Math.min(BPM_LIMITS.max, fastest === null ? working : Math.floor(fastest * share));
  const rungs = [Math.round(working * SLOW_SHARE), working, top].map((bpm) => Math.min(bpm, top));
  return [...new Set(rungs.filter((bpm) => bpm >= BPM_LIMITS.min))].sort((a, b) => a - b);
}

export interface LeadAdvice {
  /** Lead from which the accented stroke comes from the stronger side. */
  readonly lead: Lead;
  readonly message: string;
}

/**
 * From which lead the accented strike (full power, else the last) comes from the fighter's stronger side. Null without a sided strike.
 *
 * @example
 * leadAdvice(line('1 1 1'), book, 'right') !== undefined // true
 */
export function leadAdvice(line: BeatLine, book: MoveBook, strongSide: 'left' | 'right'): LeadAdvice | null {
  const leads: readonly Lead[] = ['left', 'right'];
  for (const lead of leads) {
    const strikes = walkStance(line, book, lead).strokes.filter(
      (stroke) => stroke.stroke.by === 'fighter' && isStrike(stroke.move),
    );
    const accent = strikes.findLast((stroke) => stroke.stroke.power === 'full') ?? strikes.at(-1);
    if (!accent?.limb.startsWith(strongSide)) continue;
    const way = accent.side === 'rear' ? 'from the rear, the long way' : 'from the front, the short way';
    return {
      lead,
      message: `From the ${lead} lead the ${accent.move.name.toLowerCase()} comes from the ${strongSide} side, ${way}.`,
    };
  }
  return null;
}

/**
 * How many strokes, from the first, two lines have in common: same limb side, move, level and beat.
 *
 * @example
 * sharedOpening(line('1 2 3'), line('1 2 r:round'), book) // 2
 */
export function sharedOpening(a: BeatLine, b: BeatLine, book: MoveBook): number {
  const [first, second] = [a, b].map((line) => walkStance(line, book, 'left').strokes);
  const same = (i: number): boolean => {
    const [x, y] = [first![i], second![i]];
    return (
      x !== undefined &&
      y !== undefined &&
      x.move.code === y.move.code &&
      x.limb === y.limb &&
      x.level === y.level &&
      x.beat.n * y.beat.d === y.beat.n * x.beat.d
    );
  };
  let count = 0;
  while (same(count)) count += 1;
  return count;
}

/**
 * Whether nothing of the line is above the grade or against the band any more.
 *
 * @example
 * suits(line('1 2'), book, ANYBODY) // true
 */
export function suits(line: BeatLine, book: MoveBook, audience: Audience): boolean {
  const { findings } = findFindings(walkStance(line, book, 'left'), book, { factor: 1, bpm: null, audience });
  return !findings.some(({ rule }) => rule === 'above-grade' || rule === 'youth-contact');
}
