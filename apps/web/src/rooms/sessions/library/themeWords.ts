/** Most words of a theme that a draft reads. */
const MOST_WORDS = 8;

/** What was written between commas. */
export function themeWordsOf(text: string): string[] {
  const words = text.split(',').map((word) => word.trim());
  return [...new Set(words.filter(Boolean))].slice(0, MOST_WORDS);
}
