import { numberWord } from './numberWords.ts';

/**
 * The words of a call as they are spoken.
 *
 * @example
 * spokenWords('Pads (2 of 5), knee behind') // ['pads', 'two', 'of', 'five', 'knee', 'behind']
 */
export function spokenWords(text: string): string[] {
  const words = text.replace(/\d+/g, (digits) => ` ${numberWord(Number(digits))} `);
  return words.toLowerCase().match(/[\p{L}']+/gu) ?? [];
}
