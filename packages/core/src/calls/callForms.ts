import { numberWord } from './numberWords.ts';

/** What a gym's voice says: the numbers of strokes, their names, or only the number of the combo. */
export const CALL_WORDS = ['numbers', 'names', 'combo-number'] as const;
export type CallWords = (typeof CALL_WORDS)[number];

/**
 * What can be said to announce a combo, longest first: "flood four, low gate", "flood four", "four".
 *
 * @example
 * comboForms({ grade: 'Ebb', number: 3, title: 'Door' }) // ['ebb three, door', 'ebb three', 'three']
 * comboForms({ grade: '', number: 1, title: 'Footwork' }) // ['footwork']
 */
export function comboForms(combo: {
  readonly grade: string;
  readonly number: number;
  readonly title: string;
}): string[] {
  const number = numberWord(combo.number);
  const grade = combo.grade.toLowerCase();
  const title = combo.title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}' ]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  // A line that is no grade's has no number of its own.
  if (grade === '' && title !== '') return [title];
  const short = grade === '' ? number : `${grade} ${number}`;
  return [...new Set([title === '' ? short : `${short}, ${title}`, short, number])];
}
