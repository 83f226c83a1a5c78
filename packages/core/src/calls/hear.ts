import type { Lead, MoveBook } from '../moves/index.ts';
import { callDictionary, type CallStyleWords, type SaidStroke } from './callLanguage.ts';
import { HOLDER_WORDS, IF_IT_LANDS, LEG_UP_WORDS, leadPhrase } from './speakTogether.ts';

/** A stroke as somebody understands it who only hears its call. */
export interface HeardStroke extends SaidStroke {
  readonly isHolders: boolean;
  readonly isConditional: boolean;
}

/** What a call says to somebody who hears it. */
export interface HeardCall {
  readonly strokes: readonly HeardStroke[];
  /** The lead that is to stand afterwards, where it was said. */
  readonly lead: Lead | null;
  /** Parts of the call that say nothing, or more than one thing. */
  readonly unclear: readonly string[];
}

/**
 * What somebody understands of a call who knows the gym's book and which lead stands, and hears nothing but the words.
 *
 * @param text a call, its parts with commas between them
 *
 * @example
 * hear('cross forward, right lead', book, { words: 'names', lead: 'left' }).lead // 'right'
 */
export function hear(text: string, book: MoveBook, style: CallStyleWords): HeardCall {
  const dictionary = callDictionary(book, style);
  const strokes: HeardStroke[] = [];
  const unclear: string[] = [];
  let lead: Lead | null = null;
  let isConditional = false;
  for (const part of text.split(', ')) {
    const newLead = (['left', 'right'] as const).find((each) => part === leadPhrase(each));
    const [words, isHolders] = withoutHolder(part);
    const meanings = dictionary.get(words) ?? [];
    if (newLead) lead = newLead;
    else if (part === IF_IT_LANDS) isConditional = true;
    else if (LEG_UP.has(part)) continue;
    else if (meanings.length === 1) {
      strokes.push({ ...meanings[0]!, isHolders, isConditional });
      isConditional = false;
    } else unclear.push(part);
  }
  return { strokes, lead, unclear };
}

/** They say how a kick is done whose leg is said anyhow. */
const LEG_UP: ReadonlySet<string> = new Set(Object.values(LEG_UP_WORDS));

function withoutHolder(part: string): readonly [words: string, isHolders: boolean] {
  const said = Object.values(HOLDER_WORDS).find((word) => part.startsWith(`${word} `));
  return said === undefined ? [part, false] : [part.slice(said.length + 1), true];
}
