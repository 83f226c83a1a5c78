import { findMove, isLegStrike, wordFor, type Level, type MoveBook, type Side } from '../moves/index.ts';
import type { Stroke } from './beatLine.ts';
import type { LineReader } from './lineReader.ts';

const MOVE_EXPECTED = 'a number of the map or a code of the move book';
const LEVELS: Readonly<Record<string, Level>> = { h: 'head', b: 'body', l: 'low' };
const PREFIXED_FEINT = /^(?:[ofr]:|[?^])+\(/;
/** Where a stroke certainly ends. */
const STROKE_END = /[\s\-=+#(){}[\]]/;

interface Marks {
  by: 'fighter' | 'holder';
  side: Side | null;
  conditional: boolean;
  keptUp: boolean;
  level: Level | null;
  step: 'through' | 'back' | null;
  power: 'touch' | 'normal' | 'full' | null;
  shout: boolean;
}

/** Reads a stroke or a feint at the reader's place; null when it was faulty (the fault is noted, the word passed). */
export function readStroke(reader: LineReader, book: MoveBook): Stroke | null {
  const from = reader.at;
  const marks = unmarked();
  // A feint may stand inside a prefix: `o:(1)` is `(o:1)`.
  if (PREFIXED_FEINT.test(reader.text.slice(from))) while (readPrefix(reader, marks));
  if (!reader.take('(')) return readBareStroke(reader, book, from, false, marks);
  const stroke = readBareStroke(reader, book, reader.at, true, marks);
  if (!reader.take(')')) {
    reader.fault(from, reader.at, 'This feint is not closed.', 'a closing bracket `)`');
    return null;
  }
  const end = reader.at;
  if (!atStrokeEnd(reader)) {
    skipStroke(reader);
    const behind = reader.text.slice(end, reader.at);
    const inside = reader.text.slice(from, end - 1);
    reader.fault(
      end,
      reader.at,
      `Marks of a feint stand inside its brackets: write \`${inside}${behind})\`.`,
      'a gap',
    );
    return null;
  }
  return stroke && { ...stroke, feint: true, from, to: end };
}

const unmarked = (): Marks => ({
  by: 'fighter',
  side: null,
  conditional: false,
  keptUp: false,
  level: null,
  step: null,
  power: null,
  shout: false,
});

function readBareStroke(
  reader: LineReader,
  book: MoveBook,
  from: number,
  feint: boolean,
  marks: Marks,
): Stroke | null {
  const faultsBefore = reader.errors.length;
  while (readPrefix(reader, marks));
  const wordAt = reader.at;
  const word = reader.match(/\d+|\p{L}+/uy)?.[0];
  if (word === undefined) {
    skipStroke(reader);
    const written = reader.text.slice(wordAt, reader.at);
    const to = Math.max(reader.at, Math.min(wordAt + 1, reader.text.length));
    reader.fault(
      written === '' ? from : wordAt,
      to,
      written === '' ? 'A move is missing here.' : `\`${written}\` is no move.`,
      MOVE_EXPECTED,
    );
    return null;
  }
  const entry = findMove(book, word);
  if (!entry) faultUnknown(reader, book, word, wordAt);
  while (readSuffix(reader, marks));
  if (!atStrokeEnd(reader)) {
    const restAt = reader.at;
    skipStroke(reader);
    const rest = reader.text.slice(restAt, reader.at);
    reader.fault(
      restAt,
      reader.at,
      `\`${rest}\` cannot stand behind a move.`,
      'a level, a step, a mark, or a gap',
    );
  }
  if (entry && marks.keptUp && !isLegStrike(entry.move)) {
    reader.fault(
      from,
      reader.at,
      `\`^\` keeps a leg up, but ${entry.move.name.toLowerCase()} is no kick or knee.`,
      'a kick or a knee',
    );
  }
  if (reader.errors.length > faultsBefore) return null;
  return {
    kind: 'stroke',
    word: canonicalWord(word),
    ...marks,
    power: marks.power ?? 'normal',
    feint,
    from,
    to: reader.at,
  };
}

/** "03" calls the same number as "3". */
function canonicalWord(word: string): string {
  return /^\d/.test(word) ? String(Number(word)) : word;
}

function faultUnknown(reader: LineReader, book: MoveBook, word: string, at: number): void {
  if (/^\d/.test(word)) {
    const message =
      Number(word) < 1 || Number(word) > 99
        ? `${word.slice(0, 8)} cannot be a number: the map goes from 1 to 99.`
        : `The number map has no ${word}.`;
    reader.fault(at, reader.at, message, MOVE_EXPECTED);
    return;
  }
  const hint = wordFor(book, word);
  reader.fault(
    at,
    reader.at,
    `The move book has no \`${word.slice(0, 40)}\`.${hint ? ` Did you mean \`${hint}\`?` : ''}`,
    MOVE_EXPECTED,
    hint,
  );
}

function readPrefix(reader: LineReader, marks: Marks): boolean {
  const at = reader.at;
  const twice = (already: boolean): void => faultTwice(reader, at, already);
  if (reader.take('o:')) {
    twice(marks.by === 'holder');
    marks.by = 'holder';
  } else if (reader.take('f:') || reader.take('r:')) {
    twice(marks.side !== null);
    marks.side = reader.text[at] === 'f' ? 'front' : 'rear';
  } else if (reader.take('?')) {
    twice(marks.conditional);
    marks.conditional = true;
  } else if (reader.take('^')) {
    twice(marks.keptUp);
    marks.keptUp = true;
  } else return false;
  return true;
}

function readSuffix(reader: LineReader, marks: Marks): boolean {
  const at = reader.at;
  const twice = (already: boolean): void => faultTwice(reader, at, already);
  if (reader.take('@')) {
    const level = LEVELS[reader.peek()];
    if (level) reader.at += 1;
    else {
      reader.match(/[\p{L}\d]*/uy);
      reader.fault(
        at,
        reader.at,
        `\`${reader.text.slice(at, reader.at)}\` is no level.`,
        '`@h` head, `@b` body or `@l` low',
      );
      return true;
    }
    twice(marks.level !== null);
    marks.level = level;
  } else if (reader.take('>') || reader.take('<')) {
    twice(marks.step !== null);
    marks.step = reader.text[at] === '>' ? 'through' : 'back';
  } else if (reader.take('*') || reader.take("'")) {
    twice(marks.power !== null);
    marks.power = reader.text[at] === '*' ? 'full' : 'touch';
  } else if (reader.take('!')) {
    twice(marks.shout);
    marks.shout = true;
  } else return false;
  return true;
}

function faultTwice(reader: LineReader, at: number, already: boolean): void {
  if (!already) return;
  const mark = reader.text.slice(at, reader.at);
  reader.fault(at, reader.at, `\`${mark}\` stands here twice or against another mark.`, 'one mark of a kind');
}

function atStrokeEnd(reader: LineReader): boolean {
  return (
    reader.done || STROKE_END.test(reader.peek()) || /:\d/y.test(reader.text.slice(reader.at, reader.at + 2))
  );
}

/** Passes over the rest of a word that could not be read. */
function skipStroke(reader: LineReader): void {
  while (!atStrokeEnd(reader)) reader.at += 1;
}
