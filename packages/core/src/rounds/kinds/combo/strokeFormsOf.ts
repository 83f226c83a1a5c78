import type { WalkedStroke } from '../../../body/index.ts';
import { holderForms, strokeForms, type CallWords } from '../../../calls/index.ts';
import type { MoveBook } from '../../../moves/index.ts';

/** What can be said for a stroke, to the fighter or to the holder; empty when nothing is. */
export type FormsOf = (stroke: WalkedStroke, toHolder: boolean) => readonly string[];

/** Finds the forms of each stroke once, however often it comes. */
export function strokeFormsOf(book: MoveBook, words: CallWords): FormsOf {
  const [ofFighter, ofHolder] = [new Map<WalkedStroke, string[]>(), new Map<WalkedStroke, string[]>()];
  return (walked, toHolder) => {
    const known = toHolder ? ofHolder : ofFighter;
    let forms = known.get(walked);
    if (!forms) {
      const stroke = { ...walked, feint: walked.stroke.feint };
      const isSaid = walked.stroke.by === 'fighter' && !walked.together;
      forms = !isSaid ? [] : toHolder ? holderForms(stroke) : strokeForms(stroke, book, words);
      known.set(walked, forms);
    }
    return forms;
  };
}
