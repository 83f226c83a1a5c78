import { isLegStrike, type Level, type Move, type MoveBook, type Side } from '../../moves/index.ts';
import { withoutSide } from '../callLanguage.ts';
import { numberWord } from '../numberWords.ts';

/** What a name that coaches use stands for. */
export interface NamedMove {
  readonly move: Move;
  /** Where the name says it by itself, as "low kick". */
  readonly level: Level | null;
}

/** What may be said of moves in words, by words in lower case with a space between them. */
export interface Lexicon {
  readonly names: ReadonlyMap<string, readonly NamedMove[]>;
  /** "Kick" and the like, which name more than one move. */
  readonly families: ReadonlyMap<string, readonly Move[]>;
  readonly numbers: ReadonlyMap<string, number>;
  /** Every single word of the above, for slips of the pen. */
  readonly words: ReadonlySet<string>;
  /** Most words of a name. */
  readonly longest: number;
}

/** Common names that are no name of the book, with what they mean there; those of moves that a book lacks are left out. */
const ALSO: readonly (readonly [said: string, code: string, level?: Level])[] = [
  ['roundhouse', 'round'],
  ['roundhouse kick', 'round'],
  ['front kick', 'push'],
  ['front push kick', 'push'],
  ['low kick', 'round', 'low'],
  ['leg kick', 'round', 'low'],
  ['body kick', 'round', 'body'],
  ['middle kick', 'round', 'body'],
  ['high kick', 'round', 'head'],
  ['switch feet', 'sw'],
  ['switch stance', 'sw'],
  ['change feet', 'sw'],
  ['sidestep left', 'left'],
  ['sidestep right', 'right'],
  ['knee strike', 'knee'],
  ['elbow strike', 'elbow'],
  ['hammer', 'hammer'],
  ['hammerfist', 'hammer'],
  ['back fist', 'backfist'],
  ['slide', 'skip'],
];
/** Words that name a family, and which moves are meant. */
const FAMILIES: readonly (readonly [said: string, isMeant: (move: Move) => boolean])[] = [
  ['kick', ({ family }) => family === 'kick'],
  ['punch', ({ family }) => family === 'punch'],
  ['strike', ({ family }) => family === 'punch' || family === 'open-hand'],
  ['spin', ({ spin, ...move }) => spin > 0 && isLegStrike({ spin, ...move })],
  ['block', ({ family }) => family === 'block'],
  ['step', ({ family, side, facing }) => family === 'step' && side.kind === 'none' && facing === 0],
  ['turn', ({ family, facing }) => family === 'step' && facing !== 0],
];
const MOST_NUMBER = 99;

/** Words alone: letters and digits in lower case, everything else a space. */
export const plainWords = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d']+/u)
    .filter(Boolean);

const known = new WeakMap<MoveBook, Lexicon>();

/** The words of a gym's book. */
export function lexiconOf(book: MoveBook): Lexicon {
  let lexicon = known.get(book);
  if (!lexicon) known.set(book, (lexicon = buildLexicon(book)));
  return lexicon;
}

function buildLexicon(book: MoveBook): Lexicon {
  const names = new Map<string, NamedMove[]>();
  const add = (said: string, move: Move, level: Level | null = null): void => {
    const key = plainWords(said).join(' ');
    const there = names.get(key) ?? [];
    if (key !== '' && !there.some((each) => each.move === move)) names.set(key, [...there, { move, level }]);
  };
  for (const move of book.moves.values()) {
    const own = [move.name, move.say.long, move.say.short, ...move.aliases];
    for (const name of [...own, ...own.map(withoutSide)]) add(name, move);
  }
  // What a code or a common name means only where nothing is called so.
  for (const move of book.moves.values()) if (!names.has(move.code)) add(move.code, move);
  for (const [said, code, level = null] of ALSO) {
    const move = book.moves.get(code);
    if (move && !names.has(said)) add(said, move, level);
  }
  const families = new Map(
    FAMILIES.flatMap(([said, isMeant]) => {
      const moves = [...book.moves.values()].filter(isMeant);
      return moves.length > 0 && !names.has(said) ? [[said, moves] as const] : [];
    }),
  );
  const numbers = new Map(
    Array.from({ length: MOST_NUMBER }, (_, i) => [plainWords(numberWord(i + 1)).join(' '), i + 1] as const),
  );
  const words = new Set(
    [...names.keys(), ...families.keys(), ...numbers.keys()].flatMap((each) => each.split(' ')),
  );
  const longest = Math.max(...[...names.keys()].map((each) => each.split(' ').length));
  return { names, families, numbers, words, longest };
}

/** The straight of a hand: the first punch of the book that is done from this side alone. */
export function straightOf(book: MoveBook, side: Side): Move | undefined {
  return [...book.moves.values()].find(
    (move) => move.family === 'punch' && move.side.kind === 'fixed' && move.side.side === side,
  );
}
