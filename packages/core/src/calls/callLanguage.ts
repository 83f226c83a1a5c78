import {
  numberOf,
  sideWord,
  type Lead,
  type Level,
  type Move,
  type MoveBook,
  type Side,
} from '../moves/index.ts';
import { numberWord } from './numberWords.ts';

/** Where a stroke goes while it is done: `forward` steps through, `back` steps back through. */
export type Travel = 'forward' | 'back';

/** What a call says of one stroke. */
export interface SaidStroke {
  readonly code: string;
  /** Null for a move of both sides, or of none. */
  readonly side: Side | null;
  /** Null for what is aimed at nothing. */
  readonly level: Level | null;
  readonly feint: boolean;
  readonly travel: Travel | null;
}

/** A stroke of a call with the move that it is. */
export interface CalledStroke extends Omit<SaidStroke, 'code'> {
  readonly move: Move;
}

/** How strokes are named: by their numbers where they have one, or always by their names. */
export type StrokeWords = 'numbers' | 'names';

const LEVELS: readonly Level[] = ['head', 'body', 'low'];
const TRAVELS: readonly (Travel | null)[] = [null, 'forward', 'back'];
/** Words of sides that a move's own name may hold, where they say nothing: the side is said by the call. */
const OF_SIDES = /^(?:front|lead|rear) (?=\S)/;

/**
 * The side on which a move is done where nothing is said of it; null where that is no question.
 *
 * @example
 * usualSide(walk('jab').strokes[0].move) // 'front'
 */
export function usualSide({ side }: Move): Side | null {
  return side.kind === 'fixed'
    ? side.side
    : side.kind === 'free' || side.kind === 'directed'
      ? side.usual
      : null;
}

/**
 * A spoken name without a word of a side in front: the call says the side.
 *
 * @example
 * withoutSide('Front snap kick') // 'snap kick'
 */
export function withoutSide(name: string): string {
  return name.toLowerCase().replace(OF_SIDES, '');
}

/** What is stepped while something else is done. */
const STEPPING: Readonly<Record<string, string>> = { step: 'stepping', slide: 'sliding' };
const STEPS = /^(step|slide)(?= )/;

/** A move's spoken names without a word of a side: the long one, and the short one; "stepping in" beside a strike. */
function namesOf({ say }: Move, isJoined: boolean): readonly string[] {
  const names = [say.long, say.short].map(withoutSide);
  return isJoined ? names.map((name) => name.replace(STEPS, (_, verb: string) => STEPPING[verb]!)) : names;
}

/** How calls name strokes in one round, or on one side of it. */
export interface CallStyleWords {
  readonly words: StrokeWords;
  readonly lead: Lead;
  /** Codes of moves that are done from both sides: their usual side is said too. */
  readonly bothSides?: ReadonlySet<string>;
  /** It is said behind another stroke of the same instant. */
  readonly isJoined?: boolean;
}

/**
 * The texts that say one stroke, longest first; each keeps the side, the height and the way where they are not the usual ones.
 *
 * @example
 * textsOf({ ...walk('r:hook@b').strokes[0], feint: false, travel: null }, book, { words: 'names', lead: 'left' })
 * // ['rear hook body']
 */
export function textsOf(stroke: CalledStroke, book: MoveBook, style: CallStyleWords): string[] {
  const { move, side, level, feint, travel } = stroke;
  const { words, lead, bothSides, isJoined = false } = style;
  const around = (name: string, before: string): string =>
    [feint ? 'fake' : '', before, name, level !== null && level !== move.level ? level : '', travel ?? '']
      .filter((word) => word !== '')
      .join(' ');
  const number = words === 'numbers' ? numberOf(book, move, side) : undefined;
  if (number !== undefined) return [around(numberWord(number), '')];
  const isSaid =
    side !== null && move.side.kind !== 'fixed' && (side !== usualSide(move) || bothSides?.has(move.code));
  const before = isSaid ? sideWord(side, book.sides, lead) : '';
  return [...new Set(namesOf(move, isJoined).map((name) => around(name, before)))];
}

/** Everything that may be said of one stroke. */
function everyStroke(book: MoveBook): CalledStroke[] {
  return [...book.moves.values()].flatMap((move) => {
    const usual = usualSide(move);
    const sides: (Side | null)[] =
      move.side.kind === 'free' || move.side.kind === 'directed' ? ['front', 'rear'] : [usual];
    const levels = [...new Set([move.level, ...LEVELS])];
    return sides.flatMap((side) =>
      levels.flatMap((level) =>
        TRAVELS.flatMap((travel) => [false, true].map((feint) => ({ move, side, level, feint, travel }))),
      ),
    );
  });
}

/** The meanings of every text that may be called. */
export type CallDictionary = ReadonlyMap<string, readonly SaidStroke[]>;

const known = new WeakMap<MoveBook, Map<string, CallDictionary>>();

/**
 * What every text of a gym's calls stands for. A text with more than one meaning is never called.
 *
 * @example
 * callDictionary(book, { words: 'names', lead: 'left' }).get('rear hook') // [{ code: 'hook', side: 'rear', level: 'head', feint: false, travel: null }]
 */
export function callDictionary(book: MoveBook, { words, lead }: CallStyleWords): CallDictionary {
  const key = book.sides === 'left-right' ? `${words} ${lead}` : words;
  const ofBook = known.get(book) ?? new Map<string, CallDictionary>();
  known.set(book, ofBook);
  let dictionary = ofBook.get(key);
  if (!dictionary) ofBook.set(key, (dictionary = buildDictionary(book, words, lead)));
  return dictionary;
}

const NO_MOVE: ReadonlySet<string> = new Set();

function buildDictionary(book: MoveBook, words: StrokeWords, lead: Lead): CallDictionary {
  const meanings = new Map<string, SaidStroke[]>();
  const all = new Set(book.moves.keys());
  for (const { move, ...said } of everyStroke(book)) {
    const stroke = { code: move.code, ...said };
    const texts = [NO_MOVE, all].flatMap((bothSides) =>
      [false, true].flatMap((isJoined) =>
        textsOf({ move, ...said }, book, { words, lead, bothSides, isJoined }),
      ),
    );
    for (const text of new Set(texts)) meanings.set(text, [...(meanings.get(text) ?? []), stroke]);
  }
  return meanings;
}

/**
 * The texts that say one stroke and nothing else, longest first; none where the gym's words leave no such text.
 *
 * @example
 * clearTexts({ ...walk('jab').strokes[0], feint: false, travel: null }, book, { words: 'names', lead: 'left' }) // ['jab']
 */
export function clearTexts(stroke: CalledStroke, book: MoveBook, style: CallStyleWords): string[] {
  const dictionary = callDictionary(book, style);
  return textsOf(stroke, book, style).filter((text) => dictionary.get(text)?.length === 1);
}
