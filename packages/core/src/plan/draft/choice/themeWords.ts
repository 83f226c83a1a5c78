import type { MoveBook } from '../../../moves/index.ts';
import type { DraftCombo } from '../wish.ts';
import { readTheme } from './theme.ts';

/** Most words of a theme that a draft reads. */
const MOST_WORDS = 8;

/**
 * The words of a theme, as they were written between commas.
 *
 * @example
 * themeWords('knees, left leg,') // ['knees', 'left leg']
 */
export function themeWords(text: string): string[] {
  const words = text.split(',').map((word) => word.trim());
  return [...new Set(words.filter(Boolean))].slice(0, MOST_WORDS);
}

/**
 * The words of a theme that fit nothing in the gym, so that a draft leaves them out.
 *
 * @example
 * unfitting(['knees', 'moonwalk'], [], book) // ['moonwalk']
 */
export function unfitting(
  words: readonly string[],
  combos: readonly Pick<DraftCombo, 'title' | 'focus'>[],
  book: MoveBook,
): readonly string[] {
  return readTheme(words, combos, book).unknown;
}
