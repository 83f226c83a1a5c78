import type { Walk, WalkedStroke } from '../../../body/index.ts';
import { holderForms, strokeForms, throwForms, type CallWords } from '../../../calls/index.ts';
import type { MoveBook } from '../../../moves/index.ts';

/** A call of a line: the stroke whose instant it belongs to, and what can be said for it, longest first. */
export interface LineCall {
  readonly stroke: WalkedStroke;
  readonly forms: readonly string[];
}

/** What is called in a line, to the fighter or to the holder. */
export type FormsOf = (walk: Walk, toHolder: boolean) => readonly LineCall[];

/** Finds the calls of each walk once, however often it comes. */
export function strokeFormsOf(book: MoveBook, words: CallWords): FormsOf {
  let byWords = known.get(book);
  if (!byWords) known.set(book, (byWords = new Map()));
  let formsOf = byWords.get(words);
  if (!formsOf) byWords.set(words, (formsOf = findOnce(book, words)));
  return formsOf;
}

const known = new WeakMap<MoveBook, Map<CallWords, FormsOf>>();

function findOnce(book: MoveBook, words: CallWords): FormsOf {
  const [ofFighter, ofHolder] = [new WeakMap<Walk, LineCall[]>(), new WeakMap<Walk, LineCall[]>()];
  return (walk, toHolder) => {
    const found = toHolder ? ofHolder : ofFighter;
    let calls = found.get(walk);
    if (!calls) found.set(walk, (calls = toHolder ? holderCalls(walk) : fighterCalls(walk, book, words)));
    return calls;
  };
}

/** The fighter is called his own strokes; of those that land together, the first. */
function fighterCalls({ strokes }: Walk, book: MoveBook, words: CallWords): LineCall[] {
  return strokes
    .filter(({ stroke, together }) => stroke.by === 'fighter' && !together)
    .map((walked) => {
      const { feint, conditional } = walked.stroke;
      return { stroke: walked, forms: strokeForms({ ...walked, feint, conditional }, book, words) };
    });
}

/** The holder is called everything that he shows and throws; what lands together is one call. */
function holderCalls({ strokes }: Walk): LineCall[] {
  const calls: { stroke: WalkedStroke; forms: string[] }[] = [];
  for (const walked of strokes) {
    const { stroke, move, level } = walked;
    const forms =
      stroke.by === 'holder' ? throwForms(move, level) : holderForms({ ...walked, feint: stroke.feint });
    if (forms.length === 0) continue;
    const last = calls.at(-1);
    if (last && isAtOnce(last.stroke, walked))
      last.forms = [`${last.forms[0]!}, ${forms[0]!}`, `${last.forms.at(-1)!}, ${forms.at(-1)!}`];
    else calls.push({ stroke: walked, forms });
  }
  return calls;
}

function isAtOnce(a: WalkedStroke, b: WalkedStroke): boolean {
  return a.beat.n * b.beat.d === b.beat.n * a.beat.d;
}
