/** A line in words, as a coach says it, read as a beat line. */
import { parseLine } from '../../line/index.ts';
import { nearestWord, sideWord, type Lead, type Move, type MoveBook, type Side } from '../../moves/index.ts';
import { lexiconOf, straightOf, type Lexicon, type NamedMove } from './lexicon.ts';
import { FILLERS, HANDS, JOINED, LEVEL_WORDS, POWER, SIDE_WORDS, TIMES, nothing } from './signs.ts';
import { WordLine } from './wordLine.ts';
import { partsOf, type Word } from './wordsOf.ts';

/** A place of the text that may mean several things, or nothing that is known. */
export interface WordDoubt {
  /** Character offsets in the text, `to` exclusive. */
  readonly from: number;
  readonly to: number;
  readonly message: string;
  /** What could stand there instead, in words that are read. */
  readonly choices: readonly string[];
}

export interface WordsRead {
  /** The beat line; null while something is in doubt. */
  readonly line: string | null;
  readonly doubts: readonly WordDoubt[];
  /** Words that were taken for others that are nearly alike: "crss" for "cross". */
  readonly corrected: readonly { readonly from: string; readonly to: string }[];
}

const MOST_CHOICES = 6;
/** Words of fewer letters are not taken for others. */
const SHORTEST_SLIP = 4;

/**
 * Reads what a coach says or types in words: names of moves and numbers, sides, heights, "double", "fake", "if it lands", with
 * commas, "and" or "then" between them or nothing at all; what is written in the notation among them stays. Whatever may mean two
 * things is in doubt, and never guessed.
 *
 * @example
 * readWords('jab cross switch, lead round kick', book, 'left').line // '1 2 sw f:round'
 */
export function readWords(text: string, book: MoveBook, lead: Lead): WordsRead {
  return new WordReader(book, lead).read(text);
}

class WordReader {
  private readonly lexicon: Lexicon;
  private readonly line: WordLine;
  private readonly doubts: WordDoubt[] = [];
  private readonly corrected: { from: string; to: string }[] = [];
  private before = nothing();
  private readonly book: MoveBook;

  constructor(book: MoveBook, lead: Lead) {
    this.book = book;
    this.line = new WordLine(book, lead);
    this.lexicon = lexiconOf(book);
  }

  read(text: string): WordsRead {
    for (const part of partsOf(text, this.book)) this.readPart(part);
    this.leftOver();
    const isClear = this.doubts.length === 0 && !this.line.isEmpty;
    const line = isClear ? this.line.text() : null;
    const parsed = line === null ? null : parseLine(line, this.book);
    if (parsed && !parsed.ok)
      this.doubts.push({ from: 0, to: text.length, message: parsed.errors[0]!.message, choices: [] });
    return { line: parsed?.ok ? line : null, doubts: this.doubts, corrected: this.corrected };
  }

  private readPart(part: readonly Word[]): void {
    for (let at = 0; at < part.length;) at += this.readAt(part, at);
  }

  /** Reads what begins at this word; how many words it was. */
  private readAt(part: readonly Word[], at: number): number {
    const word = part[at]!;
    if (word.raw) {
      this.line.addRaw(word.raw);
      return 1;
    }
    return (
      this.leadSaid(part, at) ||
      this.twoWords(part, at) ||
      this.name(part, at) ||
      this.sign(part, at) ||
      this.unknown(part, at)
    );
  }

  /** "Right lead", said of what stands anyhow. */
  private leadSaid(part: readonly Word[], at: number): number {
    const isSide = /^(?:left|right)$/.test(part[at]!.text);
    return isSide && part[at + 1]?.text === 'lead' && at + 2 === part.length ? 2 : 0;
  }

  private twoWords(part: readonly Word[], at: number): number {
    const said = (words: string): boolean => words.split(' ').every((word, i) => part[at + i]?.text === word);
    if (said('if it lands') || said('if it landed')) {
      if (this.line.isEmpty) this.doubt(part.slice(at, at + 3), 'Nothing stands before that could land.', []);
      this.before.conditional = true;
    } else if (said('same leg')) this.before.keptUp = true;
    else if (said('full power')) this.before.power = 'full';
    else return 0;
    this.before.from ??= part[at]!;
    return said('same leg') || said('full power') ? 2 : 3;
  }

  /** The longest name that begins here; a word of a side alone is none where a name follows it. */
  private name(part: readonly Word[], at: number): number {
    const verb = JOINED[part[at]!.text];
    const words = part.slice(at).map(({ text }, i) => (i === 0 ? (verb ?? text) : text));
    for (let length = Math.min(this.lexicon.longest, words.length); length >= 1; length--) {
      const said = words.slice(0, length).join(' ');
      const found = this.found(said);
      if (!found) continue;
      if (length === 1 && this.isSign(part, at)) break;
      if (verb) this.before.joined = true;
      const taken = this.trailing(part, at + length, found.kind === 'moves' ? found.named[0]!.move : null);
      if (found.kind === 'number') this.putNumber(found.number, part.slice(at, at + length));
      else if (found.kind === 'family') this.doubtFamily(found.moves, part.slice(at, at + length));
      else this.putNamed(found.named, part.slice(at, at + length));
      return length + taken;
    }
    return this.straight(part, at);
  }

  private found(said: string) {
    const single = said.replace(/(?<=[^s])s$/, '');
    for (const each of [said, single]) {
      const named = this.lexicon.names.get(each);
      if (named) return { kind: 'moves', named } as const;
      const moves = this.lexicon.families.get(each);
      if (moves) return { kind: 'family', moves } as const;
    }
    const number = this.lexicon.numbers.get(said) ?? (/^\d+$/.test(said) ? Number(said) : undefined);
    return number === undefined ? null : ({ kind: 'number', number } as const);
  }

  /** Whether a single word that is a name as well says something of the name behind it. */
  private isSign(part: readonly Word[], at: number): boolean {
    const { text } = part[at]!;
    if (SIDE_WORDS[text] !== undefined) return true;
    return LEVEL_WORDS[text] !== undefined && part[at + 1] !== undefined;
  }

  /** "Left hand", "LH", "straight right", "rear straight": the straight of that hand. */
  private straight(part: readonly Word[], at: number): number {
    const [word, next] = [part[at]!, part[at + 1]];
    const hand = HANDS[word.text];
    if (hand) return this.putStraight(hand, part, at, 1);
    const side = SIDE_WORDS[word.text];
    if (side && (next?.text === 'hand' || next?.text === 'straight') && this.nameLength(part, at + 1) < 2)
      return this.putStraight(side, part, at, 2);
    if (word.text !== 'straight') return 0;
    const after = next && SIDE_WORDS[next.text];
    if (after) return this.putStraight(after, part, at, 2);
    return this.before.side ? this.putStraight(this.before.side, part, at, 1) : 0;
  }

  private putStraight(side: Side | Lead, part: readonly Word[], at: number, length: number): number {
    const move = straightOf(this.book, this.line.frontOrRear(side));
    if (!move) return 0;
    const taken = this.trailing(part, at + length, null);
    this.before.side = null;
    this.put(move, this.line.frontOrRear(side));
    return length + taken;
  }

  /** Words that say something of the name that comes. */
  private sign(part: readonly Word[], at: number): number {
    const { text } = part[at]!;
    const { before } = this;
    const side = SIDE_WORDS[text];
    const level = LEVEL_WORDS[text];
    if (side) {
      if (before.side !== null)
        this.doubt([part[at]!], `No move follows “${before.from?.text ?? text}”.`, []);
      before.side = side;
    } else if (level && at + 1 < part.length) before.level = level;
    else if (TIMES[text]) before.times = TIMES[text];
    else if (POWER[text]) before.power = POWER[text];
    else if (/^(?:fake|feint|feinted)$/.test(text)) before.feint = true;
    else if (/^(?:throws?|holder|opponent|partner)$/.test(text)) before.holder = true;
    else if (/^shows?$/.test(text)) before.holder = before.feint = true;
    else if (text === 'flying') before.keptUp = true;
    else if (!FILLERS.has(text)) return 0;
    before.from ??= part[at]!;
    return 1;
  }

  /** What is said behind a name and belongs to it; how many words that was. */
  private trailing(part: readonly Word[], from: number, move: Move | null): number {
    let at = from;
    const { before } = this;
    for (;;) {
      const word = part[at]?.text;
      if (word === undefined) break;
      const to = /^(?:to|at|on)$/.test(word) ? (part[at + 1]?.text === 'the' ? 2 : 1) : 0;
      const level = LEVEL_WORDS[part[at + to]?.text ?? ''];
      const isLast = this.endsHere(part, at + to + 1);
      if (level && (to > 0 || isLast)) {
        before.level = level;
        at += to + 1;
      } else if (word === 'forward' || (word === 'stepping' && part[at + 1]?.text === 'through')) {
        this.travel = 'through';
        at += word === 'forward' ? 1 : 2;
      } else if (/^back(?:wards)?$/.test(word) && this.endsHere(part, at + 1)) {
        this.travel = 'back';
        at += 1;
      } else if (POWER[word] && isLast) {
        before.power = POWER[word]!;
        at += 1;
      } else if (
        /^(?:left|right)$/.test(word) &&
        (move?.side.kind === 'directed' || (move?.side.kind === 'free' && at + 1 === part.length)) &&
        !this.beginsName(part, at + 1) &&
        part[at + 1]?.text !== 'lead'
      ) {
        this.after = word as Lead;
        at += 1;
      } else break;
    }
    return at - from;
  }
  private travel: 'through' | 'back' | null = null;
  /** A side that was said behind the name. */
  private after: Lead | null = null;

  /** Whether no name begins here: the part is over, or only says the way. */
  private endsHere(part: readonly Word[], at: number): boolean {
    const isWay = at + 1 === part.length && /^(?:forward|back)$/.test(part[at]!.text);
    return at >= part.length || isWay || !this.beginsName(part, at);
  }

  private beginsName(part: readonly Word[], at: number): boolean {
    return this.nameLength(part, at) > 0 || (part[at]?.raw ?? null) !== null;
  }

  /** How many words the longest name has that begins here; 0 without any. */
  private nameLength(part: readonly Word[], at: number): number {
    const words = part.slice(at, at + this.lexicon.longest).map(({ text }) => text);
    for (let length = words.length; length >= 1; length--)
      if (this.found(words.slice(0, length).join(' '))) return length;
    return 0;
  }

  private putNumber(number: number, words: readonly Word[]): void {
    const entry = this.book.numbers.get(number);
    const move = entry && this.book.moves.get(entry.code);
    if (!move) return this.doubt(words, `The gym's number map has no ${number}.`, []);
    if (entry.side !== null && this.before.side === null && this.after === null)
      return this.put(move, entry.side);
    this.putNamed([{ move, level: null }], words);
  }

  private putNamed(named: readonly NamedMove[], words: readonly Word[]): void {
    const [first, ...others] = named;
    const { before, after } = this;
    const said = after ?? before.side;
    if (others.length > 0)
      return this.doubt(
        words,
        `More than one move is called “${textOf(words)}”. Which one?`,
        this.namesOf(named.map(({ move }) => move)),
      );
    const { move, level } = first!;
    before.level ??= level;
    if (said === null) return this.put(move, null);
    const side = this.line.frontOrRear(said);
    const kind = move.side.kind;
    if (kind === 'free' || kind === 'directed') return this.put(move, side);
    if (move.side.kind === 'fixed' && move.side.side === side) return this.put(move, null);
    const [from] = before.from ? [before.from] : words;
    const other = straightOf(this.book, side);
    const name = move.name.toLowerCase();
    this.doubt(
      [from!, ...words],
      kind === 'fixed' ? `The ${name} comes from the other side.` : `The ${name} has no side.`,
      [name, ...(kind === 'fixed' && other ? [other.name.toLowerCase()] : [])],
    );
  }

  private doubtFamily(moves: readonly Move[], words: readonly Word[]): void {
    const easiest = moves.toSorted((a, b) => Number(a.minGrade !== null) - Number(b.minGrade !== null));
    this.doubt(words, `Which ${textOf(words)}?`, this.namesOf(easiest));
  }

  private namesOf(moves: readonly Move[]): string[] {
    return moves.slice(0, MOST_CHOICES).map(({ name }) => name.toLowerCase());
  }

  private put(move: Move, side: Side | null): void {
    this.line.add(move, side, this.before, this.travel);
    this.done();
  }

  private done(): void {
    this.before = nothing();
    this.travel = null;
    this.after = null;
  }

  private unknown(part: readonly Word[], at: number): number {
    const word = part[at]!;
    // What is so short is rather a word that coaches say than a slip: "to" is not "two".
    const isLong = word.text.length >= SHORTEST_SLIP;
    const near = isLong
      ? nearestWord(word.text, [...this.lexicon.words, ...Object.keys(SIDE_WORDS), 'double', 'switch'])
      : null;
    if (near !== null && near !== word.text) {
      this.corrected.push({ from: word.text, to: near });
      return this.readAt(part.with(at, { ...word, text: near }), at);
    }
    this.doubt([word], `“${word.text}” is not a move in the book.`, []);
    return 1;
  }

  private doubt(words: readonly Word[], message: string, choices: readonly string[]): void {
    const [first, last] = [words[0]!, words.at(-1)!];
    this.doubts.push({ from: first.from, to: last.to, message, choices });
    this.done();
  }

  /** A side or a mark that no name came behind. */
  private leftOver(): void {
    const { from, side } = this.before;
    if (!from) return;
    const own = side === null ? null : this.line.frontOrRear(side);
    const straight = own && straightOf(this.book, own);
    const hand = own && `${sideWord(own, this.book.sides, this.line.now())} straight`;
    const steps = side === 'left' || side === 'right' ? [`step ${side}`] : [];
    this.doubt([from], `No move follows “${from.text}”.`, straight && hand ? [hand, ...steps] : []);
  }
}

const textOf = (words: readonly Word[]): string => words.map(({ text }) => text).join(' ');
