import { bodySide, walkStance } from '../../body/index.ts';
import { formatLine, parseLine, type BeatLine, type Entry, type Gap, type Stroke } from '../../line/index.ts';
import {
  isLegStrike,
  isStrike,
  numberOf,
  type Lead,
  type Move,
  type MoveBook,
  type Side,
} from '../../moves/index.ts';
import { HALF, ONE } from '../../units/index.ts';
import type { Before } from './signs.ts';

/** The line that is written while words are read. */
export class WordLine {
  private readonly entries: Entry[] = [];
  private readonly book: MoveBook;
  private readonly lead: Lead;

  constructor(book: MoveBook, lead: Lead) {
    this.book = book;
    this.lead = lead;
  }

  get isEmpty(): boolean {
    return this.entries.length === 0;
  }

  text(): string {
    return formatLine({ entries: this.entries, tail: [] });
  }

  /** The lead that stands behind what is written so far. */
  now(): Lead {
    const parsed = this.isEmpty ? null : parseLine(this.text(), this.book);
    return parsed?.ok ? walkStance(parsed.line, this.book, this.lead).end.lead : this.lead;
  }

  frontOrRear(side: Side | Lead): Side {
    if (side === 'front' || side === 'rear') return side;
    return bodySide('front', this.now()) === side ? 'front' : 'rear';
  }

  /** What was written in the notation. */
  addRaw(line: BeatLine): void {
    for (const [i, entry] of line.entries.entries())
      this.entries.push(i === 0 ? { ...entry, gap: this.entries.length === 0 ? null : A_BEAT } : entry);
  }

  /** A stroke with what was said of it; `step` is where it travels. */
  add(move: Move, side: Side | null, before: Before, step: Stroke['step']): void {
    const { feint, holder, conditional, keptUp, times, power, level, joined } = before;
    const own =
      side ??
      (move.side.kind === 'fixed' ? move.side.side : move.side.kind === 'free' ? move.side.usual : null);
    const number = move.side.kind === 'directed' ? undefined : numberOf(this.book, move, own);
    const isUsual =
      (move.side.kind === 'free' || move.side.kind === 'directed') &&
      (side === null || side === move.side.usual);
    const stroke: Stroke = {
      ...{ kind: 'stroke', from: 0, to: 0, by: holder ? 'holder' : 'fighter', shout: false, feint },
      word: number === undefined ? move.code : String(number),
      side: number !== undefined || isUsual || move.side.kind === 'fixed' ? null : side,
      level: level === null || level === move.level ? null : level,
      conditional: conditional && this.entries.length > 0,
      // Of a hand it is a fault, and told as such.
      keptUp,
      step,
      power: power ?? 'normal',
    };
    for (let i = 0; i < times; i++) {
      const isQuick = i > 0 && isStrike(move) && !isLegStrike(move);
      const gap: Gap = joined && i === 0 ? TOGETHER : isQuick ? HALF_BEAT : A_BEAT;
      this.entries.push({ gap: this.entries.length === 0 ? null : gap, comments: [], item: stroke });
    }
  }
}

const A_BEAT: Gap = { kind: 'beats', beats: ONE };
const HALF_BEAT: Gap = { kind: 'beats', beats: HALF };
const TOGETHER: Gap = { kind: 'together' };
