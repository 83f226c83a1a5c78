/** A line made easier: in every way for whoever it is too hard for, or one move at a time. */
import {
  PACE_FACTORS,
  findFindings,
  limbClock,
  walkStance,
  type Audience,
  type ClockResult,
} from '../../body/index.ts';
import { formatLine, type BeatLine, type Stroke } from '../../line/index.ts';
import { findMove, type MoveBook } from '../../moves/index.ts';
import { ONE, add, compare, type Bpm } from '../../units/index.ts';
import { evenGaps, isWait, mapEntries, mapStrokes, moveOf, writtenStrokes } from '../rewrite/rewriteLine.ts';
import { fitted, withoutLooseMarks, type ChangedLine } from './fitLine.ts';
import { onOtherSide, withEasier, writtenSide } from './otherMove.ts';

/** No easier form has to be done faster than this. */
const UNHURRIED: Bpm = 100;
/** Beats that are added at most so that the body has the time. */
const MOST_BEATS_MORE = 8;

/**
 * The line made easier in every way: what is above the grade or against the limits of the band as `fitLine` changes it,
 * nothing with full power, no step through, no kick from a leg that is still up, a whole beat for every stroke, and for children
 * no waiting. No stroke has less time than it had, up to an unhurried tempo.
 *
 * @example
 * easier(line('1-2* 3'), book, ANYBODY).line // '1 2 3'
 */
export function easier(line: BeatLine, book: MoveBook, audience: Audience): ChangedLine {
  const changes: string[] = [];
  let now = fitted(withoutFullPower(line, changes), book, audience, changes);
  if (now.entries.length === 0) return { line: '', changes: [...new Set(changes)] };
  now = onTheSpot(now, book, changes);
  now = footDown(now, book, changes);
  now = evenly(now, changes);
  if (audience.youth) now = withoutWaits(now, changes);
  now = inTime(now, line, book, changes);
  return { line: formatLine(now), changes: [...new Set(changes)] };
}

/**
 * The line with the move of one written stroke replaced by its easier one, whatever the grade; null where it has none.
 *
 * @param place among the written strokes, from 0
 *
 * @example
 * easierAt(line('1 weave 3'), book, 1).changes // ['Weave becomes duck.']
 */
export function easierAt(line: BeatLine, book: MoveBook, place: number): ChangedLine | null {
  const stroke = writtenStrokes(line)[place];
  const move = stroke?.by === 'fighter' ? moveOf(stroke, book) : undefined;
  const next = move?.easier ? book.moves.get(move.easier) : undefined;
  if (!move || !next) return null;
  const changed = mapStrokes(line, (each, at) => (at === place ? withEasier(each, next, book) : each));
  return {
    line: formatLine(withoutLooseMarks(changed, book)),
    changes: [`${move.name} becomes ${next.name.toLowerCase()}.`],
  };
}

function withoutFullPower(line: BeatLine, changes: string[]): BeatLine {
  return mapStrokes(line, (stroke) => {
    if (stroke.power !== 'full' || stroke.by === 'holder') return stroke;
    changes.push('No full power.');
    return { ...stroke, power: 'normal' };
  });
}

/** Without stepping through: by the same words, or by the same limbs where the words would ask too much of one. */
function onTheSpot(line: BeatLine, book: MoveBook, changes: string[]): BeatLine {
  const steps = (stroke: Stroke): boolean => stroke.step !== null && stroke.by === 'fighter';
  if (!writtenStrokes(line).some(steps)) return line;
  changes.push('No stepping through: the feet stay.');
  const sameWords = mapStrokes(line, (stroke) => (steps(stroke) ? { ...stroke, step: null } : stroke));
  const sameLimbs = withLimbsOf(line, sameWords, book);
  return sameLimbs && isLighter(sameLimbs, sameWords, book) ? sameLimbs : sameWords;
}

/** Whether less speaks against the one, or as much and it can be done faster. */
function isLighter(one: BeatLine, other: BeatLine, book: MoveBook): boolean {
  const [less, more] = [one, other].map((each) => troubles(each, book));
  const [faster, slower] = [one, other].map((each) => clockOf(each, book).fastestBpm ?? 0);
  return less! < more! || (less === more && faster! > slower!);
}

const clockOf = (line: BeatLine, book: MoveBook): ClockResult =>
  limbClock(walkStance(line, book, 'left'), { factor: PACE_FACTORS.club });

/** The strokes of `now` by the limbs that did them in `before`, from a left lead; null where the book cannot write that. */
function withLimbsOf(before: BeatLine, now: BeatLine, book: MoveBook): BeatLine | null {
  const [was, is] = [before, now].map((each) => walkStance(each, book, 'left').strokes);
  const written = writtenStrokes(now);
  const other = new Set<Stroke>();
  for (const [i, { stroke, limb }] of is!.entries()) if (limb !== was![i]!.limb) other.add(stroke);
  // A group whose copies differ cannot be written so.
  if (is!.some(({ stroke, limb }, i) => other.has(stroke) && limb === was![i]!.limb)) return null;
  let isWhole = true;
  const made = mapStrokes(now, (stroke, place) => {
    if (!other.has(written[place]!)) return stroke;
    const turned = onOtherSide(stroke, book);
    isWhole &&= turned !== null;
    return turned ?? stroke;
  });
  return isWhole ? made : null;
}

/** How much a body would have against the line. */
function troubles(line: BeatLine, book: MoveBook): number {
  const settings = { factor: PACE_FACTORS.club, bpm: UNHURRIED };
  const { findings } = findFindings(walkStance(line, book, 'left'), book, settings);
  return findings.filter(({ severity }) => severity !== 'note').length;
}

/** A kick from a leg that is still up, or from both in the air, stands by itself. */
function footDown(line: BeatLine, book: MoveBook, changes: string[]): BeatLine {
  const { strokes } = walkStance(line, book, 'left');
  return mapStrokes(line, (stroke) => {
    if (!stroke.keptUp || stroke.by === 'holder') return stroke;
    const { move, side } = strokes.find((each) => each.stroke === stroke)!;
    changes.push(`The foot comes down before the ${move.name.toLowerCase()}.`);
    const isNumbered = findMove(book, stroke.word)?.side !== null;
    return { ...stroke, keptUp: false, side: isNumbered ? null : writtenSide(move, side) };
  });
}

function evenly(line: BeatLine, changes: string[]): BeatLine {
  const even = evenGaps(line);
  if (formatLine(even) !== formatLine(line)) changes.push('Every stroke has a whole beat.');
  return even;
}

function withoutWaits(line: BeatLine, changes: string[]): BeatLine {
  const aBeat = { kind: 'beats', beats: ONE } as const;
  return mapEntries(line, (entry) => {
    const isLate = entry.gap?.kind === 'beats' && compare(entry.gap.beats, ONE) > 0;
    if (isLate || isWait(entry.item)) changes.push('No waiting in between.');
    if (isWait(entry.item)) return null;
    return isLate ? { ...entry, gap: aBeat } : entry;
  });
}

/** With a beat more wherever the body would need a slower tempo than for `before`. */
function inTime(line: BeatLine, before: BeatLine, book: MoveBook, changes: string[]): BeatLine {
  const wanted = Math.min(clockOf(before, book).fastestBpm ?? UNHURRIED, UNHURRIED);
  let now = line;
  for (let more = 0; more < MOST_BEATS_MORE; more++) {
    const { fastestBpm, limit } = clockOf(now, book);
    if (fastestBpm === null || fastestBpm >= wanted) break;
    const late = walkStance(now, book, 'left').strokes[limit!.toStroke]!;
    const longer = withBeatBefore(now, late.stroke);
    if (!longer) break;
    changes.push(`A beat more before the ${late.move.name.toLowerCase()}.`);
    now = longer;
  }
  return now;
}

/** Null where no gap stands before the stroke: it opens a group, or follows a wait. */
function withBeatBefore(line: BeatLine, stroke: Stroke): BeatLine | null {
  let isDone = false;
  const made = mapEntries(line, (entry) => {
    if (entry.item !== stroke || entry.gap?.kind !== 'beats') return entry;
    isDone = true;
    return { ...entry, gap: { kind: 'beats', beats: add(entry.gap.beats, ONE) } };
  });
  return isDone ? made : null;
}
