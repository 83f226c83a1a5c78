import { limbClock, walkStance } from '../body/index.ts';
import { formatLine, parseLine } from '../line/index.ts';
import { findMove, type Lead, type MoveBook } from '../moves/index.ts';
import type { Bpm } from '../units/index.ts';

export interface RankedOrder {
  readonly line: string;
  readonly fastestBpm: Bpm | null;
  readonly changesOfTurn: number;
  readonly changesOfLevel: number;
}

/**
 * All orders of two to five of the fighter's written strokes on whole beats, the one that flows best first: the fastest
 * clean tempo, then how often the turn of the hips and the level change. What the holder does stays in its place with the
 * defence that answers it, and a leg that is kept up goes with its kick.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * orders(['1', '2'], book, 'left', 1).length // 2
 */
export function orders(words: readonly string[], book: MoveBook, lead: Lead, factor: number): RankedOrder[] {
  const placed = heldInPlace(words, book);
  const own = ownUnits(words, placed);
  if (own.length < 2 || own.length > 5) return [];
  const seen = new Map<string, RankedOrder>();
  for (const order of permutations(own)) {
    const parsed = parseLine(withHolder(order, words, placed).join(' '), book);
    if (!parsed.ok) continue;
    const walk = walkStance(parsed.line, book, lead);
    const levels = walk.strokes.map((stroke) => stroke.level);
    const text = formatLine(parsed.line);
    seen.set(text, {
      line: text,
      fastestBpm: limbClock(walk, { factor }).fastestBpm,
      changesOfTurn: walk.strokes.filter(
        (stroke, i) => i > 0 && stroke.limb.split('-')[0] !== walk.strokes[i - 1]!.limb.split('-')[0],
      ).length,
      changesOfLevel: levels.filter((level, i) => i > 0 && level !== levels[i - 1]).length,
    });
  }
  return [...seen.values()].sort(
    (a, b) =>
      (b.fastestBpm ?? 0) - (a.fastestBpm ?? 0) ||
      b.changesOfTurn - a.changesOfTurn ||
      b.changesOfLevel - a.changesOfLevel ||
      a.line.localeCompare(b.line),
  );
}

const marksOf = (word: string): string => /^\(?(?:o:|f:|r:|\?|\^)*/.exec(word)![0];

/** Which words stay where they are: what the holder does, and right behind it the blocks and evasions of the fighter that answer it. */
function heldInPlace(words: readonly string[], book: MoveBook): boolean[] {
  const held: boolean[] = [];
  for (const [i, word] of words.entries()) {
    const marks = marksOf(word);
    const code = /^[a-z0-9]+/.exec(word.slice(marks.length))?.[0] ?? '';
    const family = findMove(book, code)?.move.family;
    const defends = family === 'block' || family === 'evasion';
    held.push(marks.includes('o:') || (defends && held[i - 1] === true));
  }
  return held;
}

/** The fighter's strokes, each with what leans on it: a leg that stays up, or what is done if it landed. */
function ownUnits(words: readonly string[], placed: readonly boolean[]): string[][] {
  const units: string[][] = [];
  for (const word of words.filter((_, i) => !placed[i])) {
    if (/[\^?]/.test(marksOf(word)) && units.length > 0) units.at(-1)!.push(word);
    else units.push([word]);
  }
  return units;
}

/** What stays in its place, behind as many of the fighter's as they were written behind, but never between a kick and its leg. */
function withHolder(
  order: readonly (readonly string[])[],
  words: readonly string[],
  placed: readonly boolean[],
): string[] {
  const ordered: string[] = [];
  const left = order.map((unit) => [...unit]);
  let due = 0;
  let done = 0;
  const catchUp = (): void => {
    while (done < due && left.length > 0) {
      const unit = left.shift()!;
      ordered.push(...unit);
      done += unit.length;
    }
  };
  for (const [i, word] of words.entries()) {
    if (placed[i]) {
      catchUp();
      ordered.push(word);
    } else due += 1;
  }
  catchUp();
  return ordered;
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((item, i) => permutations(items.toSpliced(i, 1)).map((rest) => [item, ...rest]));
}
