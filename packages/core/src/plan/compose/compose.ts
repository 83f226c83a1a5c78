import { walkStance, type Audience } from '../../body/index.ts';
import { parseLine } from '../../line/index.ts';
import { isStrike, sideWord, type MoveBook } from '../../moves/index.ts';
import { cleanTempos } from '../../tempo/index.ts';
import { pick, seededRandom, toNumber, type Bpm, type RandomSource } from '../../units/index.ts';
import { isHand, isSensible } from './goodSense.ts';
import { STRIKING_LIMBS, judgeLine, limbsOf, type LimbCount, type LineJudgement } from './judgeLine.ts';
import { knownStrokes, type KnownStroke } from './knownStrokes.ts';
import { likeness, signature, strokesAlike } from './likeness.ts';

/** A combo that exists, by the name that a coach knows it by. */
export interface ExistingLine {
  readonly name: string;
  readonly line: string;
}

/** What new lines are wanted. */
export interface ComposeWish {
  /** The lines that these people train: what they know, and what is trained much or little. */
  readonly trained: readonly ExistingLine[];
  /** Lines that a new one must not be like, beside those. */
  readonly others: readonly ExistingLine[];
  readonly audience: Audience;
  /** The tempo at which they have to be clean, again and again. */
  readonly bpm: Bpm;
  /** The pace of the gym: how many times as long as at sharp pace a body needs. */
  readonly factor: number;
  /** Strokes in a line, 2 to 6; from three to five when null. */
  readonly strokes: number | null;
  /** Code of a move that has to be in it; null for none. */
  readonly must: string | null;
  /** How many lines at most. */
  readonly count: number;
}

/** A new line, and why. */
export interface ComposedLine {
  readonly line: string;
  readonly cleanBpm: Bpm;
  /** One sentence each. */
  readonly why: readonly string[];
}

/** Lines that are tried; a few hundredths of a second for each hundred. */
const TRIES = 1500;
/** Lines that have more than this in common are the same idea. */
const TOO_LIKE = 0.7;
const LENGTHS = [3, 4, 5] as const;
/** What a line is worth, by its parts. */
const WORTH = { turns: 0.2, room: 0.1, shape: 0.2, heights: 0.1, balance: 0.2, other: 0.2 } as const;
/** How often a second hand follows half a beat behind the first, for people who know halves. */
const QUICK_SHARE = 0.3;

/**
 * New lines of strokes that these people know, the best first: those that flow, work what is trained least, change the height
 * and are unlike what there is. Every one is clean at the tempo again and again, and nothing speaks against it for them. Another
 * seed gives others; fewer than asked for, or none, where what is known gives no more.
 *
 * @param seed a whole number
 *
 * @example
 * compose({ trained: [{ name: 'Ebb 1', line: '1 2 r:round' }], others: [], audience: ANYBODY, bpm: 60, factor: 1.25, strokes: 3, must: null, count: 2 }, book, 1).length // 2
 */
export function compose(wish: ComposeWish, book: MoveBook, seed: number): ComposedLine[] {
  const known = knownStrokes(
    wish.trained.map(({ line }) => line),
    book,
    wish.audience,
  );
  const strikes = known.filter(({ move }) => isStrike(move));
  if (strikes.length < 2) return [];
  const existing = [...wish.trained, ...wish.others].flatMap(({ name, line }) => {
    const parsed = parseLine(line, book);
    return parsed.ok ? [{ name, strokes: signature(parsed.line, book) }] : [];
  });
  const trained = limbsTrained(wish.trained, book);
  const knowsHalves = wish.trained.some(({ line }) => hasHalves(line, book));
  const cleanUpTo = cleanTempos(book);
  const random = seededRandom(seed);
  const found = new Map<string, Found>();
  for (let i = 0; i < TRIES; i++) {
    const text = drawn(random, known, strikes, wish, knowsHalves);
    if (text === null || found.has(text)) continue;
    const parsed = parseLine(text, book);
    if (!parsed.ok) continue;
    const strokes = signature(parsed.line, book);
    const nearest = nearestOf(strokes, existing);
    if (nearest.likeness > TOO_LIKE) continue;
    const judged = judgeLine(parsed.line, book, { ...wish, trained, cleanUpTo });
    if (judged) found.set(text, { text, strokes, nearest, judged, worth: worthOf(judged, nearest, wish) });
  }
  return theBest([...found.values()], wish.count).map(({ text, nearest, judged }) => ({
    line: text,
    cleanBpm: judged.cleanBpm,
    why: whyOf(judged, nearest, trained, book),
  }));
}

interface Nearest {
  readonly name: string | null;
  readonly alike: number;
  /** 0 to 1. */
  readonly likeness: number;
}

interface Found {
  readonly text: string;
  readonly strokes: readonly string[];
  readonly nearest: Nearest;
  readonly judged: LineJudgement;
  readonly worth: number;
}

function hasHalves(text: string, book: MoveBook): boolean {
  const parsed = parseLine(text, book);
  return (
    parsed.ok &&
    walkStance(parsed.line, book, 'left').strokes.some(({ beat }) => !Number.isInteger(toNumber(beat)))
  );
}

function limbsTrained(lines: readonly ExistingLine[], book: MoveBook): LimbCount {
  return limbsOf(
    lines.flatMap(({ line }) => {
      const parsed = parseLine(line, book);
      return parsed.ok
        ? walkStance(parsed.line, book, 'left').strokes.filter(({ move }) => isStrike(move))
        : [];
    }),
  );
}

/** A line by chance that a coach might say; null where this draw made none. */
function drawn(
  random: RandomSource,
  known: readonly KnownStroke[],
  strikes: readonly KnownStroke[],
  { strokes, must }: ComposeWish,
  knowsHalves: boolean,
): string | null {
  const length = strokes ?? pick(random, LENGTHS);
  const line: KnownStroke[] = [];
  while (line.length < length) {
    const isEnd = line.length === 0 || line.length === length - 1;
    line.push(pick(random, isEnd ? strikes : known));
  }
  const isWanted = must === null || line.some(({ move }) => move.code === must);
  if (!isWanted || !isSensible(line)) return null;
  return line
    .map((stroke, i) => {
      const before = line[i - 1];
      if (!before) return stroke.text;
      const isPair = isHand(before) && isHand(stroke) && knowsHalves;
      return (isPair && random() < QUICK_SHARE ? '-' : ' ') + stroke.text;
    })
    .join('');
}

function nearestOf(
  strokes: readonly string[],
  existing: readonly { readonly name: string; readonly strokes: readonly string[] }[],
): Nearest {
  let nearest: Nearest = { name: null, alike: 0, likeness: 0 };
  for (const other of existing) {
    const much = likeness(strokes, other.strokes);
    if (much > nearest.likeness)
      nearest = { name: other.name, alike: strokesAlike(strokes, other.strokes), likeness: much };
  }
  return nearest;
}

function worthOf(judged: LineJudgement, nearest: Nearest, { bpm }: ComposeWish): number {
  const room = Math.min(1, judged.cleanBpm / bpm - 1);
  return (
    WORTH.turns * judged.turns +
    WORTH.room * room +
    WORTH.shape * judged.shape +
    WORTH.heights * judged.heights +
    WORTH.balance * judged.balance +
    WORTH.other * (1 - nearest.likeness)
  );
}

/** The best, then the best that is another idea than those before. */
function theBest(found: readonly Found[], count: number): Found[] {
  const ranked = found.toSorted((a, b) => b.worth - a.worth || a.text.localeCompare(b.text));
  const chosen: Found[] = [];
  for (const each of ranked) {
    if (chosen.length === count) break;
    if (chosen.every(({ strokes }) => likeness(strokes, each.strokes) <= TOO_LIKE)) chosen.push(each);
  }
  return chosen;
}

function whyOf(judged: LineJudgement, nearest: Nearest, trained: LimbCount, book: MoveBook): string[] {
  const turns =
    judged.turns === 1
      ? 'Left and right take turns'
      : judged.turns >= 0.5
        ? 'Left and right mostly take turns'
        : 'One side does more of it';
  const heights =
    judged.heights === 0
      ? 'All at one height.'
      : judged.heights === 1
        ? 'The height changes with every strike.'
        : 'The height changes.';
  return [
    `${turns}; clean up to ${judged.cleanBpm} a minute.`,
    ...(judged.shape === 1 ? ['Opens quick and ends heavy.'] : []),
    ...worksLeast(judged.limbs, trained, book),
    heights,
    nearest.name === null
      ? 'Nothing like it in the book.'
      : `Nearest is ${nearest.name}: ${nearest.alike === 1 ? 'one stroke is' : `${nearest.alike} strokes are`} the same.`,
  ];
}

/** The limb of the line that is trained least, where that is less than its quarter. */
function worksLeast(limbs: LimbCount, trained: LimbCount, book: MoveBook): string[] {
  const all = STRIKING_LIMBS.reduce((sum, limb) => sum + trained[limb], 0);
  const [least] = STRIKING_LIMBS.filter((limb) => limbs[limb] > 0).sort((a, b) => trained[a] - trained[b]);
  if (!least || all === 0 || trained[least] * STRIKING_LIMBS.length >= all) return [];
  const [body, limb] = least.split('-') as ['left' | 'right', string];
  const side = sideWord(body === 'left' ? 'front' : 'rear', book.sides, 'left');
  const share = trained[least] === 0 ? 'no strike at all' : `${trained[least]} of ${all} strikes`;
  return [`Works the ${side} ${limb}, which does ${share} in what they train.`];
}
