import type { MoveBook } from '../moves/index.ts';
import { kindOf, type Block } from './kinds/registry.ts';
import { ROUND_PHRASES, TIME_PHRASES } from '../calls/index.ts';
import { ENGLISH_COUNT, USUAL_TIME_CALLS, type CountWords, type TimeCall } from './roundSettings.ts';

/**
 * Every text that the voice may have to say in these blocks, each once.
 *
 * @example
 * wantedTexts([filled('burst')], book).includes('ten seconds') // true
 */
export function wantedTexts(
  blocks: readonly Block[],
  book: MoveBook,
  count: CountWords = ENGLISH_COUNT,
  {
    word = '',
    timeCalls = USUAL_TIME_CALLS,
  }: { readonly word?: string; readonly timeCalls?: readonly TimeCall[] } = {},
): string[] {
  const texts = new Set(ROUND_PHRASES);
  if (timeCalls.includes('thirty')) texts.add(TIME_PHRASES.thirty);
  if (word !== '') texts.add(word.toLowerCase());
  for (const block of blocks) for (const text of kindOf(block).texts(block, book, count)) texts.add(text);
  return [...texts];
}
