import { isLegStrike, isStrike, type Level, type Move, type MoveBook } from '../../../moves/index.ts';
import type { WorkLimb } from '../../../rounds/index.ts';
import type { DraftCombo } from '../wish.ts';
import type { LineShape } from './lineShape.ts';

/** What a theme may ask for beside lines of its own. */
export const THEME_WORK = [
  'footwork',
  'contact',
  'test',
  'reaction',
  'lead',
  'shadow',
  'conditioning',
] as const;
export type ThemeWork = (typeof THEME_WORK)[number];

/** How coaches call it. */
const WORK_WORDS: Readonly<Record<ThemeWork, readonly string[]>> = {
  footwork: ['footwork', 'feet', 'step', 'movement', 'distance'],
  contact: ['contact', 'power', 'pad', 'partner'],
  test: ['test', 'speed', 'burst', 'grading'],
  reaction: ['reaction', 'reactions', 'timing', 'react'],
  lead: ['lead', 'leads', 'other lead', 'both leads', 'stance', 'switch'],
  shadow: ['shadow', 'shadowboxing', 'flow'],
  conditioning: ['conditioning', 'fitness', 'strength'],
};

const LIMB_WORDS: Readonly<Record<WorkLimb, readonly string[]>> = {
  'left-hand': ['left hand', 'left hands'],
  'right-hand': ['right hand', 'right hands'],
  'left-leg': ['left leg', 'left legs', 'left foot'],
  'right-leg': ['right leg', 'right legs', 'right foot'],
};
const LEVEL_WORDS: Readonly<Record<Level, readonly string[]>> = {
  head: ['head', 'high'],
  body: ['body', 'middle'],
  low: ['low'],
};

export interface Theme {
  /** As the coach said it. */
  readonly words: readonly string[];
  readonly work: ReadonlySet<ThemeWork>;
  /** How much of a combo is of the theme, 0 to 1; 0 of all where nothing was asked. */
  fits(combo: Pick<DraftCombo, 'title' | 'focus'> | null, shape: LineShape): number;
  /** Words that fit nothing in this gym. */
  readonly unknown: readonly string[];
}

type Fit = (combo: Pick<DraftCombo, 'title' | 'focus'> | null, shape: LineShape) => number;

/**
 * Reads what a class is to be about: words of moves and their families, limbs, heights, kinds of work, and the gym's own focus words.
 *
 * @example
 * readTheme(['knees', 'moonwalk'], [], book).unknown // ['moonwalk']
 */
export function readTheme(
  words: readonly string[],
  combos: readonly Pick<DraftCombo, 'title' | 'focus'>[],
  book: MoveBook,
): Theme {
  const said = [...new Set(words.map((word) => plain(word)).filter(Boolean))];
  const work = new Set<ThemeWork>();
  const fits: Fit[] = [];
  const unknown: string[] = [];
  for (const word of said) {
    const ofWork = THEME_WORK.filter((kind) =>
      WORK_WORDS[kind].some((each) => each === word || each === one(word)),
    );
    const fit = fitOf(word, combos, book);
    for (const kind of ofWork) work.add(kind);
    if (fit) fits.push(fit);
    if (!fit && ofWork.length === 0) unknown.push(word);
  }
  return {
    words: said.filter((word) => !unknown.includes(word)),
    work,
    unknown,
    fits: (combo, shape) => Math.max(0, ...fits.map((fit) => fit(combo, shape))),
  };
}

const plain = (word: string): string =>
  word
    .trim()
    .toLowerCase()
    .replace(/[-\s]+/g, ' ');
/** "knees" as "knee", "punches" as "punch". */
const one = (word: string): string => word.replace(/(?<=ch|sh|x|s)es$/, '').replace(/(?<!s)s$/, '');

function fitOf(
  word: string,
  combos: readonly Pick<DraftCombo, 'title' | 'focus'>[],
  book: MoveBook,
): Fit | null {
  for (const limb of Object.keys(LIMB_WORDS) as WorkLimb[])
    if (LIMB_WORDS[limb].includes(word)) return (_, shape) => shape.shares[limb];
  for (const level of Object.keys(LEVEL_WORDS) as Level[])
    if (LEVEL_WORDS[level].includes(word) || LEVEL_WORDS[level].includes(one(word)))
      return (_, shape) => shape.shares[level];
  const codes = new Set(
    [...book.moves.values()].filter((move) => isCalled(move, word)).map(({ code }) => code),
  );
  const isFocus = (combo: Pick<DraftCombo, 'title' | 'focus'>): boolean =>
    combo.focus.some((each) => plain(each) === word || one(plain(each)) === one(word)) ||
    ` ${plain(combo.title)} `.includes(` ${word} `);
  if (codes.size === 0 && !combos.some(isFocus)) return null;
  return (combo, { moves }) => {
    if (combo && isFocus(combo)) return 1;
    const own = moves.filter((code) => codes.has(code)).length;
    return own === 0 ? 0 : Math.min(1, 0.5 + own / moves.length);
  };
}

/** Whether a word means a move: its name, its code, its family, or all strikes of hands or legs. */
function isCalled(move: Move, word: string): boolean {
  const single = one(word);
  if (['hand', 'hands', 'boxing'].includes(word)) return isStrike(move) && !isLegStrike(move);
  if (['leg', 'legs'].includes(word)) return isLegStrike(move);
  const name = plain(move.name);
  return (
    [name, plain(move.code), plain(move.family)].some((each) => each === word || each === single) ||
    (single.length > 2 && ` ${name} `.includes(` ${single} `))
  );
}
