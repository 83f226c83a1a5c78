import { parseLine, type BeatLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';

/** A word of a text, in lower case, and where it stands. */
export interface Word {
  readonly text: string;
  /** Character offsets in the text, `to` exclusive. */
  readonly from: number;
  readonly to: number;
  /** What is written in the notation, and no word. */
  readonly raw: BeatLine | null;
}

/** What stands between the strokes of a sentence. */
const BETWEEN: ReadonlySet<string> = new Set(['and', 'then', 'next', 'followed', 'by']);
const CHUNK = /[^\s,;]+|[,;\n]/gu;
const LETTERS = /[\p{L}']+|\d+/gu;

/** The words of a text in the parts that commas, "and" and "then" make of it. */
export function partsOf(text: string, book: MoveBook): Word[][] {
  const parts: Word[][] = [[]];
  const next = (): void => {
    if (parts.at(-1)!.length > 0) parts.push([]);
  };
  for (const { 0: chunk, index } of text.matchAll(CHUNK)) {
    if (/^[,;]$/.test(chunk)) {
      next();
      continue;
    }
    const isNotation =
      /[^\p{L}'’]/u.test(chunk) && !/^\d+$/.test(chunk) && !/^[\p{L}'’]+(?:-[\p{L}'’]+)*[.!?]?$/u.test(chunk);
    const parsed = isNotation ? parseLine(chunk, book) : null;
    if (parsed?.ok) {
      parts.at(-1)!.push({ text: chunk, from: index, to: index + chunk.length, raw: parsed.line });
      continue;
    }
    for (const { 0: found, index: at } of chunk.matchAll(LETTERS)) {
      const word = found.toLowerCase();
      if (BETWEEN.has(word)) next();
      else parts.at(-1)!.push({ text: word, from: index + at, to: index + at + found.length, raw: null });
    }
  }
  return parts.filter((part) => part.length > 0);
}
