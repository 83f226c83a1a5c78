import { formatLine, type BeatLine, type Entry, type Stroke } from '../../line/index.ts';
import { findMove, isLegStrike, type Move, type MoveBook } from '../../moves/index.ts';
import { ONE, compare } from '../../units/index.ts';
import { mapEntries, mapStrokes, moveOf } from '../rewrite/rewriteLine.ts';

/** A line that travels the other way. */
export interface StepsBack {
  readonly line: string;
  /** Names of moves that travel and have no counterpart in the book; they stand as they were. */
  readonly kept: readonly string[];
}

/**
 * The same strokes on the way back: each step becomes the one of the book that travels the other way, and each hand that steps
 * through steps back through. Nobody kicks while leaving: a kick is done first, and the step out of it comes a beat later.
 *
 * @example
 * stepBack(line('in+r:push 2>'), book) // { line: 'r:push out 2<', kept: [] }
 */
export function stepBack(line: BeatLine, book: MoveBook): StepsBack {
  const kept = new Set<string>();
  const turned = mapStrokes(kicksFirst(line, book, kept), (stroke): Stroke => {
    const move = stroke.by === 'fighter' ? findMove(book, stroke.word)?.move : undefined;
    if (!move) return stroke;
    const step = stroke.step === null ? null : stroke.step === 'through' ? 'back' : 'through';
    if (move.step.forward === 0 && move.step.right === 0) return { ...stroke, step };
    const counterpart = wayBackOf(move, book);
    if (!counterpart) kept.add(move.name.toLowerCase());
    return counterpart ? { ...stroke, step, word: counterpart.code } : { ...stroke, step };
  });
  return { line: formatLine(turned), kept: [...kept] };
}

/** The move of the same family that only travels the other way. */
function wayBackOf(move: Move, book: MoveBook): Move | null {
  const isWayBack = (each: Move): boolean =>
    each.family === move.family &&
    each.lead === move.lead &&
    each.facing === -move.facing &&
    each.side.kind === move.side.kind &&
    isOpposite(each.step.forward, move.step.forward) &&
    isOpposite(each.step.right, move.step.right);
  return [...book.moves.values()].find(isWayBack) ?? null;
}

const isOpposite = (a: number, b: number): boolean => Math.abs(a + b) < 0.01;

/**
 * The line so that turning its steps round makes nobody kick while leaving: a step forward that a kick goes with, or follows at
 * once, comes behind the kick, and a kick that lands in front is followed by a step forward of its own.
 */
function kicksFirst(line: BeatLine, book: MoveBook, kept: Set<string>): BeatLine {
  const step = [...book.moves.values()].find(
    (move) =>
      move.family === 'step' &&
      move.side.kind === 'none' &&
      move.step.forward === 1 &&
      move.step.right === 0 &&
      wayBackOf(move, book) !== null,
  );
  const isKick = (stroke: Stroke): boolean => stroke.by === 'fighter' && isLegStrike(moveOf(stroke, book));
  const isEntry = (stroke: Stroke): boolean =>
    stroke.by === 'fighter' &&
    !isKick(stroke) &&
    (stroke.step === 'through' || moveOf(stroke, book).step.forward > 0);
  const walk = (entries: readonly Entry[]): Entry[] => {
    const ordered: Entry[] = [];
    /** Steps that wait until the kick, and those of the same leg behind it, are done. */
    let owed: Entry[] = [];
    for (const [i, entry] of entries.entries()) {
      const { item } = entry;
      if (item.kind === 'group') ordered.push({ ...entry, item: { ...item, entries: walk(item.entries) } });
      else if (item.kind === 'stroke' && isKick(item)) {
        owed.push(...putKick(ordered, entry, item));
        if (staysUp(entries.slice(i + 1))) continue;
        ordered.push(...owed);
        owed = [];
      } else ordered.push(entry);
    }
    return ordered;
  };
  /** Puts the kick in its place, before a step in that it goes with; gives the steps that come behind it. */
  const putKick = (ordered: Entry[], entry: Entry, kick: Stroke): Entry[] => {
    const before = ordered.at(-1);
    const isHurried =
      entry.gap !== null && (entry.gap.kind === 'together' || compare(entry.gap.beats, ONE) <= 0);
    const entered = before?.item.kind === 'stroke' && isHurried && isEntry(before.item) ? before.item : null;
    const lands = kick.step === 'through' && step !== undefined;
    if (kick.step === 'through' && !step) kept.add(moveOf(kick, book).name.toLowerCase());
    const still: Stroke = lands ? { ...kick, step: null } : kick;
    const landing = lands ? [{ gap: A_BEAT, comments: [], item: plainStroke(step.code, kick) }] : [];
    if (entered && entered.step === null) {
      ordered.splice(-1, 1, { ...before!, item: { ...still, conditional: false } });
      return [{ gap: A_BEAT, comments: entry.comments, item: entered }, ...landing];
    }
    ordered.push({ ...entry, gap: entered ? A_BEAT : entry.gap, item: still });
    return landing;
  };
  return mapEntries({ ...line, entries: walk(line.entries) }, (entry) => entry);
}

const A_BEAT = { kind: 'beats', beats: ONE } as const;

/** Whether the leg of the kick before is still up for what the fighter does next. */
function staysUp(entries: readonly Entry[]): boolean {
  const next = entries.find(({ item }) => item.kind === 'stroke' && item.by === 'fighter')?.item;
  return next?.kind === 'stroke' && next.keptUp;
}

function plainStroke(word: string, { from, to }: Stroke): Stroke {
  return {
    ...{ kind: 'stroke', from, to, word, by: 'fighter', side: null, level: null, step: null },
    ...{ feint: false, conditional: false, keptUp: false, power: 'normal', shout: false },
  };
}
