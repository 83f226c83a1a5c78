import { isFlown, type Walk, type WalkedStroke } from '../../../body/index.ts';
import {
  spokenTogether,
  type CallStyleWords,
  type CallWords,
  type SpokenStroke,
  type SpokenText,
  type StrokeWords,
} from '../../../calls/index.ts';
import { isStrike, type MoveBook } from '../../../moves/index.ts';

/** A call of a line: the first stroke of those that it says, the last of them, and what can be said for them, longest first. */
export interface LineCall {
  readonly stroke: WalkedStroke;
  readonly last: WalkedStroke;
  /** Whether somebody's feet change by it, which nobody may miss. */
  readonly switches: boolean;
  readonly forms: readonly string[];
  /** What each of the texts leaves out, for those that do. */
  readonly lacks: ReadonlyMap<string, readonly string[]>;
}

/** What is called in a line, to the fighter or to the holder. */
export type FormsOf = (walk: Walk, toHolder: boolean) => readonly LineCall[];

/** Finds the calls of each walk once, however often it comes. */
export function strokeFormsOf(book: MoveBook, words: CallWords): FormsOf {
  let byWords = known.get(book);
  if (!byWords) known.set(book, (byWords = new Map()));
  let formsOf = byWords.get(words);
  if (!formsOf) byWords.set(words, (formsOf = findOnce(book, words === 'numbers' ? 'numbers' : 'names')));
  return formsOf;
}

const known = new WeakMap<MoveBook, Map<CallWords, FormsOf>>();

function findOnce(book: MoveBook, words: StrokeWords): FormsOf {
  const [ofFighter, ofHolder] = [new WeakMap<Walk, LineCall[]>(), new WeakMap<Walk, LineCall[]>()];
  return (walk, toHolder) => {
    const found = toHolder ? ofHolder : ofFighter;
    let calls = found.get(walk);
    // A holder is told names, whatever the fighters count in: he throws and holds, and does no numbers.
    if (!calls)
      found.set(
        walk,
        (calls = toHolder
          ? callsOf(walk, isForHolder, book, 'names')
          : callsOf(walk, isForFighter, book, words)),
      );
    return calls;
  };
}

/** The fighter is called his own strokes. */
export const isForFighter = ({ stroke }: WalkedStroke): boolean => stroke.by === 'fighter';
/** The holder is called everything that he holds a pad for, shows and throws. */
const isForHolder = ({ stroke, move }: WalkedStroke): boolean =>
  stroke.by === 'holder' || (isStrike(move) && !stroke.feint);

/** The calls of all that is done in a line, by names: of the fighter and of the holder. */
export const everyCall = (walk: Walk, book: MoveBook): readonly LineCall[] =>
  callsOf(walk, () => true, book, 'names');

/** One call for all that is done at one instant. */
function callsOf(
  walk: Walk,
  isCalled: (stroke: WalkedStroke) => boolean,
  book: MoveBook,
  words: StrokeWords,
): LineCall[] {
  const bothSides = doneFromBothSides(walk);
  return atOnce(walk.strokes.filter(isCalled)).map((group) => {
    const [stroke, last] = [group[0]!, group.at(-1)!];
    const style: CallStyleWords = { words, lead: stroke.before.lead, bothSides };
    const newLead = last.after.lead === stroke.before.lead ? null : last.after.lead;
    const texts = spokenTogether(group.map(spokenOf), newLead, book, style);
    return {
      stroke,
      last,
      switches: group.some(({ move, stroke: { by } }) => by === 'fighter' && move.lead === 'flips'),
      forms: texts.map(({ text }) => text),
      lacks: lacksOf(texts),
    };
  });
}

const lacksOf = (texts: readonly SpokenText[]): ReadonlyMap<string, readonly string[]> =>
  new Map(texts.flatMap(({ text, lacks }) => (lacks.length > 0 ? [[text, lacks] as const] : [])));

/** Strokes that are done at one instant, instant by instant. */
export function atOnce(strokes: readonly WalkedStroke[]): WalkedStroke[][] {
  const together: WalkedStroke[][] = [];
  for (const stroke of strokes) {
    const group = together.at(-1);
    if (group && isAtOnce(group[0]!, stroke)) group.push(stroke);
    else together.push([stroke]);
  }
  return together;
}

/** A stroke of a walk as a call says it. */
export function spokenOf(walked: WalkedStroke): SpokenStroke {
  const { move, side, level, stroke } = walked;
  const { feint, conditional, step, by } = stroke;
  const travel = step === 'through' ? 'forward' : step;
  const legUp = !stroke.keptUp || by === 'holder' ? undefined : isFlown(walked) ? 'flying' : 'same';
  return { move, side, level, feint, travel, legUp, isHolders: by === 'holder', isConditional: conditional };
}

/** Codes of the moves that a line does from both sides. */
function doneFromBothSides({ strokes }: Walk): ReadonlySet<string> {
  const sides = new Map<string, Set<unknown>>();
  for (const { move, side } of strokes) sides.set(move.code, (sides.get(move.code) ?? new Set()).add(side));
  return new Set([...sides].flatMap(([code, of]) => (of.size > 1 ? [code] : [])));
}

function isAtOnce(a: WalkedStroke, b: WalkedStroke): boolean {
  return a.beat.n * b.beat.d === b.beat.n * a.beat.d;
}
