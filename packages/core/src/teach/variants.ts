import { findFindings, isAboveGrade, walkStance, youthFault, type Audience } from '../body/index.ts';
import { formatLine, type BeatLine, type Stroke } from '../line/index.ts';
import {
  findMove,
  isLegStrike,
  isStrike,
  otherLead,
  type Lead,
  type Move,
  type MoveBook,
} from '../moves/index.ts';
import { BPM_LIMITS, type Bpm } from '../units/index.ts';
import { evenGaps, firstStrokes, mapStrokes, writtenStrokes } from './rewriteLine.ts';

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
 * Every gap a whole beat.
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

export interface EasierLine {
  readonly line: string;
  /** What was changed, one sentence each; empty when nothing had to be. */
  readonly changes: readonly string[];
}

/**
 * The line with each move replaced by its easier move until nothing is above the grade or against the limits of the
 * band. A strike to the head goes to the body where the band has no head contact. What has no easier form is left out.
 *
 * @example
 * easier(line('1 2'), book, ANYBODY).line // '1 2'
 */
export function easier(line: BeatLine, book: MoveBook, audience: Audience): EasierLine {
  const changes: string[] = [];
  const changed = mapStrokes(line, (stroke) => {
    if (stroke.by === 'holder') return stroke;
    let now = lowered(stroke, book, audience, changes);
    for (let guard = 0; guard < book.moves.size; guard++) {
      const move = moveOf(now, book);
      if (isAllowed(move, audience)) return lowered(now, book, audience, changes);
      if (move.easier === null || !book.moves.has(move.easier)) {
        changes.push(`The ${move.name.toLowerCase()} is left out.`);
        return null;
      }
      const next = book.moves.get(move.easier)!;
      const instead = substituteMove(now, next, book);
      changes.push(`${move.name} becomes ${next.name.toLowerCase()}.`);
      now = instead;
    }
    return null;
  });
  return { line: formatLine(dropLooseMarks(changed, book)), changes: [...new Set(changes)] };
}

/** The stroke done with an easier move: with the same limb of the same body, and with the same lead afterwards. */
function substituteMove(stroke: Stroke, next: Move, book: MoveBook): Stroke {
  const { move, side: numbered } = findMove(book, stroke.word)!;
  const side =
    move.side.kind === 'fixed'
      ? move.side.side
      : move.side.kind === 'free'
        ? (numbered ?? stroke.side ?? (stroke.keptUp ? null : move.side.usual))
        : stroke.side;
  const wanted = next.side.kind === 'free' || next.side.kind === 'directed' ? side : null;
  const isUsual = 'usual' in next.side && next.side.usual === wanted;
  const flips = move.lead !== next.lead;
  return {
    ...stroke,
    word: next.code,
    side: isUsual ? null : wanted,
    keptUp: stroke.keptUp && isLegStrike(next),
    step: flips ? (stroke.step === null ? 'through' : null) : stroke.step,
  };
}

function isAllowed(move: Move, { grade, youth }: Audience): boolean {
  if (grade && isAboveGrade(move, grade)) return false;
  // Heights are changed on their own.
  return !youth || youthFault(move, null, youth) === null;
}

function lowered(stroke: Stroke, book: MoveBook, { youth }: Audience, changes: string[]): Stroke {
  const move = moveOf(stroke, book);
  if (!youth || youth.headContact || !isStrike(move) || (stroke.level ?? move.level) !== 'head')
    return stroke;
  changes.push(`${move.name} goes to the body.`);
  return { ...stroke, level: 'body' };
}

/** Marks that lean on a stroke before them fall away when that stroke is gone. */
function dropLooseMarks(line: BeatLine, book: MoveBook): BeatLine {
  let before: Stroke | null = null;
  /** A leg stays up while the holder does something, so only the fighter's own stroke counts for it. */
  let ownBefore: Stroke | null = null;
  return mapStrokes(line, (stroke) => {
    const kept: Stroke = {
      ...stroke,
      conditional: stroke.conditional && before !== null,
      keptUp: stroke.keptUp && ownBefore !== null && isLegStrike(moveOf(ownBefore, book)),
    };
    before = kept;
    if (kept.by === 'fighter') ownBefore = kept;
    return kept;
  });
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

function moveOf(stroke: Stroke, book: MoveBook): Move {
  const found = findMove(book, stroke.word);
  if (!found) throw new Error(`the move book has no ${stroke.word}`);
  return found.move;
}
