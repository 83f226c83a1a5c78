import { isStrike, type Lead, type MoveBook } from '../moves/index.ts';
import { clearTexts, type CallStyleWords, type CalledStroke } from './callLanguage.ts';

/** A stroke of a line as a call says it. */
export interface SpokenStroke extends CalledStroke {
  /** Of the holder, who throws it or only shows it. */
  readonly isHolders: boolean;
  /** Only if the stroke before it landed. */
  readonly isConditional: boolean;
  /** Of a kick: the leg of the kick before it has not come down, and goes again, or the other one goes in the same flight. */
  readonly legUp?: 'same' | 'flying' | undefined;
}

/** A text, and what it leaves out of what is done at its instant. */
export interface SpokenText {
  readonly text: string;
  /** In words; empty where it says everything. */
  readonly lacks: readonly string[];
}

/** Said before a stroke that is done only if the last one landed. */
export const IF_IT_LANDS = 'if it lands';
/** Said before what the holder throws, and before what he only shows. */
export const HOLDER_WORDS = { throws: 'throw', shows: 'show' } as const;
/** Said, where there is room, before a kick of a leg that has not come down, and before the second kick of one flight. */
export const LEG_UP_WORDS = { same: 'same leg', flying: 'flying' } as const;
/** Said after a stroke that leaves the other lead in front. */
export const leadPhrase = (lead: Lead): string => `${lead} lead`;

/**
 * What can be said for strokes that land or move at one instant: the strike first, everything where there is room, then shorter.
 *
 * @param newLead the lead that stands afterwards where it is another one; null where it stays
 *
 * @example
 * spokenTogether([{ ...walk('jab').strokes[0], feint: false, travel: null, isHolders: false, isConditional: false }], null, book, { words: 'names', lead: 'left' })
 * // [{ text: 'jab', lacks: [] }]
 */
export function spokenTogether(
  strokes: readonly SpokenStroke[],
  newLead: Lead | null,
  book: MoveBook,
  style: CallStyleWords,
): SpokenText[] {
  const inOrder = [...strokes].sort((a, b) => Number(isStrike(b.move)) - Number(isStrike(a.move)));
  const parts = inOrder.map((stroke, i) => ({
    name: stroke.move.name.toLowerCase(),
    texts: partTexts(stroke, book, { ...style, isJoined: i > 0 }),
  }));
  const clear = parts.filter(({ texts }) => texts.length > 0);
  const unclear = parts.filter(({ texts }) => texts.length === 0).map(({ name }) => name);
  if (clear.length === 0) return [];
  const forms: SpokenText[] = [];
  const add = (texts: readonly string[], lacks: readonly string[]): void => {
    const text = texts.join(', ');
    if (!forms.some((form) => form.text === text)) forms.push({ text, lacks: [...lacks, ...unclear] });
  };
  const [long, short] = [clear.map(({ texts }) => texts[0]!), clear.map(({ texts }) => texts.at(-1)!)];
  // A step through, forward or back, says by itself that the lead is the other one.
  if (newLead) add([...long, leadPhrase(newLead)], []);
  add(long, []);
  if (parts.some(({ texts }) => texts.length > 2))
    add(
      clear.map(({ texts }) => texts.at(-2)!),
      [],
    );
  add([long[0]!, ...short.slice(1)], []);
  add(short, []);
  for (let said = clear.length - 1; said >= 1; said--)
    add(
      short.slice(0, said),
      clear.slice(said).map(({ name }) => name),
    );
  return forms;
}

/** What says one stroke in a call, longest first; none where the gym's words leave no text for it alone. */
function partTexts(stroke: SpokenStroke, book: MoveBook, style: CallStyleWords): string[] {
  const before = stroke.isHolders ? (stroke.feint ? HOLDER_WORDS.shows : HOLDER_WORDS.throws) : '';
  const texts = clearTexts(stroke, book, style).map((text) => {
    const whole = before === '' ? text : `${before} ${text}`;
    return stroke.isConditional ? `${IF_IT_LANDS}, ${whole}` : whole;
  });
  // The side is said anyhow, so that this may go first.
  return stroke.legUp && texts.length > 0 ? [`${LEG_UP_WORDS[stroke.legUp]}, ${texts[0]!}`, ...texts] : texts;
}
