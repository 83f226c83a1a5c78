/** A line made harder, one thing at a time. */
import {
  PACE_FACTORS,
  findFindings,
  isAboveGrade,
  limbClock,
  walkStance,
  youthFault,
  type Audience,
  type ClockResult,
  type Walk,
} from '../../body/index.ts';
import { formatLine, parseLine, type BeatLine, type Entry, type Stroke } from '../../line/index.ts';
import { isStrike, type Move, type MoveBook } from '../../moves/index.ts';
import { HALF, ONE, equals, type Bpm } from '../../units/index.ts';
import { mapEntries, mapStrokes, moveOf, writtenStrokes } from '../rewrite/rewriteLine.ts';
import type { ChangedLine } from './fitLine.ts';
import { withMove } from './otherMove.ts';

/**
 * What would make the line harder for these people, one thing each and the best first: a move by one that it is the easier form
 * of, the last strike half a beat sooner, another height, all the power in the end. Pauses, words, conditions and what the
 * holder does stay. Nothing is proposed that is above the grade, against the limits of the band, or brings the body a trouble
 * that the line did not have.
 *
 * @example
 * harder(line('1 2 3'), book, ANYBODY).map(({ line }) => line).includes('1 2 3*') // true
 */
export function harder(line: BeatLine, book: MoveBook, audience: Audience): ChangedLine[] {
  const proposals = inTurn([
    harderMoves(line, book, audience),
    sooner(line, book),
    otherHeights(line, book),
    withPower(line, book, audience),
  ]);
  const before = troubles(line, book, audience);
  const slowest = Math.min(clockOf(line, book).fastestBpm ?? SLOW, SLOW);
  const own = formatLine(line);
  const seen = new Set([own]);
  return proposals.flatMap(([made, change]) => {
    const text = formatLine(made);
    const read = parseLine(text, book);
    if (seen.has(text) || !read.ok) return [];
    seen.add(text);
    if ([...troubles(read.line, book, audience)].some((each) => !before.has(each))) return [];
    const { fastestBpm, limit } = clockOf(read.line, book);
    if (limit && (fastestBpm ?? 0) < slowest) return [];
    return [{ line: text, changes: [change] }];
  });
}

/** A form that can only be done slower than this is none. */
const SLOW: Bpm = 60;

/** The first of each, then the second of each, and so on. */
function inTurn<T>(lists: readonly (readonly T[])[]): T[] {
  const longest = Math.max(...lists.map(({ length }) => length));
  return Array.from({ length: longest }, (_, i) => lists.flatMap((list) => list.slice(i, i + 1))).flat();
}

const clockOf = (line: BeatLine, book: MoveBook): ClockResult =>
  limbClock(walkOf(line, book), { factor: PACE_FACTORS.club });

type Proposal = readonly [line: BeatLine, change: string];

const walkOf = (line: BeatLine, book: MoveBook): Walk => walkStance(line, book, 'left');

/** What speaks against a line, by rule and the words of the book. */
function troubles(line: BeatLine, book: MoveBook, audience: Audience): ReadonlySet<string> {
  const settings = { factor: PACE_FACTORS.club, bpm: null, audience };
  const { findings } = findFindings(walkOf(line, book), book, settings);
  return new Set(
    findings
      .filter(({ severity }) => severity !== 'note')
      .map(({ rule, risk }) => `${rule} ${risk?.text ?? ''}`),
  );
}

/** The last strokes first: what opens a line stays longest. */
function ownPlaces(
  line: BeatLine,
  isMeant: (move: Move, stroke: Stroke) => boolean,
  book: MoveBook,
): number[] {
  return writtenStrokes(line)
    .flatMap((stroke, place) =>
      stroke.by === 'fighter' && isMeant(moveOf(stroke, book), stroke) ? [place] : [],
    )
    .toReversed();
}

const changedAt = (line: BeatLine, place: number, change: (stroke: Stroke) => Stroke): BeatLine =>
  mapStrokes(line, (stroke, at) => (at === place ? change(stroke) : stroke));

function harderMoves(line: BeatLine, book: MoveBook, { grade, youth }: Audience): Proposal[] {
  const isAllowed = (move: Move): boolean =>
    !(grade && isAboveGrade(move, grade)) && !(youth && youthFault(move, move.level, youth));
  return ownPlaces(line, () => true, book).flatMap((place) => {
    const move = moveOf(writtenStrokes(line)[place]!, book);
    return [...book.moves.values()]
      .filter((each) => each.easier === move.code && isAllowed(each))
      .map((each): Proposal => [
        changedAt(line, place, (stroke) => withMove(stroke, each, book)),
        `${move.name} becomes ${each.name.toLowerCase()}.`,
      ]);
  });
}

/** The last of two strokes of the fighter that lie a beat apart at the end of the line or before a pause. */
function sooner(line: BeatLine, book: MoveBook): Proposal[] {
  const strokes = writtenStrokes(line);
  return ownPlaces(line, (move) => isStrike(move), book).flatMap((place): Proposal[] => {
    const stroke = strokes[place]!;
    if (strokes[place - 1]?.by !== 'fighter' || stroke.keptUp) return [];
    let isDone = false;
    const made = mapEntries(line, (entry): Entry => {
      const isIt = entry.item.kind === 'stroke' && entry.item === stroke;
      if (!isIt || entry.gap?.kind !== 'beats' || !equals(entry.gap.beats, ONE)) return entry;
      isDone = true;
      return { ...entry, gap: { kind: 'beats', beats: HALF } };
    });
    const name = moveOf(stroke, book).name.toLowerCase();
    // Sooner within the line, all that follows would come off the beat.
    return isDone && place === strokes.length - 1 ? [[made, `The ${name} comes half a beat sooner.`]] : [];
  });
}

function otherHeights(line: BeatLine, book: MoveBook): Proposal[] {
  const strokes = writtenStrokes(line);
  return ownPlaces(line, (move, { feint }) => isStrike(move) && !feint, book).flatMap((place): Proposal[] => {
    const stroke = strokes[place]!;
    const move = moveOf(stroke, book);
    const isPunch = move.family === 'punch';
    const isUp = stroke.keptUp || strokes[place + 1]?.keptUp === true;
    const isKick = move.family === 'kick' && move.spin === 0 && move.role === null && !isUp;
    const level = stroke.level ?? move.level;
    const to = isPunch && level === 'head' ? 'body' : isKick && level === 'body' ? 'head' : null;
    if (to === null) return [];
    return [
      [
        changedAt(line, place, (each) => ({ ...each, level: to === move.level ? null : to })),
        `The ${move.name.toLowerCase()} goes to the ${to}.`,
      ],
    ];
  });
}

function withPower(line: BeatLine, book: MoveBook, { youth }: Audience): Proposal[] {
  if (youth || writtenStrokes(line).some(({ power }) => power === 'full')) return [];
  const [last] = ownPlaces(line, (move, { feint }) => isStrike(move) && !feint, book);
  if (last === undefined) return [];
  const name = moveOf(writtenStrokes(line)[last]!, book).name.toLowerCase();
  return [
    [
      changedAt(line, last, (stroke) => ({ ...stroke, power: 'full' })),
      `The ${name} goes in with full power.`,
    ],
  ];
}
