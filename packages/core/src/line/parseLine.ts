import { findMove, isLegStrike, type MoveBook } from '../moves/index.ts';
import { HALF, ONE, QUARTER, fraction } from '../units/index.ts';
import {
  LINE_LIMITS,
  hasOwnLength,
  type BeatLine,
  type Entry,
  type Gap,
  type Group,
  type Item,
  type LineError,
  type ParsedLine,
  type Stroke,
} from './beatLine.ts';
import { LineReader } from './lineReader.ts';
import { readStroke } from './readStroke.ts';

const ITEM_EXPECTED = 'a move, a rest, a group or a bracket';
const ONE_BEAT: Gap = { kind: 'beats', beats: ONE };

/**
 * Reads the text of a combo with the gym's book. Never throws; reports every fault of the text in the order of its place.
 * Offsets count UTF-16 units, as editors do. What is read is kept with the book, so that the same text is read once.
 *
 * @example
 * parseLine('1 2', book).ok // true
 */
export function parseLine(text: string, book: MoveBook): ParsedLine {
  let known = linesOf.get(book);
  if (!known) linesOf.set(book, (known = new Map()));
  let parsed = known.get(text);
  if (!parsed) {
    if (known.size >= MOST_KEPT) known.clear();
    known.set(text, (parsed = readLine(text, book)));
  }
  return parsed;
}

/** A gym's combos and what is typed in an hour are some hundred lines. */
const MOST_KEPT = 2000;
const linesOf = new WeakMap<MoveBook, Map<string, ParsedLine>>();

function readLine(text: string, book: MoveBook): ParsedLine {
  if (text.length > LINE_LIMITS.characters) {
    return failed([
      {
        from: LINE_LIMITS.characters,
        to: text.length,
        message: `This line has ${text.length} characters; ${LINE_LIMITS.characters} is the most. Cut it into two combos.`,
        expected: `at most ${LINE_LIMITS.characters} characters`,
        hint: null,
      },
    ]);
  }
  const reader = new LineReader(text);
  const line = readEntries(reader, book, 0);
  if (line.entries.length === 0 && reader.errors.length === 0) {
    reader.fault(
      0,
      text.length,
      'The line is empty. Write a number or a move, for example `1 2`.',
      ITEM_EXPECTED,
    );
  }
  if (reader.errors.length === 0) checkSense(line, book, reader);
  return reader.errors.length > 0 ? failed(reader.errors) : { ok: true, line };
}

function failed(errors: readonly LineError[]): ParsedLine {
  return { ok: false, errors: [...errors].sort((a, b) => a.from - b.from || a.to - b.to) };
}

/** Reads items up to the end of the text or, inside a group, up to its closing brace. */
function readEntries(reader: LineReader, book: MoveBook, depth: number): BeatLine {
  const entries: Entry[] = [];
  let { comments } = reader.space();
  let gap: Gap | null = null;
  while (!reader.done && !(depth > 0 && reader.peek() === '}')) {
    const itemAt = reader.at;
    const item = readItem(reader, book, depth);
    if (reader.at === itemAt) reader.at += 1; // a fault was noted; never stand still
    if (item) entries.push({ gap, comments, item });
    const gapAt = reader.at;
    const next = readGap(reader, depth);
    if (next.end) return { entries, tail: next.comments };
    comments = next.comments;
    gap = next.gap;
    if (item && hasOwnLength(item)) {
      if (gap.kind === 'together') {
        reader.fault(
          gapAt,
          reader.at,
          'Nothing lands here, so nothing can land together with it.',
          'a space',
        );
      }
      gap = null;
    }
  }
  return { entries, tail: comments };
}

type NextGap =
  | { readonly end: true; readonly comments: string[] }
  | { readonly end: false; readonly comments: string[]; readonly gap: Gap };

function readGap(reader: LineReader, depth: number): NextGap {
  const at = reader.at;
  const { comments, any } = reader.space();
  if (reader.done || (depth > 0 && reader.peek() === '}')) return { end: true, comments };
  const markAt = reader.at;
  const gap = readGapMark(reader);
  if (gap === null) {
    if (!any && !/[)\]}]/.test(reader.peek()))
      reader.fault(at, at + 1, 'A gap is missing between these two.', 'a space, `-`, `=` or `+`');
    return { end: false, comments, gap: ONE_BEAT };
  }
  const mark = reader.text.slice(markAt, reader.at).trimEnd();
  const after = reader.space();
  comments.push(...after.comments);
  const spaceBehind = after.any && !mark.startsWith(':');
  if (reader.done || (depth > 0 && reader.peek() === '}')) {
    reader.fault(markAt, markAt + mark.length, `Nothing follows the \`${mark}\`.`, ITEM_EXPECTED);
    return { end: true, comments };
  }
  if (any || spaceBehind) {
    reader.fault(
      at,
      reader.at,
      `A space is a whole beat of its own. Write \`${mark}\` with no space around it, or only the space.`,
      'one gap between two items',
    );
  }
  return { end: false, comments, gap };
}

function readGapMark(reader: LineReader): Gap | null {
  if (reader.take('-')) return { kind: 'beats', beats: HALF };
  if (reader.take('=')) return { kind: 'beats', beats: QUARTER };
  if (reader.take('+')) return { kind: 'together' };
  if (reader.peek() !== ':') return null;
  const at = reader.at;
  const written = reader.match(/:(\d{1,4})\/(\d{1,4})/y);
  if (!written) {
    reader.match(/:[^\s]*/y);
    reader.fault(at, reader.at, 'This gap is not complete.', 'a gap such as `:3/4` and a space');
    return ONE_BEAT;
  }
  const [n, d] = [Number(written[1]), Number(written[2])];
  const { min, max } = LINE_LIMITS.gapPart;
  const inRange = (part: number): boolean => part >= min && part <= max;
  if (!inRange(n) || !inRange(d)) {
    reader.fault(at, reader.at, `Both numbers of a gap go from ${min} to ${max}.`, 'a gap such as `:3/4`');
    return ONE_BEAT;
  }
  if (!reader.done && !/[\s}]/.test(reader.peek())) {
    reader.fault(at, reader.at, 'A written gap needs a space after it.', 'a space');
  }
  return { kind: 'beats', beats: fraction(n, d) };
}

function readItem(reader: LineReader, book: MoveBook, depth: number): Item | null {
  const from = reader.at;
  switch (reader.peek()) {
    case '.':
      reader.at += 1;
      return { kind: 'rest', beats: ONE, from, to: reader.at };
    case ',':
      reader.at += 1;
      return { kind: 'rest', beats: HALF, from, to: reader.at };
    case '{':
      return readGroup(reader, book, depth);
    case '[':
      return readBracket(reader);
    case '}':
    case ')':
    case ']':
      reader.at += 1;
      reader.fault(from, reader.at, `This \`${reader.text[from]}\` closes nothing.`, ITEM_EXPECTED);
      return null;
    case '-':
    case '=':
    case '+':
      reader.at += 1;
      reader.fault(from, reader.at, `A gap stands here with no move before it.`, ITEM_EXPECTED);
      return null;
    default:
      return readStroke(reader, book);
  }
}

function readGroup(reader: LineReader, book: MoveBook, depth: number): Group | null {
  const from = reader.at;
  reader.at += 1;
  const faultsBefore = reader.errors.length;
  const inner = readEntries(reader, book, depth + 1);
  if (!reader.take('}')) {
    reader.fault(from, reader.at, 'This group is not closed.', 'a closing brace and a count, such as `}x3`');
    return null;
  }
  const bodyEnd = reader.at;
  if (depth >= LINE_LIMITS.nesting) {
    reader.fault(from, bodyEnd, `Groups may stand at most ${LINE_LIMITS.nesting} deep.`, 'a flatter line');
  }
  if (inner.entries.length === 0 && reader.errors.length === faultsBefore) {
    reader.fault(from, bodyEnd, 'This group is empty.', ITEM_EXPECTED);
  }
  const times = reader.match(/x(\d{1,6})/y);
  const { min, max } = LINE_LIMITS.repeats;
  if (!times) {
    reader.fault(from, bodyEnd, 'How often is this group done?', 'a count behind it, such as `}x3`');
    return null;
  }
  const count = Number(times[1]);
  if (count < min || count > max) {
    reader.fault(
      bodyEnd,
      reader.at,
      `A group is repeated ${min} to ${max} times.`,
      `a count from ${min} to ${max}`,
    );
  }
  return { kind: 'group', entries: inner.entries, tail: inner.tail, times: count, from, to: reader.at };
}

function readBracket(reader: LineReader): Item | null {
  const from = reader.at;
  const said = reader.match(/\[say\s*"([^"\n]*)"\s*\]/y);
  if (said) {
    const words = said[1]!.trim();
    if (words === '')
      reader.fault(from, reader.at, 'There is nothing to say here.', 'words between the quotes');
    return { kind: 'say', words, from, to: reader.at };
  }
  const moved = reader.match(/\[(free|hold)\s*(\d{1,6})\s*\]/y);
  if (moved) {
    const beats = Number(moved[2]);
    const { min, max } = LINE_LIMITS.bracketBeats;
    if (beats < min || beats > max) {
      reader.fault(from, reader.at, `This lasts ${min} to ${max} beats.`, `a length from ${min} to ${max}`);
    }
    return { kind: moved[1] as 'free' | 'hold', beats, from, to: reader.at };
  }
  reader.match(/\[[^\]\n]*\]?/y);
  reader.fault(
    from,
    reader.at,
    'This bracket cannot be read.',
    '`[free4]`, `[hold2]` or `[say "hands high"]`',
  );
  return null;
}

/** Rules about what stands before what, and the number of strokes; on a line that reads well. */
function checkSense(line: BeatLine, book: MoveBook, reader: LineReader): void {
  let before: Stroke | null = null;
  let fighterBefore: Stroke | null = null;
  const walk = (entries: readonly Entry[]): number => {
    let count = 0;
    for (const { item } of entries) {
      if (item.kind === 'group') count += walk(item.entries) * item.times;
      if (item.kind !== 'stroke') continue;
      count += 1;
      if (item.conditional && before === null) {
        reader.fault(
          item.from,
          item.to,
          'Nothing landed before this, so `?` has nothing to wait for.',
          'a stroke before it',
        );
      }
      const kick = fighterBefore && findMove(book, fighterBefore.word)?.move;
      if (item.keptUp && !(kick && isLegStrike(kick))) {
        reader.fault(
          item.from,
          item.to,
          'No leg is up here: `^` needs a kick just before it.',
          'a kick before it',
        );
      }
      before = item;
      if (item.by === 'fighter') fighterBefore = item;
    }
    return count;
  };
  const strokes = walk(line.entries);
  if (strokes > LINE_LIMITS.strokes) {
    reader.fault(
      0,
      reader.text.length,
      `With its repeats this line has ${strokes} strokes; ${LINE_LIMITS.strokes} is the most.`,
      'fewer repeats',
    );
  }
}
